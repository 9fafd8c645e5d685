import { layerRun, type LayerInput } from './layers';
import type { SteamRoom } from './air';
import { SPREAD_GRID, singlePour, type SinglePour } from './singlePour';

export interface Spread {
  readonly low: number;
  readonly likely: number;
  /** Undefined: within what is not known, it may never set. */
  readonly high: number | undefined;
  readonly mayNeverSet: boolean;
  /** One standard deviation of the logarithm of the time, what never sets left out. */
  readonly sigma: number;
}

/** A spread on a clock that runs so many times as slow. */
export const scaledBy = (s: Spread, factor: number): Spread => ({
  ...s,
  low: s.low * factor,
  likely: s.likely * factor,
  high: s.high === undefined ? undefined : s.high * factor,
});

/** What is not known of a pour: temperature, °C, set degree, 0–1, and depth as a share; one standard deviation each. */
export interface StartSpread {
  readonly tempC: number;
  readonly set: number;
  readonly depth: number;
}

/** Film, power and air as factors, one standard deviation each. */
const SIGMA = { film: 0.2, power: 0.12, air: 0.6 } as const;
/** From one standard deviation to the 10–90 % interval. */
const Z80 = 1.2816;

/** A room the slower way: by its film and air, which both stand before every face, and by its power. */
const slower = (room: SteamRoom): readonly SteamRoom[] => [
  { ...room, filmBy: (room.filmBy ?? 1) * (1 - SIGMA.film), airBy: (room.airBy ?? 1) * (1 + SIGMA.air) },
  { ...room, powerW: (t) => room.powerW(t) * (1 - SIGMA.power) },
];

/**
 * Low, likely and high first clean pick, s: each uncertain input is moved by one standard deviation the slower way on a coarse grid, the
 * log-changes add in quadrature. Not a fixed ±: a thin sheet is all film, a deep slab mostly depth. Where one of them never sets, the high end
 * has no figure.
 * @param likelyS the time on the shipped grid
 * @returns undefined when the cake never sets on the coarse grid
 */
export function cleanPickSpread(
  pour: SinglePour,
  likelyS: number,
  start: StartSpread = { tempC: 3, set: 0.05, depth: 0.04 },
): Spread | undefined {
  const time = (p: SinglePour) => singlePour({ ...p, stand: undefined }, 0, SPREAD_GRID).firstCleanPickS;
  const base = time(pour);
  if (base === undefined) return undefined;
  const moved = [
    ...slower(pour.room).map((room) => time({ ...pour, room })),
    time({ ...pour, depthM: Math.min(pour.vessel.heightM, pour.depthM * (1 + start.depth)) }),
    time({ ...pour, startC: pour.startC - start.tempC, startG: Math.max(0, pour.startG - start.set) }),
  ];
  return spreadBy(likelyS, base, moved);
}

/** A spread about a likely time from a base and what each uncertain input makes of it. */
function spreadBy(likelyS: number, base: number, moved: readonly (number | undefined)[]): Spread {
  const mayNeverSet = moved.some((t) => t === undefined);
  const shift = (t: number | undefined) => (t === undefined ? 0 : Math.log(Math.max(t, 1) / Math.max(base, 1)));
  const sigma = Math.sqrt(moved.reduce<number>((s, t) => s + shift(t) ** 2, 0));
  return {
    low: likelyS * Math.exp(-Z80 * sigma),
    likely: likelyS,
    high: mayNeverSet ? undefined : likelyS * Math.exp(Z80 * sigma),
    mayNeverSet,
    sigma,
  };
}

/** The same for a stack of layers: film, power, air, all of the batter and its temperature, on a coarse grid. */
export function stackSpread(
  input: LayerInput,
  likelyS: number,
  start: StartSpread = { tempC: 3, set: 0.05, depth: 0.04 },
): Spread | undefined {
  const time = (change: Partial<LayerInput>) =>
    layerRun({ ...input, stand: undefined, coarse: true, ...change })?.totalS;
  const base = time({});
  if (base === undefined) return undefined;
  const more = (b: LayerInput['batters'][number]) => ({ ...b, volumeMl: b.volumeMl * (1 + start.depth) });
  return spreadBy(likelyS, base, [
    ...slower(input.room).map((room) => time({ room })),
    time({ batters: input.batters.map(more) }),
    time({ startC: input.startC - start.tempC }),
  ]);
}
