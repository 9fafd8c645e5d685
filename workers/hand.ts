import * as Comlink from 'comlink';

/** A worker and what it can do. */
export interface Hand<T> {
  readonly worker: Pick<Worker, 'terminate'>;
  readonly api: Comlink.Remote<T>;
  /** Fails when the worker does: one that cannot start, or breaks, never answers. */
  readonly broken: Promise<never>;
}

export function handOf<T>(worker: Worker): Hand<T> {
  const broken = new Promise<never>((_, fail) => {
    worker.addEventListener('error', (e) => fail(new Error(e.message || 'the worker could not start')));
    worker.addEventListener('messageerror', () => fail(new Error('the worker sent what could not be read')));
  });
  broken.catch(() => undefined);
  return { worker, api: Comlink.wrap<T>(worker), broken };
}

const TRIES = 2;

/** One worker kept for the next time. What fails is tried once more with a new one, then told. */
export function keptHand<T>(make: () => Hand<T>) {
  let hand: Hand<T> | undefined;
  return async <R>(work: (api: Comlink.Remote<T>) => Promise<R>): Promise<R> => {
    for (let tries = 1; ; tries++) {
      hand ??= make();
      const mine = hand;
      try {
        return await Promise.race([work(mine.api), mine.broken]);
      } catch (e) {
        mine.worker.terminate();
        if (hand === mine) hand = undefined;
        if (tries >= TRIES) throw e;
      }
    }
  };
}
