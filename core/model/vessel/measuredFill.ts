import type { Vessel } from '../../kitchen';
import { depthForVolume, volumeAtDepth } from './shape';

/** A level pour thinner than this leaves the base showing: it does not flow out by itself, m. */
const COVERS_M = 0.001;
/** A mould is not filled beyond this share of its depth. */
const FULL = 0.95;

export interface MeasuredFill {
  readonly eachMl: number;
  readonly depthM: number;
  /** Whole vessels that the batter fills, and what is left over, ml. */
  readonly count: number;
  readonly leftMl: number;
  readonly covers: boolean;
  readonly overflows: boolean;
}

/** Least fill that covers the base of a vessel, ml. */
export const leastFillMl = (vessel: Vessel): number => volumeAtDepth(vessel, COVERS_M);

/**
 * Fill in, number out: so many of the cook's own spoons, ladles or cups a mould give its depth, and how many moulds the batter fills.
 * @param volumeMl whole batter, ml
 * @param eachMl fill of one, ml
 * @param rise family rise ratio, ≥ 1
 */
export function measuredFill(vessel: Vessel, volumeMl: number, eachMl: number, rise: number): MeasuredFill {
  const depthM = depthForVolume(vessel, eachMl);
  const count = eachMl > 0 ? Math.floor(volumeMl / eachMl + 1e-9) : 0;
  const leastMl = leastFillMl(vessel);
  return {
    eachMl,
    depthM,
    count,
    leftMl: Math.max(0, volumeMl - count * eachMl),
    covers: eachMl >= leastMl,
    overflows: depthM * rise > FULL * vessel.heightM + 1e-9,
  };
}
