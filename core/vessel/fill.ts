import { problem, sayMm, type Problem } from '../units';
import type { Steamer, Vessel } from '../kitchen';
import { brimMl, depthForVolume, spanOf } from './shape';

export interface Fill {
  /** Depth of batter in each vessel, m. */
  readonly depthM: number;
  readonly volumeEachMl: number;
  readonly brimMl: number;
  /** Room left for the rise, m (negative: it runs over). */
  readonly headroomM: number;
  /** How many vessels go into the steamer at one time, and how many loads that makes. */
  readonly perTier: number;
  readonly perLoad: number;
  readonly loads: number;
  readonly fits: boolean;
  readonly problems: readonly Problem[];
  readonly advice: readonly string[];
}

/** Circles of equal size in a circle: largest count for ratio R/r (known optimal packings up to 19, then by area at 0.78 density). */
const CIRCLE_RATIOS = [
  1, 2, 2.1547, 2.4142, 2.7013, 3, 3, 3.3048, 3.6131, 3.8131, 3.9238, 4.0296, 4.2361, 4.3284, 4.5214, 4.6154, 4.792,
  4.8637, 4.8637,
];

/** How many vessels stand side by side on one tier, 5 mm apart. */
export function perTierOf(vessel: Vessel, steamer: Steamer): number {
  const span = spanOf(vessel);
  if (span > steamer.innerDiameterM) return 0;
  const ratio = (steamer.innerDiameterM + 0.005) / (span + 0.005);
  let n = 0;
  while (n < CIRCLE_RATIOS.length && CIRCLE_RATIOS[n] <= ratio + 1e-9) n++;
  return ratio > 5.1 ? Math.max(n, Math.floor(0.78 * ratio * ratio)) : Math.max(1, n);
}

/**
 * How a batter fills the chosen vessels, and whether they fit the steamer.
 * @param volumeMl whole batter with pieces, ml
 * @param rise family rise ratio, ≥ 1
 * @param bandMm the family's depth band, mm
 */
export function fillOf(
  vessel: Vessel,
  count: number,
  steamer: Steamer,
  volumeMl: number,
  rise: number,
  bandMm: readonly [number, number],
): Fill {
  const problems: Problem[] = [];
  const advice: string[] = [];
  const each = volumeMl / count;
  const depthM = depthForVolume(vessel, each);
  const brim = brimMl(vessel);
  const headroomM = vessel.heightM - depthM * rise;
  const perTier = perTierOf(vessel, steamer);
  if (each > brim) {
    problems.push(
      problem(
        'pan-too-small',
        'vessel',
        `The batter is ${Math.round(each)} ml a pan but "${vessel.name}" holds ${Math.round(brim)} ml; use ${Math.ceil(volumeMl / ((0.9 * brim) / rise))} of them, a bigger pan, or less batter.`,
      ),
    );
  } else if (headroomM < 0) {
    advice.push(`It will rise over the rim: leave ${sayMm(depthM * rise - vessel.heightM)} more room.`);
  }
  if (perTier === 0) {
    problems.push(
      problem(
        'pan-too-wide',
        'vessel',
        `"${vessel.name}" is ${sayMm(spanOf(vessel))} across and does not go into "${steamer.name}" (${sayMm(steamer.innerDiameterM)}); choose a smaller pan or another steamer.`,
      ),
    );
  }
  if (vessel.heightM > steamer.clearHeightM) {
    problems.push(
      problem(
        'pan-too-tall',
        'vessel',
        `"${vessel.name}" is ${sayMm(vessel.heightM)} tall and "${steamer.name}" clears ${sayMm(steamer.clearHeightM)}; choose a lower pan.`,
      ),
    );
  }
  if (depthM * 1000 < bandMm[0])
    advice.push(`Shallow: ${sayMm(depthM)} where this family runs ${bandMm[0]} to ${bandMm[1]} mm.`);
  if (depthM * 1000 > bandMm[1])
    advice.push(`Deep: ${sayMm(depthM)} where this family runs ${bandMm[0]} to ${bandMm[1]} mm; it will take long.`);
  const perLoad = Math.max(1, Math.min(perTier * steamer.tiers, Math.max(1, vessel.count)));
  return {
    depthM,
    volumeEachMl: each,
    brimMl: brim,
    headroomM,
    perTier,
    perLoad,
    loads: Math.ceil(count / perLoad),
    fits: problems.length === 0,
    problems,
    advice,
  };
}
