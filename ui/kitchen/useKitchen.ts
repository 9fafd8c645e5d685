'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
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
   */
  readonly keepThing: <T extends Thing>(kind: RackKind, thing: T, words: string, over?: number) => Promise<void>;
  readonly removeThing: (kind: RackKind, id: string, words: string) => Promise<void>;
  /** Writes a change of the settings, tells it or why it was not written, and answers whether it was. */
  readonly keepSettings: (change: Partial<Settings>, words?: string) => Promise<boolean>;
  /** Puts the usual settings in the place of ones that cannot be read. */
  readonly replaceSettings: () => Promise<void>;
}

const KEY = ['kitchen'];
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
    async (kind, thing, words, over) => {
      const before = thingsOf(now(), kind).find((t) => t.id === thing.id);
      const revision = await put(kind, thing, over ?? now().revisions[kind][thing.id] ?? 0);
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

  /** Writes a change of the settings; another page's change of other settings stays, one of the same is not written over. */
  const writeSettings = useCallback(
    async (change: Partial<Settings>): Promise<Partial<Settings>> => {
      const keys = Object.keys(change) as (keyof Settings)[];
      const picked = (s: Settings) => Object.fromEntries(keys.map((k) => [k, s[k]])) as Partial<Settings>;
      let at = now().settings;
      const before = picked(at.value);
      try {
        for (let tries = 0; ; tries++) {
          try {
            await request('/api/kitchen', 'PUT', { revision: at.revision, value: { ...at.value, ...change } });
            return before;
          } catch (e) {
            const current =
              e instanceof Refused && e.status === 409 ? (e.body as { current: typeof at }).current : undefined;
            if (!current || tries > 3 || !equal(picked(current.value), before)) throw e;
            at = current;
          }
        }
      } finally {
        await refresh();
      }
    },
    [now, refresh],
  );
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
    await request('/api/kitchen', 'PUT', { revision, value, overUnreadable: true });
    await refresh();
  }, [now, refresh]);

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
