import { POWDER_AT_ONCE, POWDER_GAS_ML_PER_G } from '../model/batter';
import { KELVIN } from '../units';
import type { Flow } from './flow';
import { volumeOf } from './look';
import { partsOfStream, streamMass, type Stream } from './stream';

/** Gas grows with its temperature up to the steam's, K. */
const STEAM_K = 373;

/**
 * Height after ÷ before cooking, by the gas that a batter brings to the pan and the powder that works in the heat, at most the family's rise;
 * hot gas beyond that escapes.
 * @param pan the batter as it lies in the pan
 * @param most the family's rise
 */
export function riseOf(flow: Flow, pan: Stream, most: number): number {
  const ml = volumeOf(partsOfStream(pan));
  if (ml <= 0) return most;
  const powderG = flow.lines.reduce(
    (a, l, i) => (l.ingredient === 'baking-powder' ? a + streamMass({ ...pan, from: i, to: i + 1 }) : a),
    0,
  );
  const held = pan.gasMl * (STEAM_K / (pan.tempC + KELVIN));
  const hot = powderG * POWDER_GAS_ML_PER_G * (1 - POWDER_AT_ONCE) * (STEAM_K / (20 + KELVIN));
  return Math.min(most, 1 + (held + hot) / ml);
}
