/** Drawing water out of cut flesh: f = f_m + (f∞ − f_m)(1 − e^(−t/τ)), share of the raw mass. House figures after kitchen weighings. */
export type Squeeze = 'drained' | 'by-hand' | 'hard';
export type DrawForm = 'pulp' | 'shreds' | 'cubes' | 'slices' | 'whole';

/** What squeezing brings at once from pulp, and in the end; shreds give half of the first, cubes none. */
const SQUEEZE: Readonly<Record<Squeeze, { readonly atOnce: number; readonly inTheEnd: number }>> = {
  drained: { atOnce: 0.05, inTheEnd: 0.22 },
  'by-hand': { atOnce: 0.18, inTheEnd: 0.38 },
  hard: { atOnce: 0.28, inTheEnd: 0.5 },
};
const AT_ONCE_BY_FORM: Readonly<Record<DrawForm, number>> = { pulp: 1, shreds: 0.5, cubes: 0, slices: 0.2, whole: 0 };
/** Time constant by cut, s: finer is faster. */
const TAU_S: Readonly<Record<DrawForm, number>> = { pulp: 240, shreds: 480, cubes: 1200, slices: 800, whole: 3600 };
/** Wilting under a lid and fruit under sugar: in the end, and the time constant, s. */
const WILT = { inTheEnd: 0.3, tauS: 300 } as const;
const SUGARED = { inTheEnd: 0.12, tauS: 480 } as const;

/** One standard deviation of a drawn share, as a share of it: one radish is not the next. */
export const DRAW_SPREAD = 0.15;

/**
 * Share of the raw mass that leaves as juice when drawn by salt for a time and then squeezed.
 * @param salted unsalted flesh gives only what squeezing brings at once
 */
export function squeezedShare(squeeze: Squeeze, form: DrawForm, timeS: number, salted: boolean): number {
  const { atOnce, inTheEnd } = SQUEEZE[squeeze];
  const now = atOnce * AT_ONCE_BY_FORM[form];
  return salted ? now + (inTheEnd - now) * (1 - Math.exp(-timeS / TAU_S[form])) : now;
}

/** Share of the raw mass that wilts out under a lid, f = 0.30 (1 − e^(−t/5 min)). */
export const wiltedShare = (timeS: number): number => WILT.inTheEnd * (1 - Math.exp(-timeS / WILT.tauS));

/** Share of ripe fruit that sugar draws, f = 0.12 (1 − e^(−t/8 min)). */
export const sugaredShare = (timeS: number): number => SUGARED.inTheEnd * (1 - Math.exp(-timeS / SUGARED.tauS));
