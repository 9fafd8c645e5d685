import type * as Comlink from 'comlink';
import type { Hand } from './hand';

/** Workers to use: all the cores there are, four at most, since each keeps its own copy of the core. */
export const coresHere = (): number =>
  Math.min(4, Math.max(1, (globalThis as { navigator?: Navigator }).navigator?.hardwareConcurrency ?? 2));

/**
 * Some workers that share a row of tasks. Tasks of an aborted run are dropped from the row; one that is being worked on is let finish and its
 * answer is thrown away. A worker that breaks fails its task and is replaced for the next.
 */
export function workerPool<T>(make: () => Hand<T>, size: number = coresHere()) {
  type Task = (hand: Hand<T>) => Promise<void>;
  const row: Task[] = [];
  const hands: (Hand<T> | undefined)[] = Array.from({ length: size }, () => undefined);
  const busy = hands.map(() => false);
  let ended = false;

  async function work(at: number): Promise<void> {
    if (busy[at]) return;
    busy[at] = true;
    for (let task = row.shift(); task && !ended; task = row.shift()) {
      const hand = (hands[at] ??= make());
      try {
        await task(hand);
      } catch {
        hand.worker.terminate();
        hands[at] = undefined;
      }
    }
    busy[at] = false;
  }
  const wake = () => hands.forEach((_, at) => void work(at));

  return {
    /** Does one task on whichever worker is free first. Fails as the task does, or with its `signal`. */
    run<R>(task: (api: Comlink.Remote<T>) => Promise<R>, signal?: AbortSignal): Promise<R> {
      return new Promise<R>((done, fail) => {
        row.push(async (hand) => {
          if (signal?.aborted) return fail(signal.reason as Error);
          try {
            done(await Promise.race([task(hand.api), hand.broken]));
          } catch (e) {
            fail(e as Error);
            throw e;
          }
        });
        wake();
      });
    },
    end() {
      ended = true;
      row.length = 0;
      hands.forEach((h) => h?.worker.terminate());
    },
  };
}
export type WorkerPool<T> = ReturnType<typeof workerPool<T>>;
