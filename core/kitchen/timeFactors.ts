import { EFFECT_KINDS, type EffectKind } from './kinds';
import { figure, MODEL_VERSION, type Figure } from '../units';
import type { TimeFactors } from './timeFactorsSchema';

/** One standard deviation of each before anything is known, of the logarithm of the time; they are independent. */
export const EFFECT_SIGMA: Readonly<Record<EffectKind, number>> = { steamer: 0.15, heat: 0.1, family: 0.2, plan: 0.08 };
/** Scatter of one batch about its own factor. */
export const BATCH_SIGMA = 0.12;

/** What is not known of a factor before anything is, of the logarithm. */
export const PRIOR_SIGMA = Math.hypot(...EFFECT_KINDS.map((k) => EFFECT_SIGMA[k]));

/** Who cooks what in what: the key of each effect. */
export type Who = Readonly<Record<EffectKind, string>>;
export const whoIs = (steamerId: string, heat: string, family: string, planName: string): Who => ({
  steamer: steamerId,
  heat: `${steamerId} ${heat}`,
  family,
  plan: `${family} ${planName}`,
});

export interface LogFactor {
  readonly mean: number;
  readonly sigma: number;
  /** Batches that any of its effects was seen in, at most. */
  readonly batches: number;
}

/** Covariance of two effects by their places. */
export const covarianceOf = ({ covariance }: TimeFactors, i: number, j = i): number =>
  covariance[i >= j ? (i * (i + 1)) / 2 + j : (j * (j + 1)) / 2 + i] ?? 0;

/** Logarithm of the factor for a cake in a steamer: the sum of its effects. */
export function logFactor(learned: TimeFactors, who: Who): LogFactor {
  const usable = learned.modelVersion === MODEL_VERSION ? learned.effects : [];
  let mean = 0;
  let variance = 0;
  let batches = 0;
  const at: number[] = [];
  for (const kind of EFFECT_KINDS) {
    const i = usable.findIndex((e) => e.kind === kind && e.key === who[kind]);
    const effect = usable[i];
    if (!effect) {
      variance += EFFECT_SIGMA[kind] ** 2;
      continue;
    }
    mean += effect.mean;
    batches = Math.max(batches, effect.batches);
    at.push(i);
  }
  for (const i of at) for (const j of at) variance += covarianceOf(learned, i, j);
  return { mean, sigma: Math.sqrt(Math.max(0, variance)), batches };
}

/** The factor on the model's time: 1 where nothing was learned of it, else its median; with one standard deviation of its logarithm. */
export function timeFactor(learned: TimeFactors, who: Who): Figure {
  const { mean, sigma, batches } = logFactor(learned, who);
  return figure(Math.exp(mean), batches === 0 ? 'default' : 'learned', sigma);
}

/** Factor of a steamer at a heat, whatever is in it, and from how many batches; undefined where that heat was not seen. */
export function steamerAt(
  { effects }: TimeFactors,
  steamerId: string,
  heat: string,
): { readonly factor: number; readonly batches: number } | undefined {
  const who = whoIs(steamerId, heat, '', '');
  const of = (kind: 'steamer' | 'heat') => effects.find((e) => e.kind === kind && e.key === who[kind]);
  const at = of('heat');
  return at && { factor: Math.exp((of('steamer')?.mean ?? 0) + at.mean), batches: at.batches };
}
