import { layerRun, type LayerInput, type LayerRun } from './layers';
import { Z80, type Turns } from '../../units';
import type { Pieces } from '../heat';
import type { SteamRoom } from './air';
import { SHIPPED_GRID, SPREAD_GRID, singlePour, type PourGrid, type SinglePour } from './singlePour';

/**
 * What is not known of when a cake is clean: the one account of it for bench, stove, life line and measuring. Of the pour, worked out by its heat; of
 * this kitchen's factor; and of one batch about its own.
 */
export interface Spread {
  /** A tenth of all cooks are sooner, a tenth later, s. */
  readonly low: number;
  readonly likely: number;
  /** Undefined: within what is not known, it may never set. */
  readonly high: number | undefined;
  readonly mayNeverSet: boolean;
  /** One standard deviation of the logarithm of the time, what never sets left out. */
  readonly sigma: number;
  /** What each thing that is not known adds to it: its own change of the logarithm of the time; their squares add up. */
  readonly parts: Readonly<Record<SpreadPart, number>>;
}
/** Of the pour: air and film in the steam, the ring's power, the depth, the batter's temperature, how far it has set, and when it counts as ready. */
export const POUR_PARTS = ['air', 'power', 'depth', 'temp', 'set', 'ready'] as const;
/** And of the kitchen and the batch. */
export const SPREAD_PARTS = [...POUR_PARTS, 'factor', 'batch'] as const;
export type SpreadPart = (typeof SPREAD_PARTS)[number];

/** What is not known of a kitchen's factor, and how one batch scatters about its own: of the logarithm. */
export interface OwnSpread {
  readonly factor: number;
  readonly batch: number;
}

/** A spread on a clock that runs so many times as slow. */
export const scaledBy = (s: Spread, factor: number): Spread => ({
  ...s,
  low: s.low * factor,
  likely: s.likely * factor,
  high: s.high === undefined ? undefined : s.high * factor,
});

/** What is not known of a pour: temperature, °C, set degree, 0–1, depth and the ring's power as shares; one standard deviation each. */
export interface StartSpread {
  readonly tempC: number;
  readonly set: number;
  readonly depth: number;
  readonly power: number;
}
/** Of an unmeasured pour on an unmeasured ring. */
export const UNKNOWN_START: StartSpread = { tempC: 3, set: 0.05, depth: 0.04, power: 0.12 };

/** What is not known of any pour: film and air as factors, and δ, °C; one standard deviation each. */
export const UNKNOWN_STEAM = { film: 0.2, air: 0.6, readyC: 4 } as const;
/** A room the slower way: by its film and air, which both stand before every face, and by its power. */
const airier = (room: SteamRoom): SteamRoom => ({
  ...room,
  filmBy: (room.filmBy ?? 1) * (1 - UNKNOWN_STEAM.film),
  airBy: (room.airBy ?? 1) * (1 + UNKNOWN_STEAM.air),
});
const weaker = (room: SteamRoom, by: number): SteamRoom => ({ ...room, powerW: (t) => room.powerW(t) * (1 - by) });

/**
 * Low, likely and high first clean pick, s: each uncertain input is moved by one standard deviation the slower way on a coarse grid (δ both ways:
 * it has a bound above), the log-changes add in quadrature with the kitchen's own and the batch's. Not a fixed ±: a thin sheet is all film, a deep
 * slab mostly depth. Where one of them never sets, the high end has no figure.
 * @param likelyS the time on the shipped grid
 * @returns undefined when the cake never sets on the coarse grid
 */
export function* cleanPickSpread(
  pour: SinglePour,
  likelyS: number,
  own: OwnSpread,
  start: StartSpread = UNKNOWN_START,
): Turns<Spread | undefined> {
  function* time(p: SinglePour): Turns<number | undefined> {
    return (yield* singlePour({ ...p, stand: undefined }, 0, SPREAD_GRID)).firstCleanPickS;
  }
  const base = yield* time(pour);
  if (base === undefined) return undefined;
  const { pieces } = pour;
  const colder = { startC: pour.startC - start.tempC, ...(pieces ? { pieces: cooled(pieces, start.tempC) } : {}) };
  return spreadBy(likelyS, base, own, {
    air: yield* time({ ...pour, room: airier(pour.room) }),
    power: yield* time({ ...pour, room: weaker(pour.room, start.power) }),
    depth: yield* time({ ...pour, depthM: Math.min(pour.vessel.heightM, pour.depthM * (1 + start.depth)) }),
    temp: yield* time({ ...pour, ...colder }),
    set:
      start.set > 0 && pour.startG > 0 ? yield* time({ ...pour, startG: Math.max(0, pour.startG - start.set) }) : base,
    ready: eitherWay(
      base,
      yield* time({ ...pour, readyMoreC: -UNKNOWN_STEAM.readyC }),
      yield* time({ ...pour, readyMoreC: UNKNOWN_STEAM.readyC }),
    ),
  });
}
/** Pieces lie in their batter, and are as much colder as it is. */
const cooled = (p: Pieces, byC: number): Pieces => ({
  ...p,
  initialC: typeof p.initialC === 'number' ? p.initialC - byC : p.initialC.map((t) => t - byC),
});
/** Half of what is between sooner and later, as if both were alike: δ has a bound above. */
const eitherWay = (base: number, sooner: number | undefined, later: number | undefined): number | undefined =>
  sooner === undefined || later === undefined ? undefined : base * Math.sqrt(Math.max(later, 1) / Math.max(sooner, 1));

/** A spread about a likely time from a base and what each uncertain input makes of it. */
function spreadBy(
  likelyS: number,
  base: number,
  own: OwnSpread,
  moved: Readonly<Record<(typeof POUR_PARTS)[number], number | undefined>>,
): Spread {
  const mayNeverSet = POUR_PARTS.some((p) => moved[p] === undefined);
  const shift = (t: number | undefined) => (t === undefined ? 0 : Math.log(Math.max(t, 1) / Math.max(base, 1)));
  const parts = { air: 0, power: 0, depth: 0, temp: 0, set: 0, ready: 0, ...own };
  for (const p of POUR_PARTS) parts[p] = shift(moved[p]);
  return about(likelyS, parts, mayNeverSet);
}

function about(likelyS: number, parts: Spread['parts'], mayNeverSet: boolean): Spread {
  const sigma = Math.hypot(...Object.values(parts));
  return {
    low: likelyS * Math.exp(-Z80 * sigma),
    likely: likelyS,
    high: mayNeverSet ? undefined : likelyS * Math.exp(Z80 * sigma),
    mayNeverSet,
    sigma,
    parts,
  };
}

/** A stack's steps are no longer than as shipped. */
const SPREAD_STACK: PourGrid = { ...SPREAD_GRID, toleranceC: SHIPPED_GRID.toleranceC };

/**
 * The same for a stack of layers, on a coarse grid: its layers are poured by the clock, each on the one below, so what is not known of the end is the
 * last one's own time.
 * @param likely on the shipped grid: all of it, and the last layer, s
 */
export function* stackSpread(
  input: LayerInput,
  likely: Pick<LayerRun, 'totalS' | 'lastS'>,
  own: OwnSpread,
  start: StartSpread = UNKNOWN_START,
): Turns<Spread | undefined> {
  function* time(change: Partial<LayerInput>): Turns<number | undefined> {
    return (yield* layerRun({ ...input, stand: undefined, ...change }, SPREAD_STACK))?.lastS;
  }
  const base = yield* time({});
  if (base === undefined) return undefined;
  const more = (b: LayerInput['batters'][number]) => ({ ...b, volumeMl: b.volumeMl * (1 + start.depth) });
  const { parts, mayNeverSet } = spreadBy(likely.lastS, base, own, {
    air: yield* time({ room: airier(input.room) }),
    power: yield* time({ room: weaker(input.room, start.power) }),
    depth: yield* time({ batters: input.batters.map(more) }),
    temp: yield* time({ startC: input.startC - start.tempC }),
    set: base,
    ready: eitherWay(
      base,
      yield* time({ readyMoreC: -UNKNOWN_STEAM.readyC }),
      yield* time({ readyMoreC: UNKNOWN_STEAM.readyC }),
    ),
  });
  const share = likely.lastS / likely.totalS;
  const ofAll = Object.fromEntries(SPREAD_PARTS.map((p) => [p, parts[p] * share])) as Record<SpreadPart, number>;
  return about(likely.totalS, ofAll, mayNeverSet);
}
