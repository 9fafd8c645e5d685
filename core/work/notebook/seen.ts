import type { Who } from '../../kitchen';
import type { BatchEvent } from './events';

/** "Nearly" means set within this share more time. */
const NEARLY = 1.15;
/** A first look that is clean so many times as late as was expected says nothing of when it was ready: the cook did not look for that. */
export const LATE = 1.15;
/** What was seen of when a batch was ready: not before, not after, s in the steam. */
export interface Bounds {
  readonly notBeforeS: number;
  readonly notAfterS: number;
}

export type Check = Extract<BatchEvent, { kind: 'checked' }>;

/**
 * What the checks of one batch say together: it was not ready when it was last found sticky or nearly so, and ready by the first clean pick.
 * Where they contradict each other the last word counts. Undefined without any.
 */
export function boundsOf(checks: readonly Pick<Check, 'afterS' | 'state'>[]): Bounds | undefined {
  if (checks.length === 0) return undefined;
  let notBeforeS = 0;
  let notAfterS = Infinity;
  for (const { afterS, state } of checks) {
    const [from, to] =
      state === 'sticky' ? [afterS, Infinity] : state === 'clean' ? [0, afterS] : [afterS, afterS * NEARLY];
    notBeforeS = Math.max(notBeforeS, from);
    notAfterS = Math.min(notAfterS, to);
    if (notBeforeS >= notAfterS) {
      // Sticky after it was nearly, or clean after less than that: what was just seen holds.
      notBeforeS = state === 'clean' ? 0 : from;
      notAfterS = to;
    }
  }
  return { notBeforeS, notAfterS };
}

/** One batch as learning sees it: who, the model's own time, s, and what was seen. */
export interface SeenBatch extends Bounds {
  readonly who: Who;
  readonly modelS: number;
}
