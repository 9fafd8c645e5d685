import type { Turns } from '@/core/units';

/** Messages have their turn after so long, ms, and after so many times as long as the last turn took: turns have no more than a fiftieth of the time. */
export const TURN_MS = 12;
const AS_LONG = 50;

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
    forMs = Math.max(TURN_MS, AS_LONG * (since - at));
  }
}
