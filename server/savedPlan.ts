import { problem } from '@/core/units';
import type { Saved } from '@/db';
import { json, refuse } from './http';

export const goneProblem = problem('no-such-plan', 'id', 'That plan is not here any more; it may have been deleted.');

/** How a save of a plan went, as an answer. */
export function savedAnswer(done: Saved): Response {
  if ('missing' in done) return refuse([goneProblem]);
  if ('stale' in done)
    return refuse(
      [
        problem(
          'stale',
          'revision',
          'This plan was changed in another window since you opened it. Both versions are kept: choose which to go on with.',
        ),
      ],
      done.stale,
    );
  return json(done.saved);
}
