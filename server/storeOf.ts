import { batchStore, kitchenStore, planStore, type Database } from '@/db';

export interface Store {
  readonly db: Database;
  readonly plans: ReturnType<typeof planStore>;
  readonly kitchen: ReturnType<typeof kitchenStore>;
  readonly batches: ReturnType<typeof batchStore>;
}

export const storeOf = (db: Database): Store => ({
  db,
  plans: planStore(db),
  kitchen: kitchenStore(db),
  batches: batchStore(db),
});
