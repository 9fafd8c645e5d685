import type { StarchKind } from '../larder';

/** Gelatinisation onset, peak and end, °C. */
export const GELLING: Readonly<Record<StarchKind, readonly [number, number, number]>> = {
  rice: [66, 73, 81],
  glutinous: [61, 68, 76],
  tapioca: [62, 68, 77],
  potato: [58, 63, 70],
  maize: [64, 70, 77],
  wheat: [54, 60, 67],
  sweetPotato: [60, 69, 80],
  mungBean: [60, 67, 75],
  waterChestnut: [67, 74, 82],
  arrowroot: [66, 72, 80],
};

export interface GellingInput {
  readonly starchShares: Readonly<Partial<Record<StarchKind, number>>>;
  readonly sugarPhase: number;
  /** Salt, % of the water. */
  readonly saltInWaterPct: number;
  /** Water ÷ starch, by mass. */
  readonly waterToStarch: number;
}

/** What sugar, salt and scarce water add to every midpoint, °C: 18 s + 40 s² + 1.5 per 1 % salt in water + 12·max(0, 1.2 − water/starch). */
export const gellingShiftC = (sugarPhase: number, saltInWaterPct: number, waterToStarch: number): number =>
  18 * sugarPhase + 40 * sugarPhase ** 2 + 1.5 * saltInWaterPct + 12 * Math.max(0, 1.2 - waterToStarch);

/** Midpoint of one starch in plenty of water, °C: end − 4. */
export const plainMidpointC = (kind: StarchKind): number => GELLING[kind][2] - 4;

const smooth = (x: number): number => {
  const u = Math.min(1, Math.max(0, x));
  return u * u * (3 - 2 * u);
};

/**
 * Gelling midpoint Tm of a blend, °C: 70 % mass-weighted mean and 30 % of the highest present, whose weight rises smoothly
 * from 5 to 15 % of the starch; + {@link gellingShiftC}.
 */
export function gellingMidpoint(input: GellingInput): number {
  const present = Object.entries(input.starchShares) as [StarchKind, number][];
  let mean = 0;
  let sum = 0;
  for (const [kind, share] of present) {
    mean += share * plainMidpointC(kind);
    sum += share;
  }
  if (sum > 0) mean /= sum;
  let highest = mean;
  for (const [kind, share] of present) {
    const above = plainMidpointC(kind) - mean;
    if (above > 0) highest = Math.max(highest, mean + above * smooth((share - 0.05) / 0.1));
  }
  return 0.7 * mean + 0.3 * highest + gellingShiftC(input.sugarPhase, input.saltInWaterPct, input.waterToStarch);
}

/** Onset of the first starch to thicken, °C, with the sugar shift: above this a boiling pour part-cooks the batter. */
export function gellingOnset(starchShares: GellingInput['starchShares'], sugarPhase: number): number {
  const present = (Object.entries(starchShares) as [StarchKind, number][])
    .filter(([, s]) => s > 0.05)
    .map(([k]) => GELLING[k][0]);
  return (present.length > 0 ? Math.min(...present) : 65) + gellingShiftC(sugarPhase, 0, 10);
}
