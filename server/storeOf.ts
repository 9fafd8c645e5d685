import {
  batchStore,
  clockOf,
  kitchenStore,
  photoStore,
  planStore,
  trashStore,
  watchForDamage,
  type Database,
} from '@/db';
import type { BaseStore } from './baseStore';
import { copyDesk, type CopyDesk } from './copies/desk';
import { copyHere, type CopyWork } from './copies/work';
import { heavyHere, type Heavy } from './heavy';
import { learnerOf, type Learner } from './learn';
import { liveOf, type Live } from './live';
import { copiesFolder, type CopiesFolder } from './openKitchen';

/** The base, and what works on it. */
export interface Store extends BaseStore {
  /** Copies of the kitchen: made, kept, opened. */
  readonly copies: CopyDesk;
  readonly learner: Learner;
  /** What is told to open pages as it happens. */
  readonly live: Live;
}

interface Kept {
  readonly stamp: number;
  readonly found: Promise<unknown>;
}

/** What of a store's work is done by others, and where its copies are. */
export interface Beside {
  readonly heavy?: Heavy;
  readonly copyWork?: CopyWork;
  readonly folders?: CopiesFolder;
}

export async function storeOf(
  db: Database,
  { heavy = heavyHere(), copyWork = copyHere(db.file), folders = copiesFolder(db.file, undefined) }: Beside = {},
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
    heavy,
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
  store.heavy.end();
  await store.learner.end();
  await store.db.close();
}
