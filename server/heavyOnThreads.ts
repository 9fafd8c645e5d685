import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import * as Comlink from 'comlink';
import nodeEndpoint from 'comlink/dist/umd/node-adapter.js';
import { handOf } from '@/workers/hand';
import { workerPool } from '@/workers/pool';
import type { CoreWorker } from '@/workers/worker';
import type { Heavy } from './heavy';

/** Where the build puts the thread. */
export const CORE_THREAD = resolve('dist', 'core.thread.mjs');

/** On threads of their own: what somebody waits for goes before what is learned. */
export const heavyOnThreads = (file = CORE_THREAD, size = availableParallelism() > 2 ? 2 : 1): Heavy =>
  workerPool(() => {
    const thread = new Worker(file);
    const api = Comlink.wrap<CoreWorker>(nodeEndpoint(thread)) as unknown as CoreWorker;
    thread.unref();
    return handOf(
      api,
      (broken) => {
        thread.on('error', broken);
        thread.on('exit', () => broken(new Error('The thread ended.')));
      },
      () => void thread.terminate(),
    );
  }, size);
