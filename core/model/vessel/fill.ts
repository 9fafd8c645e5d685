import { problem, sayMm, type Problem, type ConcernCode } from '../../units';
import type { Steamer, Vessel } from '../../kitchen';
import { brimMl, depthForVolume, spanOf, volumeAtDepth } from './shape';
import { steamGap, widestRoundM, type SteamGap } from './steamGap';

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
  /** How steam gets past it; absent where nothing is steamed. */
  readonly gap?: SteamGap;
  readonly fits: boolean;
  readonly problems: readonly Problem<ConcernCode>[];
  /** What does not stop it, each with a code. */
  readonly advice: readonly { readonly code: ConcernCode; readonly sentence: string }[];
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

/** A kitchen ruler reads no finer, m. */
const RULER_M = 0.001;

/**
 * How a batter fills the chosen vessels, and whether they fit the steamer.
 * @param steamer absent for what is cooked in a pot or a pan: then nothing has to fit or let steam by
 * @param volumeMl whole batter with pieces, ml
 * @param rise family rise ratio, ≥ 1
 * @param read the depth in the first of them by a ruler, m, and where it stands in the plan: it goes before the reckoned one in all that follows
 */
export function fillOf(
  vessel: Vessel,
  count: number,
  steamer: Steamer | undefined,
  volumeMl: number,
  rise: number,
  read?: { readonly depthM: number; readonly path: string },
): Fill {
  const problems: Problem<ConcernCode>[] = [];
  const advice: { code: ConcernCode; sentence: string }[] = [];
  const brim = brimMl(vessel);
  const depthM = read?.depthM ?? depthForVolume(vessel, volumeMl / count);
  const each = read ? volumeAtDepth(vessel, Math.min(depthM, vessel.heightM)) : volumeMl / count;
  const headroomM = vessel.heightM - depthM * rise;
  const perTier = steamer ? perTierOf(vessel, steamer) : count;
  if (read && depthM > vessel.heightM) {
    problems.push(
      problem(
        'depth-read',
        read.path,
        `A depth of ${sayMm(depthM)} cannot be in "${vessel.name}", which is ${sayMm(vessel.heightM)} high; read it again from the inside of the base, or take the reading out.`,
      ),
    );
  } else if (!read && each > brim) {
    problems.push(
      problem(
        'pan-too-small',
        'vessel',
        `The batter is ${Math.round(each)} ml a pan but "${vessel.name}" holds ${Math.round(brim)} ml; use ${Math.ceil(volumeMl / ((0.9 * brim) / rise))} of them, a bigger pan, or less batter.`,
      ),
    );
  } else if (headroomM < 0) {
    advice.push({
      code: 'rises-over',
      sentence:
        headroomM > -RULER_M
          ? `It will rise level with the rim, ${sayMm(vessel.heightM)}: a little less keeps it off the lid.`
          : `It will rise over the rim: leave ${sayMm(-headroomM)} more room.`,
    });
  }
  if (steamer && perTier === 0) {
    problems.push(
      problem(
        'pan-too-wide',
        'vessel',
        `"${vessel.name}" is ${sayMm(spanOf(vessel))} across and does not go into "${steamer.name}" (${sayMm(steamer.innerDiameterM)}); choose a smaller pan or another steamer.`,
      ),
    );
  }
  if (steamer && vessel.heightM > steamer.clearHeightM) {
    problems.push(
      problem(
        'pan-too-tall',
        'vessel',
        `"${vessel.name}" is ${sayMm(vessel.heightM)} tall and "${steamer.name}" clears ${sayMm(steamer.clearHeightM)}; choose a lower pan.`,
      ),
    );
  }
  const gap = steamer && perTier > 0 ? steamGap(vessel, steamer, Math.min(perTier, count)) : undefined;
  if (steamer && gap?.shut)
    problems.push(
      problem(
        'no-steam-gap',
        'vessel',
        `"${vessel.name}" leaves ${sayMm(Math.max(0, gap.ringM))} round it in "${steamer.name}", and steam cannot pass; a round one up to ${sayMm(widestRoundM(steamer, vessel))} works.`,
      ),
    );
  else if (steamer && gap && gap.topShare < 0.995)
    advice.push({
      code: 'steam-gap',
      sentence: `"${vessel.name}" leaves ${sayMm(Math.max(0, gap.ringM))} round it: only ${Math.round(100 * gap.topShare)} % of the steam reaches the top. A round one up to ${sayMm(widestRoundM(steamer, vessel))} lets all of it by.`,
    });
  const perLoad = steamer ? Math.max(1, Math.min(perTier * steamer.tiers, Math.max(1, vessel.count))) : count;
  return {
    depthM,
    volumeEachMl: each,
    brimMl: brim,
    headroomM,
    perTier,
    perLoad,
    loads: Math.ceil(count / perLoad),
    ...(gap ? { gap } : {}),
    fits: problems.length === 0,
    problems,
    advice,
  };
}
