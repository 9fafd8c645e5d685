import type { Larder } from '../larder';
import type { Batter } from '../plan';
import { ingredientOf } from '../plan';
import type { BatterBalance } from './balanceBatter';
import { partsOf } from './parts';

/** Random close packing of the wet grains. */
export const PHI_MAX = 0.58;
const DOUGH_ABOVE = 0.95 * PHI_MAX;
/** Dry starch density, g/ml. */
const STARCH_DENSITY = 1.5;

/** Landmarks beside the number, mPa·s. */
export const LANDMARKS = [
  { words: 'thin milk', mPas: 2 },
  { words: 'single cream', mPas: 10 },
  { words: 'thin paint', mPas: 40 },
  { words: 'double cream', mPas: 100 },
  { words: 'pancake batter', mPas: 1000 },
  { words: 'spoonable paste', mPas: 10_000 },
] as const;

export interface Consistency {
  /** Volume share of wet grains, 0–1. */
  readonly phi: number;
  /** mPa·s; absent when it is a dough. */
  readonly viscosityMPas: number | undefined;
  readonly serumMPas: number;
  readonly words: string;
  /** Seconds for the top 5 % of a 10 cm bowl to clear: stir before each pour once this has passed. */
  readonly stirEveryS: number;
}

/**
 * Relative viscosity of a suspension, Krieger & Dougherty (1959): ηr = (1 − φ/φm)^(−2.5 φm).
 * @returns ηr, or undefined above 0.95 φm, where it is a dough
 */
export function relativeViscosity(phi: number, phiMax = PHI_MAX): number | undefined {
  if (phi > 0.95 * phiMax) return undefined;
  return (1 - phi / phiMax) ** (-2.5 * phiMax);
}

/** Serum viscosity, mPa·s: water × e^(2.9 s/(1 − 0.8 s)) for sugar s, × (1 + 2.5 φf + 10 φf²) for fat volume share φf. */
export function serumViscosity(sugarPhase: number, fatVolumeShare: number): number {
  return Math.exp((2.9 * sugarPhase) / (1 - 0.8 * sugarPhase)) * (1 + 2.5 * fatVolumeShare + 10 * fatVolumeShare ** 2);
}

/** The landmark nearest on a log scale. */
export function landmarkFor(mPas: number | undefined): string {
  if (mPas === undefined) return 'a dough: it will not pour';
  return LANDMARKS.reduce((a, b) => (Math.abs(Math.log(b.mPas / mPas)) < Math.abs(Math.log(a.mPas / mPas)) ? b : a))
    .words;
}

/**
 * Hindered settling speed, m/s: Stokes with Richardson & Zaki (1954), v = Δρ g d² (1 − φ)^4.65 ÷ (18 η).
 * @param grainUm grain diameter, µm
 * @param serumMPas serum viscosity, mPa·s
 * @param deltaRho grain minus serum density, kg/m³
 */
export function settlingSpeed(grainUm: number, phi: number, serumMPas: number, deltaRho = 500): number {
  const d = grainUm * 1e-6;
  return (deltaRho * 9.81 * d * d * (1 - phi) ** 4.65) / (18 * serumMPas * 1e-3);
}

/** Serum density minus water's, kg/m³, from its sugar. */
const sugarLift = (s: number): number => 1 / (s / 1590 + (1 - s) / 997) - 997;

/** Consistency of one batter before cooking; absorption and grain size come from its own flours. */
export function consistencyOf(batter: Batter, balance: BatterBalance, larder: Larder, bowlDepthM = 0.1): Consistency {
  let starchG = 0;
  let wetVolume = 0;
  let coarsest = 0;
  const dry = balance.dryBlendG;
  for (const line of batter.lines) {
    const ing = ingredientOf(larder, line);
    if (!ing.starchKind) continue;
    const s = partsOf(ing, line.massG).starch;
    starchG += s;
    wetVolume += (s / STARCH_DENSITY) * (ing.absorption ?? 1.15);
    if (dry > 0 && (balance.shares[ing.id] ?? 0) > 0.1) coarsest = Math.max(coarsest, ing.grainUm ?? 15);
  }
  const phi = balance.volumeMl > 0 ? wetVolume / balance.volumeMl : 0;
  const serumVolume = Math.max(balance.volumeMl - starchG / STARCH_DENSITY, 1e-9);
  const fatShare = balance.parts.fat / 0.915 / serumVolume;
  const serumMPas = serumViscosity(balance.sugarPhase, Math.min(fatShare, 0.5));
  const relative = phi > DOUGH_ABOVE ? undefined : relativeViscosity(phi);
  const viscosityMPas = relative === undefined ? undefined : serumMPas * relative;
  const speed =
    coarsest > 0
      ? settlingSpeed(coarsest, Math.min(phi, 0.9), serumMPas, Math.max(50, 500 - sugarLift(balance.sugarPhase)))
      : 0;
  return {
    phi,
    viscosityMPas,
    serumMPas,
    words: landmarkFor(viscosityMPas),
    stirEveryS: speed > 0 ? (0.05 * bowlDepthM) / speed : Infinity,
  };
}
