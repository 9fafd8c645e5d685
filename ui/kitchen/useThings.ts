import equal from 'fast-deep-equal';
import { useCallback } from 'react';
import type { KitchenState, RackKind, StaleThing } from '@/db';
import { Refused, request, Spoken, useTell } from '../kit';
import type { KitchenNow } from './kitchenNow';

export interface Thing {
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

export interface ThingsHand {
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
}

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

/** Writes things of the rack and the larder. */
export function useThings({ now, refresh }: KitchenNow): ThingsHand {
  const tell = useTell();
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

  const keepThing = useCallback<ThingsHand['keepThing']>(
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
  const removeThing = useCallback<ThingsHand['removeThing']>(
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
  return { keepThing, removeThing };
}
