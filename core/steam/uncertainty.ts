import { COARSE_GRID, singlePour, type SinglePour } from './singlePour';

export interface Spread {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** What is uncertain in a steaming, as one standard deviation: film and power as factors, fill as a factor on the depth, start in °C. */
const SIGMA = { film: 0.2, power: 0.12, fill: 0.04, startC: 3 } as const;
/** From one standard deviation to the 10–90 % interval. */
const Z80 = 1.2816;

const lessPower = (w: SinglePour['powerW']): SinglePour['powerW'] =>
  typeof w === 'number' ? w * (1 - SIGMA.power) : (t) => w(t) * (1 - SIGMA.power);

/**
 * Low, likely and high first clean pick, s: each uncertain input is moved by one standard deviation on a coarse grid, the log-changes add in
 * quadrature. Not a fixed ±: a thin sheet is all film, a deep slab mostly depth.
 * @param likelyS the time on the fine grid
 * @returns undefined when the cake never sets
 */
export function cleanPickSpread(pour: SinglePour, likelyS: number): Spread | undefined {
  const time = (p: SinglePour) => singlePour(p, 0, COARSE_GRID).firstCleanPickS;
  const base = time(pour);
  if (base === undefined) return undefined;
  const moved = [
    time({ ...pour, filmH: pour.filmH * (1 - SIGMA.film) }),
    time({ ...pour, powerW: lessPower(pour.powerW) }),
    time({ ...pour, depthM: pour.depthM * (1 + SIGMA.fill) }),
    time({ ...pour, startC: pour.startC - SIGMA.startC, startG: 0 }),
  ];
  const sigma = Math.sqrt(moved.reduce<number>((s, t) => s + Math.log((t ?? base) / base) ** 2, 0));
  return { low: likelyS * Math.exp(-Z80 * sigma), likely: likelyS, high: likelyS * Math.exp(Z80 * sigma) };
}
