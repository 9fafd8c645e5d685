import { BATCH_SIGMA, PRIOR_SIGMA, type Kitchen, type TimeFactors, type Who } from '../../kitchen';
import type { Facts, Seen } from './facts';
import { learnTimes } from './learnTimes';
import { LEAST_STEAMED_S } from './events';
import { boundsOf, type Bounds, type SeenBatch } from './seen';

/** A finished batch as the notebook keeps it. */
export interface KeptBatch {
  readonly id: string;
  readonly name: string;
  readonly startedAt: string;
  readonly finishedAt: string | null;
  readonly facts: Facts;
  readonly seen: Seen;
}

/** One batch as evidence: what the models of today say of it, s, and what was seen; left out where the cook says so, or where there is nothing. */
export interface Evidence {
  readonly batch: { readonly id: string; readonly name: string; readonly startedAt: string };
  readonly who: Who;
  readonly modelS: number | undefined;
  readonly bounds: Bounds | undefined;
  /** So far from the model's time that it counts only once the cook has said that it is right. */
  readonly odd: boolean;
  readonly used: boolean;
}

/** True for a batch that the cook has not had forgotten. */
export const isKept = (batch: Pick<KeptBatch, 'id' | 'startedAt'>, forgotten: Kitchen['forgotten']): boolean =>
  !forgotten.batches.includes(batch.id) && (forgotten.before === undefined || batch.startedAt >= forgotten.before);

/** Shorter than this a time is no time, s. */
const LEAST_S = 5;

/** One batch before anything is known of it: one standard deviation of the logarithm of its time; beyond three of them it is asked about. */
const PREDICTED_SIGMA = Math.hypot(PRIOR_SIGMA, BATCH_SIGMA);
export const ODD_SIGMAS = 3;
/** One batch says no more than this of the logarithm of a time: what it teaches never halves nor doubles a plan. */
const MOST_SAID = 0.65;

/** How many standard deviations what was seen lies from a time by the models, s; 0 where the time lies within. */
export function sigmasOff({ notBeforeS, notAfterS }: Bounds, modelS: number, sigma = PREDICTED_SIGMA): number {
  const near = notAfterS < modelS ? notAfterS : notBeforeS > modelS ? notBeforeS : modelS;
  return Math.abs(Math.log(Math.max(near, 1) / Math.max(modelS, 1))) / sigma;
}
const withinSaid = ({ notBeforeS, notAfterS }: Bounds, modelS: number): Bounds => ({
  notBeforeS: Math.min(notBeforeS, modelS * Math.exp(MOST_SAID)),
  notAfterS: Math.max(notAfterS, modelS * Math.exp(-MOST_SAID)),
});

/** Sign by sign, as places in a list are compared. */
const bySign = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/**
 * The evidence of finished batches, oldest first.
 * @param modelS the time of a batch's plan by the models of today, before learning, s; undefined where it cannot be forecast any more
 */
export const evidenceOf = (
  batches: readonly KeptBatch[],
  modelS: (b: KeptBatch) => number | undefined,
  forgotten: Kitchen['forgotten'],
): readonly Evidence[] =>
  batches
    .filter((b) => b.finishedAt !== null)
    .sort((a, b) => bySign(a.startedAt, b.startedAt) || bySign(a.id, b.id))
    .flatMap((b): readonly Evidence[] => {
      // A check that was made without a beginning says nothing of a time.
      const bounds = boundsOf(b.seen.checks.filter((c) => c.afterS >= LEAST_STEAMED_S));
      if (!bounds) return [];
      const time = modelS(b);
      const odd = !b.seen.vouched && time !== undefined && sigmasOff(bounds, time) > ODD_SIGMAS;
      return [
        {
          batch: { id: b.id, name: b.name, startedAt: b.startedAt },
          who: b.facts.who,
          modelS: time,
          bounds,
          odd,
          used: isKept(b, forgotten) && !odd && time !== undefined && time > LEAST_S,
        },
      ];
    });

/** What evidence teaches of times. */
export const learnFromEvidence = (evidence: readonly Evidence[]): TimeFactors =>
  learnTimes(
    evidence.flatMap((e): readonly SeenBatch[] =>
      e.used && e.modelS !== undefined && e.bounds
        ? [{ who: e.who, modelS: e.modelS, ...withinSaid(e.bounds, e.modelS) }]
        : [],
    ),
  );
