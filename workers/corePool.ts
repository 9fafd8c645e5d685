import * as Comlink from 'comlink';
import { handOf } from './hand';
import { workerPool, type WorkerPool } from './pool';
import type { CoreWorker } from './worker';

/** Workers to use: all the cores there are, four at most, since each keeps its own copy of the core; two at least, so that one is at hand. */
const coresHere = (): number => Math.min(4, Math.max(2, navigator.hardwareConcurrency));

function browserHand() {
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  return handOf(
    Comlink.wrap<CoreWorker>(worker) as unknown as CoreWorker,
    (broken) => {
      worker.addEventListener('error', (e) => broken(new Error(e.message || 'the worker could not start')));
      worker.addEventListener('messageerror', () => broken(new Error('the worker sent what could not be read')));
    },
    () => worker.terminate(),
  );
}

let pool: WorkerPool | undefined;
/** The workers of this page: made when they are first wanted, and kept with all they know while the page is open. */
export const corePool = (): WorkerPool => (pool ??= workerPool(browserHand, coresHere()));
