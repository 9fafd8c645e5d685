import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { CopyTrouble } from '@/db/copy';
import { STOP, workBy, type CopyTold, type CopyWork } from './work';

/** Where the build puts the thread. */
export const COPY_THREAD = resolve('dist', 'copy.thread.mjs');

/** On a thread of its own for each copy, so that pages are answered meanwhile. */
export const copyThread = (live: string, file = COPY_THREAD): CopyWork =>
  workBy(
    live,
    (asked, { signal, onProgress }) =>
      new Promise((done, fail) => {
        const thread = new Worker(file, { workerData: asked });
        const stop = () => thread.postMessage(STOP);
        const end = () => {
          signal?.removeEventListener('abort', stop);
          void thread.terminate();
        };
        signal?.addEventListener('abort', stop);
        thread.on('message', (told: CopyTold) => {
          if ('progress' in told) {
            onProgress?.(told.progress);
            return;
          }
          end();
          if ('done' in told) done(told.done);
          else
            fail(
              told.failed.code === undefined
                ? new Error(told.failed.words)
                : new CopyTrouble(told.failed.code as CopyTrouble['code'], told.failed.words),
            );
        });
        thread.on('error', (e) => {
          end();
          fail(e);
        });
        thread.on('exit', () => fail(new Error('The thread of the copy ended.')));
        if (signal?.aborted) stop();
      }),
  );
