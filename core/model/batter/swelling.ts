import type { StarchKind } from '../../larder';
import { equilibriumGel, gelRate, type Gelling } from '../heat';

/** Effective swelling power near 90 °C, g/g (order after Leach, McCowen and Schoch 1959). */
export const SWELLING_POWER: Readonly<Record<StarchKind, number>> = {
  rice: 9,
  glutinous: 16,
  tapioca: 22,
  potato: 30,
  maize: 10,
  wheat: 9,
  sweetPotato: 14,
  mungBean: 8,
  waterChestnut: 9,
  arrowroot: 18,
};

/** Swollen ÷ dry volume of a granule: Qv = 1 + 1.5 (SP − 1). */
export const swollenVolume = (kind: StarchKind): number => 1 + 1.5 * (SWELLING_POWER[kind] - 1);

/** Swelling runs ahead of setting: its midpoint lies this much lower, and it is this wide, °C. */
const AHEAD_C = 9;
const WIDTH_C = 4;

/** Swelling degree that a temperature leads to. */
export const equilibriumSwelling = (tempC: number, midpointC: number): number =>
  1 / (1 + Math.exp(-(tempC - (midpointC - AHEAD_C)) / WIDTH_C));

/** Below this there is no swelling worth counting, °C under the midpoint: it keeps a cold slurry raw. */
const NOTHING_BELOW_C = 30;

/**
 * Set degree after a time at one temperature: G + (Geq − G)(1 − e^(−k t)) where Geq is the higher, section 6's kinetics.
 * @param degree set degree before, 0–1
 */
export function heldSet(degree: number, tempC: number, g: Gelling, timeS: number): number {
  if (tempC < g.midpointC - NOTHING_BELOW_C) return degree;
  const goal = equilibriumGel(tempC, g);
  return goal <= degree ? degree : degree + (goal - degree) * (1 - Math.exp(-g.rate * gelRate(tempC) * timeS));
}

/** Swelling degree after a time at one temperature: the same law, 9 °C lower and 4 °C wide. */
export function heldSwelling(degree: number, tempC: number, g: Gelling, timeS: number): number {
  if (tempC < g.midpointC - NOTHING_BELOW_C) return degree;
  const goal = equilibriumSwelling(tempC, g.midpointC);
  return goal <= degree ? degree : degree + (goal - degree) * (1 - Math.exp(-g.rate * gelRate(tempC) * timeS));
}
