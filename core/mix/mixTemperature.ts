import { thermalProperties } from '../larder';
import { massOf, thermalShares, type Parts } from './parts';

export interface Warm {
  readonly parts: Parts;
  readonly tempC: number;
}

/**
 * Temperature of things mixed together without loss: T = Σ(m c T) ÷ Σ(m c), c by Choi & Okos at each thing's own temperature.
 * @returns °C, or NaN for nothing
 */
export function mixTemperature(things: readonly Warm[]): number {
  let mc = 0;
  let mcT = 0;
  for (const { parts, tempC } of things) {
    const capacity = massOf(parts) * thermalProperties(thermalShares(parts), tempC).c;
    mc += capacity;
    mcT += capacity * tempC;
  }
  return mcT / mc;
}

/**
 * Grams of cold water to hold back and stir in so that hot + rest lands at a target, e.g. 38 °C for yeast.
 * @returns grams of cold water, or undefined when even all of it cannot reach the target
 */
export function coldWaterToReach(hot: readonly Warm[], coldC: number, targetC: number): number | undefined {
  let need = 0;
  for (const { parts, tempC } of hot)
    need += massOf(parts) * thermalProperties(thermalShares(parts), tempC).c * (tempC - targetC);
  const c = 4180 * (targetC - coldC);
  if (c <= 0 || need < 0) return undefined;
  return need / c;
}
