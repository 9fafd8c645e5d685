import {
  batchStore,
  clockOf,
  kitchenStore,
  photoStore,
  planStore,
  trashStore,
  watchForDamage,
  type Clock,
  type Database,
  type KitchenState,
} from '@/db';
import { copyDesk, type CopyDesk } from './copies/desk';
import { copyHere, type CopyWork } from './copies/work';
import { forecastHere, type Forecaster } from './forecaster';
import { learnerOf, type Learner } from './learn';
import { liveOf, type Live } from './live';
import { copiesFolder, type CopiesFolder } from './openKitchen';

export interface Store {
  readonly db: Database;
  readonly plans: ReturnType<typeof planStore>;
  readonly kitchen: ReturnType<typeof kitchenStore>;
  readonly batches: ReturnType<typeof batchStore>;
  readonly photos: ReturnType<typeof photoStore>;
  /** What was deleted and can be brought back. */
  readonly trash: ReturnType<typeof trashStore>;
  /** Looks for damage by turns. */
  readonly damage: ReturnType<typeof watchForDamage>;
  /** Copies of the kitchen: made, kept, opened. */
  readonly copies: CopyDesk;
  /** Forecasts beside the kitchen's work. */
  readonly forecaster: Forecaster;
  readonly learner: Learner;
  /** The kitchen's clock. */
  readonly clock: Clock;
  /** What is told to open pages as it happens. */
  readonly live: Live;
  /** The kitchen as it stands, read again only after something was written. */
  readonly kitchenState: () => Promise<KitchenState>;
  /** What `read` found, kept until something is written. `what` names it; there is to be a handful of them, not one for each thing asked. */
  readonly sinceWritten: <T>(what: string, read: () => Promise<T>) => Promise<T>;
}

interface Kept {
  readonly stamp: number;
  readonly found: Promise<unknown>;
}

/** What of a store's work is done by others, and where its copies are. */
export interface Beside {
  readonly forecaster?: Forecaster;
  readonly copyWork?: CopyWork;
  readonly folders?: CopiesFolder;
}

export async function storeOf(
  db: Database,
  {
    forecaster = forecastHere(),
    copyWork = copyHere(db.file),
    folders = copiesFolder(db.file, undefined),
  }: Beside = {},
): Promise<Store> {
  const clock = await clockOf(db);
  const batches = batchStore(db);
  const kitchen = kitchenStore(db);
  const kept = new Map<string, Kept>();
  async function sinceWritten<T>(what: string, read: () => Promise<T>): Promise<T> {
    // The stamp is read first: what is written while `read` is under way makes it old at once.
    const stamp = await db.stamp();
    const before = kept.get(what);
    if (before?.stamp === stamp) return before.found as Promise<T>;
    const found = read();
    kept.set(what, { stamp, found });
    found.catch(() => {
      if (kept.get(what)?.found === found) kept.delete(what);
    });
    return found;
  }
  const store: Store = {
    db,
    plans: planStore(db),
    kitchen,
    batches,
    photos: photoStore(db),
    trash: trashStore(db),
    damage: watchForDamage(db, (sentence) => console.error(sentence)),
    get copies() {
      return copies;
    },
    forecaster,
    get learner() {
      return learner;
    },
    clock,
    live: liveOf({ batches, clock, db }),
    sinceWritten,
    kitchenState: () => sinceWritten('kitchen', kitchen.state),
  };
  const learner = learnerOf(store);
  const copies = copyDesk(store, copyWork, folders);
  return store;
}

/** Ends what a store does by itself, then closes its file once the writes under way are on the disk. */
export async function endStore(store: Store): Promise<void> {
  store.live.close();
  store.damage.end();
  await store.copies.end();
  await store.learner.end();
  await store.db.close();
}
