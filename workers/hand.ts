import * as Comlink from 'comlink';
import type { Answer, Asked, CoreWorker, JobName } from './worker';

/** A worker as whoever asks has it. */
export interface Hand {
  readonly work: <J extends JobName>(ticket: number, job: J, ...asked: Asked<J>) => Promise<Answer<J>>;
  /** Nobody waits for that run any more: it ends, soon, without an answer. */
  readonly leave: (ticket: number) => void;
  /** Fails when the worker does: one that cannot start, or breaks, never answers. */
  readonly broken: Promise<never>;
  readonly end: () => void;
}

/** @param listen calls once the worker is broken @param api the worker from outside */
export function handOf(
  api: Pick<CoreWorker, 'work'> & { readonly leave: (ticket: number) => unknown },
  listen: (broken: (why: Error) => void) => void,
  end: () => void,
): Hand {
  const broken = new Promise<never>((_, fail) => listen(fail));
  broken.catch(() => undefined);
  return {
    // What is to be told on the way is called from the other side.
    work: (ticket, job, ...asked) => api.work(ticket, job, ...(asked.map(callable) as typeof asked)),
    leave: (ticket) => void api.leave(ticket),
    broken,
    end,
  };
}
const callable = (x: unknown): unknown => (typeof x === 'function' ? Comlink.proxy(x as (...of: never) => unknown) : x);
