import type { Turns } from '@/core/units';

/**
 * Messages have their turn after so long, ms, and after so many times as long as a turn takes: turns have no more than a fiftieth of the time. What a
 * turn takes is the least of the last few: one that was held up, by what it let in or by a busy machine, does not shut out those that come next.
 */
export const TURN_MS = 12;
const AS_LONG = 50;
const LAST = 3;

/** Why a run has no answer: it was given up. */
export class Left extends Error {
  override name = 'Left';
}

/**
 * Does work in turns: every so often, between two of its steps, messages are let through, and it is left where that is wanted by then.
 * @param turn lets messages through
 * @param isLeft true once nobody waits for it any more
 * Errors: {@link Left}, and those of the work.
 */
export async function inTurns<T>(
  work: Turns<T>,
  turn: () => Promise<void>,
  isLeft: () => boolean,
  now: () => number = () => performance.now(),
): Promise<T> {
  let since = now();
  let took: readonly number[] = Array.from({ length: LAST }, () => 0);
  let forMs = TURN_MS;
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    const at = now();
    if (at - since < forMs) continue;
    await turn();
    if (isLeft()) {
      work.return(undefined as T);
      throw new Left('It was given up.');
    }
    since = now();
    took = [...took.slice(1), since - at];
    forMs = Math.max(TURN_MS, AS_LONG * Math.min(...took));
  }
}
