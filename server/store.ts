import { cleanWork } from '@/db/copy';
import { environment } from './environment';
import { relearnIfOld } from './learn';
import { copiesFolder, openKitchen } from './openKitchen';
import { endStore, storeOf, type Beside, type Store } from './storeOf';

const TOLD_EVERY = 1000;
/** The trash is looked through this often, ms. */
const DAY_MS = 86_400_000;
const held = globalThis as typeof globalThis & { idleLadleStore?: Promise<Store> };

async function openStore(beside: (database: string) => Beside): Promise<Store> {
  const { IDLE_LADLE_DB: file, IDLE_LADLE_COPIES } = environment();
  const folders = copiesFolder(file, IDLE_LADLE_COPIES);
  // What a copy that was cut off left behind goes first: it may be in the way.
  cleanWork(file, folders.always.folder);
  const opened = await storeOf(await openKitchen(file, folders), { ...beside(file), folders });
  await opened.batches.deriveOld((done) => {
    // A thousand take some seconds: whoever waits for the pages is told why.
    if (done % TOLD_EVERY === 0)
      console.log(`The notebook of an older release is worked through, once: ${done} batches so far.`);
  });
  await relearnIfOld(opened);
  await opened.trash.empty();
  setInterval(() => void opened.trash.empty().catch(() => undefined), DAY_MS).unref();
  return opened;
}

/**
 * The one open store of this process, whichever part of it asks.
 * @param beside what does heavy work for the first that asks, by the database file, where that is not to be on its own thread
 */
export function store(beside: (database: string) => Beside = () => ({})): Promise<Store> {
  held.idleLadleStore ??= openStore(beside);
  held.idleLadleStore.catch(() => {
    held.idleLadleStore = undefined;
  });
  return held.idleLadleStore;
}

/** Ends the streams of open pages: a server that waits for them would never stop. */
export async function endStreams(): Promise<void> {
  (await held.idleLadleStore?.catch(() => undefined))?.live.close();
}

/** Closes it, once the writes under way are on the disk. */
export async function closeStore(): Promise<void> {
  const open = held.idleLadleStore;
  held.idleLadleStore = undefined;
  const store = await open?.catch(() => undefined);
  if (store) await endStore(store);
}
