import { sayMm } from '../units';
import type { Steamer, Vessel } from '../kitchen';
import { fillOf, type Fill } from './fill';

export interface PanChoice {
  readonly vessel: Vessel;
  readonly count: number;
  readonly fill: Fill;
  readonly why: string;
}

/**
 * The rack's vessels and counts for a batter, best first: those that fit and hit the depth band with the fewest loads, then nearest to its middle.
 * @param volumeMl whole batter, ml
 * @returns at most `most` choices; empty when nothing on the rack holds it
 */
export function choosePans(
  rack: readonly Vessel[],
  steamer: Steamer,
  volumeMl: number,
  rise: number,
  bandMm: readonly [number, number],
  most = 5,
): readonly PanChoice[] {
  const middle = (bandMm[0] + bandMm[1]) / 2;
  const choices: { choice: PanChoice; rank: number }[] = [];
  for (const vessel of rack) {
    let best: { choice: PanChoice; rank: number } | undefined;
    for (let count = 1; count <= vessel.count; count++) {
      const fill = fillOf(vessel, count, steamer, volumeMl, rise, bandMm);
      if (!fill.fits || fill.headroomM < 0) continue;
      const mm = fill.depthM * 1000;
      const off = mm < bandMm[0] ? bandMm[0] - mm : mm > bandMm[1] ? mm - bandMm[1] : 0;
      const rank = off * 100 + (fill.loads - 1) * 20 + Math.abs(mm - middle) + count * 0.5;
      const why = `${sayMm(fill.depthM)} deep${off > 0 ? (mm < bandMm[0] ? ', shallow' : ', deep') : ''}, ${fill.loads === 1 ? 'one load' : `${fill.loads} loads`}`;
      if (!best || rank < best.rank) best = { choice: { vessel, count, fill, why }, rank };
    }
    if (best) choices.push(best);
  }
  return choices
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map((c) => c.choice);
}
