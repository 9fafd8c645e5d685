import { parentPort, workerData } from 'node:worker_threads';
import { CopyTrouble } from '@/db/copy';
import { doCopyWork, STOP, type CopyAsked, type CopyTold } from './work';

/** Makes or opens one copy, on a thread of its own; how far it is is told now and then. */
const TOLD_EVERY_MS = 150;
const told = (what: CopyTold): void => parentPort?.postMessage(what);
const stop = new AbortController();
parentPort?.on('message', (word) => {
  if (word === STOP) stop.abort();
});
let last = 0;
doCopyWork(workerData as CopyAsked, {
  signal: stop.signal,
  onProgress: (progress) => {
    if (Date.now() - last < TOLD_EVERY_MS) return;
    last = Date.now();
    told({ progress });
  },
}).then(
  (done) => told({ done }),
  (e: unknown) =>
    told({
      failed:
        e instanceof CopyTrouble ? { code: e.code, words: e.message } : { words: String((e as Error).stack ?? e) },
    }),
);
