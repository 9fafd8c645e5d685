import { normalCdf, normalQuantile } from '../../units';
import { boundsOf, type Check } from './seen';

/** When this batch should be ready: median, s, and one standard deviation of its logarithm, all that is not known counted in. */
export interface Expected {
  readonly medianS: number;
  readonly sigma: number;
}

export interface Readiness {
  /** Chance that it is ready at a time in the steam, 0–1. */
  readonly chanceAt: (timeS: number) => number;
  /** Time by which it is ready with a chance, 0–1, s. */
  readonly by: (chance: number) => number;
}

/** Beyond what was thought possible the time goes on as it does in a tail: by so much of a standard deviation squared. */
const TAIL = 0.2;

/** What the forecast and the checks say together: the forecast's log-normal, kept to what the checks leave of it. */
export function readiness(checks: readonly Pick<Check, 'afterS' | 'state'>[], { medianS, sigma }: Expected): Readiness {
  const bounds = boundsOf(checks) ?? { notBeforeS: 0, notAfterS: Infinity };
  const cdf = (s: number) =>
    s <= 0 ? 0 : Number.isFinite(s) ? normalCdf(Math.log(s / Math.max(medianS, 1)) / sigma) : 1;
  const from = cdf(bounds.notBeforeS);
  const to = cdf(bounds.notAfterS);
  const last = checks[checks.length - 1]?.afterS ?? 0;
  if (to - from < 1e-6)
    return {
      chanceAt: (s) => Math.min(1, Math.max(0, Math.log(Math.max(s, 1) / Math.max(last, 1)) / sigma ** 2 - TAIL)),
      by: (chance) => last * Math.exp(sigma ** 2 * (TAIL + chance)),
    };
  return {
    chanceAt: (s) => Math.min(1, Math.max(0, (cdf(s) - from) / (to - from))),
    by: (chance) =>
      Math.min(
        bounds.notAfterS,
        Math.max(bounds.notBeforeS, medianS * Math.exp(sigma * normalQuantile(from + chance * (to - from)))),
      ),
  };
}
