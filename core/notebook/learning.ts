import type { Kitchen, TimeFactors, Who } from '../kitchen';
import type { Facts, Seen } from './facts';
import { learnTimes } from './learnTimes';
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
  readonly used: boolean;
}

/** True for a batch that the cook has not had forgotten. */
export const isKept = (batch: Pick<KeptBatch, 'id' | 'startedAt'>, forgotten: Kitchen['forgotten']): boolean =>
  !forgotten.batches.includes(batch.id) && (forgotten.before === undefined || batch.startedAt >= forgotten.before);

/** Shorter than this a time is no time, s. */
const LEAST_S = 5;

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
      const bounds = boundsOf(b.seen.checks);
      if (!bounds) return [];
      const time = modelS(b);
      return [
        {
          batch: { id: b.id, name: b.name, startedAt: b.startedAt },
          who: b.facts.who,
          modelS: time,
          bounds,
          used: isKept(b, forgotten) && time !== undefined && time > LEAST_S,
        },
      ];
    });

/** What evidence teaches of times. */
export const learnFromEvidence = (evidence: readonly Evidence[]): TimeFactors =>
  learnTimes(
    evidence.flatMap((e): readonly SeenBatch[] =>
      e.used && e.modelS !== undefined && e.bounds ? [{ who: e.who, modelS: e.modelS, ...e.bounds }] : [],
    ),
  );
