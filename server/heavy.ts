import { handOf } from '@/workers/hand';
import { immediately } from '@/workers/immediately';
import { workerPool, type WorkerPool } from '@/workers/pool';
import { workerIn } from '@/workers/worker';

/** All heavy work of the server: nothing of it is done while a request is answered. */
export type Heavy = Pick<WorkerPool, 'run' | 'end'>;

/** In turns between requests: for tests and developing, where nothing was built. */
export const heavyHere = (): Heavy =>
  workerPool(
    () =>
      handOf(
        workerIn(immediately),
        () => undefined,
        () => undefined,
      ),
    1,
  );
