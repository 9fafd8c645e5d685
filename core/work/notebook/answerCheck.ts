import { sayDuration } from '../../units';
import { readiness, type Expected } from './readiness';
import { LATE, type Check } from './seen';

export interface StickyAnswer {
  readonly moreS: number;
  readonly lowS: number;
  readonly highS: number;
  readonly sentence: string;
}

/** Looking again sooner than this share of the time is not worth the steam, and never more than so long, s. */
const LEAST_SHARE = 0.08;
const LEAST_S = { sticky: 120, nearly: 60 } as const;
/** A look that would say when it is ready is as a share of the time here. */
const LOOK = 0.95;
/** Under so long it is told to the second. */
const SHORT_S = 300;

/**
 * What to do after the checks of one batch: the extra time is until the median of what forecast and checks leave, with its 80 % interval.
 * @param checks in order, the last one just made
 */
export function answerCheck(checks: readonly Pick<Check, 'afterS' | 'state'>[], expected: Expected): StickyAnswer {
  const now = checks[checks.length - 1];
  if (!now) return { moreS: 0, lowS: 0, highS: 0, sentence: 'Look again.' };
  const at = sayDuration(Math.max(1, now.afterS));
  if (now.state === 'clean') {
    const late = checks.length === 1 && now.afterS > LATE * expected.medianS;
    const earlier = late
      ? ` To learn this kitchen's pace, push a pick once at ${sayDuration(LOOK * expected.medianS)} next time.`
      : '';
    return { moreS: 0, lowS: 0, highS: 0, sentence: `Clean at ${at}: take the heat off now.${earlier}` };
  }
  const ready = readiness(checks, expected);
  const least = Math.min(LEAST_S[now.state], Math.max(10, LEAST_SHARE * now.afterS));
  const left = (chance: number) => Math.max(least, ready.by(chance) - now.afterS);
  const [lowS, moreS, highS] = [left(0.1), left(0.5), left(0.9)];
  const word = now.state === 'sticky' ? 'Sticky' : 'Nearly';
  const shift = ready.by(0.5) / expected.medianS;
  const slow =
    shift > 1.08
      ? ` That is about ${Math.round((shift - 1) * 100)} % slower than forecast.`
      : shift < 0.93
        ? ` That is about ${Math.round((1 - shift) * 100)} % faster than forecast.`
        : '';
  const minutes = (s: number) => Math.max(1, Math.round(s / 60));
  const give =
    highS < SHORT_S
      ? `${sayDuration(moreS)} more (${sayDuration(lowS)} to ${sayDuration(highS)})`
      : `${minutes(moreS)} more (${minutes(lowS)} to ${minutes(highS)})`;
  return { moreS, lowS, highS, sentence: `${word} at ${at}: give it ${give}.${slow}` };
}
