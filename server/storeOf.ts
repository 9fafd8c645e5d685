import { isDeepStrictEqual } from 'node:util';
import { batchStore, kitchenStore, planStore, type Database, type KitchenState } from '@/db';

export interface Store {
  readonly db: Database;
  readonly plans: ReturnType<typeof planStore>;
  readonly kitchen: ReturnType<typeof kitchenStore>;
  readonly batches: ReturnType<typeof batchStore>;
  /** The kitchen as it stands, read again only after something was written. */
  readonly kitchenState: () => Promise<KitchenState>;
}

export function storeOf(db: Database): Store {
  const kitchen = kitchenStore(db);
  let kept: { readonly stamp: number; readonly state: Promise<KitchenState> } | undefined;
  return {
    db,
    plans: planStore(db),
    kitchen,
    batches: batchStore(db),
    async kitchenState() {
      const stamp = await db.stamp();
      if (kept?.stamp === stamp) return kept.state;
      const before = kept?.state;
      // What was written may have been something else: then it stays the very same, and what rests on it holds.
      const state = kitchen.state().then(async (now) => {
        const was = await before?.catch(() => undefined);
        return was && isDeepStrictEqual(was, now) ? was : now;
      });
      kept = { stamp, state };
      state.catch(() => (kept = undefined));
      return state;
    },
  };
}
