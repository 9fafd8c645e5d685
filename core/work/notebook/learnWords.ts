import { covarianceOf, EFFECT_SIGMA, type EffectKind, type TimeFactors } from '../../kitchen';
import { Z80 } from '../../units';

/** One effect as a cook reads it: whose, what it does to the minutes, and from how much. */
export interface LearnedEffect {
  readonly kind: EffectKind;
  readonly key: string;
  readonly factor: number;
  readonly low: number;
  readonly high: number;
  readonly batches: number;
  /** Share of what was not known of it that is known now, 0–1. */
  readonly known: number;
}

/** Every learned effect with its 80 % interval, the surest first within its kind. */
export function learnedEffects(learned: TimeFactors): readonly LearnedEffect[] {
  return learned.effects
    .map((e, i): LearnedEffect => {
      const variance = Math.max(0, covarianceOf(learned, i));
      const sigma = Math.sqrt(variance);
      return {
        kind: e.kind,
        key: e.key,
        batches: e.batches,
        factor: Math.exp(e.mean),
        low: Math.exp(e.mean - Z80 * sigma),
        high: Math.exp(e.mean + Z80 * sigma),
        known: Math.max(0, 1 - variance / EFFECT_SIGMA[e.kind] ** 2),
      };
    })
    .sort((a, b) => b.known - a.known);
}
