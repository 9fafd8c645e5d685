'use client';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import equal from 'fast-deep-equal';
import { createContext, useCallback, useContext, useMemo } from 'react';
import type { Kitchen } from '@/core/kitchen';
import type { Ingredient } from '@/core/larder';
import type { KitchenState, RackKind, Settings, StaleThing } from '@/db';
import { unpackKitchen, type PackedKitchen } from './packed';
import { Refused, request, sentenceOf, useTell, Spoken } from '../kit';

export type { RackKind } from '@/db';

interface Thing {
  readonly id: string;
}
/** A change of the settings: of units and cups only those that change; a cup that is undefined is the table's again. */
export type SettingsChange = Partial<Omit<Settings, 'units' | 'myCups'>> & {
  readonly units?: Partial<Settings['units']>;
  readonly myCups?: Readonly<Record<string, number | undefined>>;
};
/** A thing was changed on another page since this one read it. */
export class ChangedElsewhere extends Spoken {
  constructor(
    readonly name: string,
    /** What is there now; undefined where it was taken away. */
    readonly theirs: unknown,
    readonly revision: number,
  ) {
    super(
      theirs === undefined
        ? `${name} was taken away on another page meanwhile. Keep it to put yours back.`
        : `${name} was changed on another page meanwhile. Keep it again to have yours; leave it, and theirs stays.`,
    );
  }
}

export interface KitchenHand {
  readonly kitchen: Kitchen;
  readonly unreadable: KitchenState['unreadable'];
  /**
   * Writes one thing of the rack or larder over the revision this page knows, tells it, and offers to take it back.
   * @param words what is told when it is done
   * @param over the revision to write over, where the cook has seen what is there
   * @param seen what it was when the cook began to change it: what another page made of it since is told, not written over
   */
  readonly keepThing: <T extends Thing>(
    kind: RackKind,
    thing: T,
    words: string,
    over?: number,
    seen?: Thing,
  ) => Promise<void>;
  readonly removeThing: (kind: RackKind, id: string, words: string) => Promise<void>;
  /** Writes a change of the settings, tells it or why it was not written, and answers whether it was. */
  readonly keepSettings: (change: SettingsChange, words?: string) => Promise<boolean>;
  /** Puts the usual settings in the place of ones that cannot be read. */
  readonly replaceSettings: () => Promise<void>;
}

const KEY = ['kitchen'];
const changedOf = (s: Settings, { units, myCups, ...rest }: SettingsChange): Settings => ({
  ...s,
  ...rest,
  units: { ...s.units, ...units },
  myCups: Object.fromEntries(
    Object.entries({ ...s.myCups, ...myCups }).filter((cup): cup is [string, number] => cup[1] !== undefined),
  ),
});
/** What of the settings a change touches, as it stands. */
const touchedOf = (s: Settings, { units, myCups, ...rest }: SettingsChange): SettingsChange => {
  const picked = <T extends object>(from: T, like: object): Partial<T> =>
    Object.fromEntries(Object.keys(like).map((k) => [k, from[k as keyof T]])) as Partial<T>;
  return {
    ...picked<SettingsChange>(s, rest),
    ...(units ? { units: picked(s.units, units) } : {}),
    ...(myCups ? { myCups: picked<NonNullable<SettingsChange['myCups']>>(s.myCups, myCups) } : {}),
  };
};
const thingsOf = (state: KitchenState, kind: RackKind): readonly Thing[] => state.kitchen[kind];
const nameOf = (x: unknown): string =>
  typeof x === 'object' && x !== null && 'name' in x && typeof x.name === 'string' && x.name !== '' ? x.name : 'It';

/** What a refused write found instead, by the schema of our own routes. */
function elsewhere(e: unknown, name: string): never {
  if (e instanceof Refused && e.status === 409) {
    const { current } = e.body as { current?: StaleThing };
    if (current) throw new ChangedElsewhere(name, current.value, current.revision);
  }
  throw e;
}

/** The kitchen as it stands, with writes that honour what other pages wrote, take effect here at once and can be taken back. */
export function useKitchenHand(sent: PackedKitchen): KitchenHand {
  const initial = useMemo(() => unpackKitchen(sent), [sent]);
  const client = useQueryClient();
  const tell = useTell();
  const state = useQuery({
    queryKey: KEY,
    queryFn: () => request<KitchenState>('/api/kitchen'),
    initialData: initial,
    initialDataUpdatedAt: 0,
    structuralSharing: true,
  }).data;
  const refresh = useCallback(async () => {
    await client.invalidateQueries({ queryKey: KEY });
  }, [client]);
  const now = useCallback(() => client.getQueryData<KitchenState>(KEY) ?? initial, [client, initial]);

  const put = useCallback(
    async (kind: RackKind, thing: Thing, revision: number): Promise<number> => {
      try {
        const done = await request<{ revision: number }>(`/api/rack/${kind}/${encodeURIComponent(thing.id)}`, 'PUT', {
          revision,
          value: thing,
        });
        return done.revision;
      } catch (e) {
        return elsewhere(e, nameOf(thing));
      } finally {
        await refresh();
      }
    },
    [refresh],
  );
  const remove = useCallback(
    async (kind: RackKind, id: string, revision: number, name: string): Promise<number> => {
      try {
        const done = await request<{ revision: number }>(
          `/api/rack/${kind}/${encodeURIComponent(id)}?revision=${revision}`,
          'DELETE',
        );
        return done.revision;
      } catch (e) {
        return elsewhere(e, name);
      } finally {
        await refresh();
      }
    },
    [refresh],
  );

  const keepThing = useCallback<KitchenHand['keepThing']>(
    async (kind, thing, words, over, seen) => {
      const before = thingsOf(now(), kind).find((t) => t.id === thing.id);
      const at = now().revisions[kind][thing.id] ?? 0;
      if (over === undefined && seen && before && !equal(before, seen))
        throw new ChangedElsewhere(nameOf(thing), before, at);
      const revision = await put(kind, thing, over ?? at);
      tell({
        words,
        undo: async () => {
          if (before) await put(kind, before, revision);
          else await remove(kind, thing.id, revision, nameOf(thing));
        },
      });
    },
    [now, put, remove, tell],
  );
  const removeThing = useCallback<KitchenHand['removeThing']>(
    async (kind, id, words) => {
      const before = thingsOf(now(), kind).find((t) => t.id === id);
      const revision = await remove(kind, id, now().revisions[kind][id] ?? 1, nameOf(before));
      tell({
        words,
        undo: before
          ? async () => {
              await put(kind, before, revision);
            }
          : undefined,
      });
    },
    [now, put, remove, tell],
  );

  /** Writes the settings; the kitchen as it then is comes back with the answer, so it is not asked for again. */
  const putSettings = useCallback(
    async (sent: { revision: number; value: Settings; overUnreadable?: boolean }) => {
      const written = await request<KitchenState>('/api/kitchen', 'PUT', sent);
      await client.cancelQueries({ queryKey: KEY });
      client.setQueryData(KEY, written);
    },
    [client],
  );
  /**
   * Writes a change of the settings over what is there, one after another: this page's own last change is never in the way of its next. Another page's change
   * of other settings stays, one of the same is not written over.
   */
  const { mutateAsync: writeSettings } = useMutation({
    scope: { id: 'settings' },
    networkMode: 'always',
    mutationFn: async (change: SettingsChange): Promise<SettingsChange> => {
      let at = now().settings;
      const before = touchedOf(at.value, change);
      try {
        for (let tries = 0; ; tries++) {
          try {
            await putSettings({ revision: at.revision, value: changedOf(at.value, change) });
            return before;
          } catch (e) {
            const current =
              e instanceof Refused && e.status === 409 ? (e.body as { current: typeof at }).current : undefined;
            if (!current || tries > 3 || !equal(touchedOf(current.value, change), before)) throw e;
            at = current;
          }
        }
      } catch (e) {
        await refresh();
        throw e;
      }
    },
  });
  const keepSettings = useCallback<KitchenHand['keepSettings']>(
    async (change, words) => {
      try {
        const before = await writeSettings(change);
        tell({
          words: words ?? 'The kitchen’s settings are kept.',
          undo: async () => {
            await writeSettings(before);
          },
        });
        return true;
      } catch (e) {
        tell({ words: sentenceOf(e) });
        return false;
      }
    },
    [writeSettings, tell],
  );
  const replaceSettings = useCallback(async () => {
    const { revision, value } = now().settings;
    await putSettings({ revision, value, overUnreadable: true });
  }, [now, putSettings]);

  return useMemo(
    () => ({
      kitchen: state.kitchen,
      unreadable: state.unreadable,
      keepThing,
      removeThing,
      keepSettings,
      replaceSettings,
    }),
    [state, keepThing, removeThing, keepSettings, replaceSettings],
  );
}

export const KitchenContext = createContext<KitchenHand | undefined>(undefined);

/** The kitchen around this part of the page, where there is one. */
export const useKitchenMaybe = (): KitchenHand | undefined => useContext(KitchenContext);

export function useKitchen(): KitchenHand {
  const hand = useContext(KitchenContext);
  if (!hand) throw new Error('no kitchen around this part of the page');
  return hand;
}

/** An ingredient as the cook's own, with a change. */
export const ownIngredient = (i: Ingredient, change: Partial<Ingredient>): Ingredient => ({
  ...i,
  ...change,
  source: 'cook',
});
