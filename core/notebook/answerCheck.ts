import { BATCH_SIGMA, EFFECT_KINDS, EFFECT_SIGMA } from '../kitchen';
import { normalCdf, normalQuantile } from './normal';
import { boundsOf, type Check } from './seen';

/** Uncertainty of the factor before anything is known, of the logarithm. */
export const PRIOR_SIGMA = Math.hypot(...EFFECT_KINDS.map((k) => EFFECT_SIGMA[k]));

/** When this batch should be ready before it is looked at: median, s, and what is not known of the factor, of its logarithm. */
export interface Expected {
  readonly medianS: number;
  readonly sigma: number;
}

export interface StickyAnswer {
  readonly moreS: number;
  readonly lowS: number;
  readonly highS: number;
  readonly sentence: string;
}

const minutes = (s: number) => Math.max(0, Math.round(s / 60));

/**
 * What to do after the checks of one batch: its time is log-normal about what was expected, with its own scatter, and lies where the checks
 * say. The extra time is until the median of that, with its 80 % interval.
 * @param checks in order, the last one just made
 */
export function answerCheck(checks: readonly Pick<Check, 'afterS' | 'state'>[], expected: Expected): StickyAnswer {
  const now = checks[checks.length - 1];
  const bounds = now && boundsOf(checks);
  if (!now || !bounds) return { moreS: 0, lowS: 0, highS: 0, sentence: 'Look again.' };
  const at = minutes(now.afterS);
  if (now.state === 'clean')
    return { moreS: 0, lowS: 0, highS: 0, sentence: `Clean at ${at} min: take the heat off now.` };
  const sigma = Math.hypot(expected.sigma, BATCH_SIGMA);
  const z = (s: number) => (Math.log(Math.max(s, 1)) - Math.log(Math.max(expected.medianS, 1))) / sigma;
  const from = bounds.notBeforeS > 0 ? normalCdf(z(bounds.notBeforeS)) : 0;
  const to = Number.isFinite(bounds.notAfterS) ? normalCdf(z(bounds.notAfterS)) : 1;
  const timeAt = (share: number): number => {
    // Beyond what was thought possible: the time goes on as it does in a tail, about an eighth of a standard deviation at a time.
    if (to - from < 1e-6) return now.afterS * Math.exp(sigma * sigma * (0.2 + share));
    return expected.medianS * Math.exp(sigma * normalQuantile(from + share * (to - from)));
  };
  const least = now.state === 'sticky' ? 120 : 60;
  const left = (share: number) => Math.max(least, timeAt(share) - now.afterS);
  const [lowS, moreS, highS] = [left(0.1), left(0.5), left(0.9)];
  const word = now.state === 'sticky' ? 'Sticky' : 'Nearly';
  const shift = timeAt(0.5) / expected.medianS;
  const slow =
    shift > 1.08
      ? ` That is about ${Math.round((shift - 1) * 100)} % slower than forecast.`
      : shift < 0.93
        ? ` That is about ${Math.round((1 - shift) * 100)} % faster than forecast.`
        : '';
  return {
    moreS,
    lowS,
    highS,
    sentence: `${word} at ${at} min: give it ${minutes(moreS)} more (${minutes(lowS)} to ${minutes(highS)}).${slow}`,
  };
}
