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
};

export interface GellingInput {
  readonly starchShares: Readonly<Partial<Record<StarchKind, number>>>;
  readonly sugarPhase: number;
  /** Salt, % of the water. */
  readonly saltInWaterPct: number;
  /** Water ÷ starch, by mass. */
  readonly waterToStarch: number;
}

/**
 * Gelling midpoint Tm, °C: end − 4 per starch, 70 % mass-weighted mean and 30 % of the highest present above 10 %;
 * + 18 s + 40 s² for sugar, + 1.5 per 1 % salt in water, + 12·max(0, 1.2 − water/starch) for scarce water.
 */
export function gellingMidpoint({ starchShares, sugarPhase, saltInWaterPct, waterToStarch }: GellingInput): number {
  let mean = 0;
  let highest = 0;
  for (const [kind, share] of Object.entries(starchShares) as [StarchKind, number][]) {
    const tm = GELLING[kind][2] - 4;
    mean += share * tm;
    if (share > 0.1) highest = Math.max(highest, tm);
  }
  return (
    0.7 * mean +
    0.3 * (highest || mean) +
    18 * sugarPhase +
    40 * sugarPhase ** 2 +
    1.5 * saltInWaterPct +
    12 * Math.max(0, 1.2 - waterToStarch)
  );
}

/** Onset of the first starch to thicken, °C, with the sugar shift: above this a boiling pour part-cooks the batter. */
export function gellingOnset(starchShares: GellingInput['starchShares'], sugarPhase: number): number {
  const present = (Object.entries(starchShares) as [StarchKind, number][])
    .filter(([, s]) => s > 0.05)
    .map(([k]) => GELLING[k][0]);
  return (present.length > 0 ? Math.min(...present) : 65) + 18 * sugarPhase + 40 * sugarPhase ** 2;
}
