import { PLAIN_WIDTH_C, type Gelling } from '../heat';
import type { StarchKind } from '../../larder';

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

/** Water that sugar holds, g/g. */
const SUGAR_HOLDS = 0.45;
/** Free water ÷ starch below which the last granules melt later (Donovan 1979), by how much at none, °C, and how many. */
const PLENTY = 1.5;
const LATER_C = 15;
const LATER_SHARE = 0.5;
/** Broadening goes downwards from here: 95 % of what a sugared or dry batter can set is set by this temperature, °C. */
const SET_BY_C = 96.5;
/** 95 % of a sigmoid lies this many widths above its midpoint, ln 19. */
const TO_95 = Math.log(19);

/** Temperature at which 95 % of what gels at first is set in the end, °C. */
export const setsAt = (g: Gelling): number =>
  Math.max(g.midpointC, g.lateShare > 0.05 ? g.lateC : 0) + TO_95 * g.widthC;

export interface Surroundings {
  readonly sugarPhase: number;
  readonly waterToStarch: number;
  readonly sugarToStarch: number;
}

/**
 * How a batter of a midpoint gels where sugar and scarce water surround its starch: width 1.8 + 2 s + 2·max(0, 1 − free water ÷ starch) °C,
 * rate × e^(−2 s), free water = water − 0.45 × sugar; below 1.5 of it per starch part of the granules melts later (Donovan 1979; Spies and
 * Hoseney 1982; Slade and Levine 1988). House limit: broadening ends where it would put setting above 96.5 °C.
 */
export function gellingIn(
  midpointC: number,
  { sugarPhase, waterToStarch, sugarToStarch }: Surroundings,
  shiftC = 0,
): Gelling {
  const free = Math.max(0, waterToStarch - SUGAR_HOLDS * sugarToStarch);
  const broad = PLAIN_WIDTH_C + 2 * sugarPhase + 2 * Math.max(0, 1 - free);
  const widest = (high: number): number => Math.max(PLAIN_WIDTH_C, (SET_BY_C - high) / TO_95);
  const lack = Math.max(0, 1 - free / PLENTY);
  const widthC = Math.min(broad, widest(midpointC));
  return {
    midpointC,
    widthC,
    plainC: midpointC - shiftC,
    rate: Math.exp(-2 * sugarPhase),
    lateShare: LATER_SHARE * lack,
    lateC: Math.max(midpointC, Math.min(midpointC + LATER_C * lack, SET_BY_C - TO_95 * widthC)),
  };
}

/** Onset of the first starch to thicken, °C, with the sugar shift: above this a boiling pour part-cooks the batter. */
export function gellingOnset(starchShares: GellingInput['starchShares'], sugarPhase: number): number {
  const present = (Object.entries(starchShares) as [StarchKind, number][])
    .filter(([, s]) => s > 0.05)
    .map(([k]) => GELLING[k][0]);
  return (present.length > 0 ? Math.min(...present) : 65) + gellingShiftC(sugarPhase, 0, 10);
}
