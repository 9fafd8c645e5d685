/** One check at the stove against the model: seconds in the steamer, what was seen, and the unlearned first-clean-pick time. */
export interface Check {
  readonly afterS: number;
  readonly state: 'sticky' | 'nearly' | 'clean';
  readonly modelS: number;
}

/** Prior: log-normal, median 1, σ 0.30; each check is an interval-censored observation with log-noise 0.12. */
const PRIOR_SIGMA = 0.3;
const NOISE = 0.12;
/** "Nearly" means set within this share more time. */
const NEARLY = 1.15;
const GRID = 401;
const SPAN = 1.2;

/** Standard normal distribution function, via erf by Abramowitz & Stegun (1964) 7.1.26, |error| < 1.5e-7. */
export function normalCdf(x: number): number {
  const z = Math.abs(x) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * z);
  const erf =
    1 -
    t *
      (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
      Math.exp(-z * z);
  return x >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

export interface FactorPosterior {
  readonly median: number;
  readonly low: number;
  readonly high: number;
  readonly checks: number;
}

/**
 * Posterior of a steamer's factor on the model's time, on a grid in log F.
 * @returns median and 80 % interval (10th and 90th percentile)
 */
export function steamerPosterior(checks: readonly Check[]): FactorPosterior {
  const logs = Array.from({ length: GRID }, (_, i) => -SPAN + (2 * SPAN * i) / (GRID - 1));
  const weights = logs.map((logF) => {
    let w = Math.exp(-0.5 * (logF / PRIOR_SIGMA) ** 2);
    for (const c of checks) {
      const beyond = (t: number) => normalCdf((logF + Math.log(c.modelS) - Math.log(Math.max(t, 1))) / NOISE);
      w *= Math.max(
        1e-12,
        c.state === 'sticky'
          ? beyond(c.afterS)
          : c.state === 'clean'
            ? 1 - beyond(c.afterS)
            : beyond(c.afterS) - beyond(c.afterS * NEARLY),
      );
    }
    return w;
  });
  const sum = weights.reduce((a, b) => a + b, 0);
  const at = (share: number): number => {
    let run = 0;
    for (let i = 0; i < GRID; i++) {
      const next = run + weights[i] / sum;
      if (next >= share) {
        const u = i === 0 ? 1 : (share - run) / Math.max(next - run, 1e-15);
        return Math.exp(i === 0 ? logs[0] : logs[i - 1] + u * (logs[i] - logs[i - 1]));
      }
      run = next;
    }
    return Math.exp(SPAN);
  };
  return { median: at(0.5), low: at(0.1), high: at(0.9), checks: checks.length };
}

export interface StickyAnswer {
  readonly moreS: number;
  readonly lowS: number;
  readonly highS: number;
  readonly factor: FactorPosterior;
  readonly sentence: string;
}

const minutes = (s: number) => Math.max(0, Math.round(s / 60));

/**
 * What to do after a check: the extra time until set, from what the checks so far say of this steamer.
 * @param earlier checks of earlier batches in this steamer at this heat
 */
export function answerCheck(now: Check, earlier: readonly Check[] = []): StickyAnswer {
  const factor = steamerPosterior([...earlier, now]);
  const left = (f: number) => Math.max(0, f * now.modelS - now.afterS);
  const at = minutes(now.afterS);
  if (now.state === 'clean')
    return { moreS: 0, lowS: 0, highS: 0, factor, sentence: `Clean at ${at} min: take the heat off now.` };
  const least = now.state === 'sticky' ? 120 : 60;
  const moreS = Math.max(least, left(factor.median));
  const lowS = Math.max(least, left(factor.low));
  const highS = Math.max(moreS, left(factor.high));
  const word = now.state === 'sticky' ? 'Sticky' : 'Nearly';
  const slow =
    factor.median > 1.08
      ? ` This steamer runs about ${Math.round((factor.median - 1) * 100)} % slow.`
      : factor.median < 0.93
        ? ` This steamer runs about ${Math.round((1 - factor.median) * 100)} % fast.`
        : '';
  return {
    moreS,
    lowS,
    highS,
    factor,
    sentence: `${word} at ${at} min: give it ${minutes(moreS)} more (${minutes(lowS)} to ${minutes(highS)}).${slow}`,
  };
}
