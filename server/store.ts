import { openDatabase } from '@/db';
import { environment } from './environment';
import type { Forecaster } from './forecaster';
import { relearnIfOld } from './learn';
import { endStore, storeOf, type Store } from './storeOf';

const TOLD_EVERY = 1000;
/** The trash is looked through this often, ms. */
const DAY_MS = 86_400_000;
const held = globalThis as typeof globalThis & { idleLadleStore?: Promise<Store> };

/**
 * The one open store of this process, whichever part of it asks.
 * @param forecaster what works heat out for the first that asks, where that is not to be on its own thread
 */
export function store(forecaster?: Forecaster): Promise<Store> {
  held.idleLadleStore ??= openDatabase(environment().IDLE_LADLE_DB).then(async (db) => {
    const opened = await storeOf(db, forecaster);
    await opened.batches.deriveOld((done) => {
      // A thousand take some seconds: whoever waits for the pages is told why.
      if (done % TOLD_EVERY === 0)
        console.log(`The notebook of an older release is worked through, once: ${done} batches so far.`);
    });
    await relearnIfOld(opened);
    await opened.trash.empty();
    setInterval(() => void opened.trash.empty().catch(() => undefined), DAY_MS).unref();
    return opened;
  });
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
