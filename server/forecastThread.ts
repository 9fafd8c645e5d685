import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { TimeAsked, TimeTold } from '@/workers/forecast.thread';
import type { Forecaster } from './forecaster';

/** Where the build puts the thread. */
export const THREAD = resolve('dist', 'forecast.thread.mjs');
/** A thread that has nothing to do for so long is let go, ms. */
const IDLE_MS = 30_000;

/** On a thread of its own, made when it is first asked and let go when it rests. A thread that dies fails what it was asked; the next gets a new one. */
export function forecastThread(file = THREAD): Forecaster {
  let thread: Worker | undefined;
  let ticket = 0;
  let idle: NodeJS.Timeout | undefined;
  const open = new Map<number, { done: (s: number | undefined) => void; fail: (e: Error) => void }>();
  const letGo = async (why?: Error) => {
    const was = thread;
    thread = undefined;
    clearTimeout(idle);
    for (const { fail } of open.values()) fail(why ?? new Error('The thread was ended.'));
    open.clear();
    await was?.terminate();
  };
  const start = (): Worker => {
    const made = new Worker(file);
    made.on('message', ({ ticket: of, unlearnedS }: TimeTold) => {
      open.get(of)?.done(unlearnedS);
      open.delete(of);
      if (open.size === 0) idle = setTimeout(() => void letGo(), IDLE_MS).unref();
    });
    made.on('error', (e) => {
      if (thread === made) void letGo(e);
    });
    made.unref();
    return made;
  };
  return {
    timeOf: (plan, kitchen) =>
      new Promise((done, fail) => {
        clearTimeout(idle);
        thread ??= start();
        const mine = ++ticket;
        open.set(mine, { done, fail });
        thread.postMessage({ ticket: mine, plan, kitchen } satisfies TimeAsked);
      }),
    end: () => letGo(),
  };
}
