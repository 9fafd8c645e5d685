import { batchStore, kitchenStore, openDatabase, planStore, type Database } from '@/db';
import { environment } from './environment';
import { relearnIfOld } from './learn';

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

const held = globalThis as typeof globalThis & { idleLadleStore?: Promise<Store> };

/** The one open store of this process. */
export function store(): Promise<Store> {
  held.idleLadleStore ??= openDatabase(environment().IDLE_LADLE_DB).then(async (db) => {
    const opened = storeOf(db);
    await relearnIfOld(opened);
    return opened;
  });
  held.idleLadleStore.catch(() => {
    held.idleLadleStore = undefined;
  });
  return held.idleLadleStore;
}
