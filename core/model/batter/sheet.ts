import type { Texture } from './texture';

/** A sheet of a batter: how thick it may be to roll and how thin to lift. House model. */
export interface SheetLimits {
  /** Strain the gel bears at the bend, 0–1, at the temperature asked for. */
  readonly strain: number;
  /** Thickest that still rolls round the radius, m. */
  readonly thickestM: number;
  /** Thinnest that lifts without tearing, m. */
  readonly thinnestM: number;
}

export interface SheetInput {
  readonly texture: Pick<Texture, 'chewy'>;
  /** starch ÷ (starch + water + sugar). */
  readonly concentration: number;
  /** Grain of the flour, mass-weighted, µm. */
  readonly grainUm: number;
  /** Tapioca's share of the starch, 0–1. */
  readonly tapioca: number;
  /** Inner radius of the roll, m. */
  readonly radiusM: number;
  /** Temperature it is rolled at, °C. */
  readonly tempC: number;
}

const HOT_C = 50;
const COLD_C = 20;
const MOST_M = 0.006;

/**
 * ε_max = 0.25·(chew/5)^0.8·(0.22/C)^0.5·(20 µm/d₅₀)^0.25 at 50 °C, falling to half at 20 °C; a sheet of thickness h rolled to an inner
 * radius r is strained h ÷ 2r, so h ≤ 2 r ε_max. It lifts above 1.2 mm for rice, 0.8 with 25 % tapioca and more.
 */
export function sheetLimits(s: SheetInput): SheetLimits {
  const cold = Math.min(1, Math.max(0, (HOT_C - s.tempC) / (HOT_C - COLD_C)));
  const strain =
    0.25 *
    Math.max(0.01, s.texture.chewy / 5) ** 0.8 *
    (0.22 / Math.max(s.concentration, 0.02)) ** 0.5 *
    (20 / Math.max(s.grainUm, 1)) ** 0.25 *
    (1 - 0.5 * cold);
  const thinnestM = (1.2 - 0.4 * Math.min(1, s.tapioca / 0.25)) / 1000;
  return { strain, thickestM: Math.min(MOST_M, 2 * s.radiusM * strain), thinnestM };
}
