import { equilibriumGel, type Gelling } from '../heat';
import { surfaceC, type SteamRoom } from './air';
import type { HeatCourse } from './heatCourse';

/** What the coldest cell must have come to: set degree, and temperature, °C. */
export interface Ready {
  readonly gel: number;
  readonly tempC: number;
  /** Share of its starch that this steam can set. */
  readonly most: number;
}

/** Set through: so much of what this steam can set. */
export const SET_THROUGH = 0.95;
/** Below this share of its starch a cake never holds; below the other it stays softer in the middle than it should. */
const NEVER_BELOW = 0.8;
const SOFTER_BELOW = 0.85;
/**
 * δ, °C above the blend's plain midpoint: a pick comes out clean when swelling is done, not when gelling has begun. One figure for every family, by
 * the practice bands as a whole. Never more than this share of the way from the midpoint to the hottest that a surface gets at open pressure.
 */
export const ABOVE_MIDPOINT_C = 14;
const OF_THE_WAY = 0.6;

/**
 * The one rule for every steamed cake, the blend's own: the coldest cell has set as far as this steam can set it, and has been to δ above the blend's
 * midpoint in plenty of plain water. Pressure does not enter, so hotter steam is never slower; thinner air is never faster.
 * @param hotC the hottest that a surface gets, °C @param openC and at open pressure, °C
 * @param moreC so much more than the usual δ, °C, for what is not known of it
 */
export function readyAt(gelling: Gelling, hotC: number, openC: number, moreC = 0): Ready {
  const most = equilibriumGel(hotC, gelling);
  const { plainC } = gelling;
  return {
    gel: most < NEVER_BELOW ? Infinity : SET_THROUGH * most,
    tempC: plainC + Math.min(ABOVE_MIDPOINT_C + moreC, OF_THE_WAY * Math.max(0, openC - plainC)),
    most,
  };
}

/** The same in the steam of a room. */
export const readyIn = (gelling: Gelling, room: SteamRoom, course?: HeatCourse, moreC?: number): Ready =>
  readyAt(gelling, surfaceC(room, course), surfaceC({ ...room, steamC: room.openC ?? room.steamC }, course), moreC);

/** True where the steam sets it, but leaves its middle softer than it should be. */
export const isSofter = ({ most }: Ready): boolean => most >= NEVER_BELOW && most < SOFTER_BELOW;

/** Least set degree and temperature, °C, at a time, s. */
export interface Coldest {
  readonly timeS: number;
  readonly gel: number;
  readonly tempC: number;
}

/** Moment at which a quantity that nears `end` passes `goal` between two times: its lack falls exponentially. */
function passes(a: number, b: number, goal: number, end: number, from: number, to: number): number {
  if (a >= goal) return from;
  const lack = (x: number) => Math.log(Math.max(end - x, 1e-12));
  const share = (lack(a) - lack(goal)) / Math.max(lack(a) - lack(b), 1e-12);
  return from + (to - from) * Math.min(1, Math.max(0, share));
}

/**
 * When between two moments the coldest cell became ready, s; undefined when it did not. 0 before the first step where it is so from the start.
 * @param steamC what its temperature nears, °C
 */
export function readyBetween(a: Coldest, b: Coldest, ready: Ready, steamC: number): number | undefined {
  if (b.gel < ready.gel || b.tempC < ready.tempC) return undefined;
  return Math.max(
    passes(a.gel, b.gel, ready.gel, Math.max(ready.most, b.gel + 1e-6), a.timeS, b.timeS),
    passes(a.tempC, b.tempC, ready.tempC, Math.max(steamC, b.tempC + 1e-3), a.timeS, b.timeS),
  );
}

/**
 * How long the coldest cell still takes at the pace of the last step, s: the longer of its temperature's and its set degree's; no less than
 * that, since both slow down as they near their end.
 */
export function stillToGoS(a: Coldest, b: Coldest, ready: Ready): number {
  const dt = b.timeS - a.timeS;
  const left = (from: number, to: number, goal: number) =>
    to >= goal ? 0 : (dt * (goal - to)) / Math.max(to - from, 1e-9);
  return Math.max(left(a.gel, b.gel, ready.gel), left(a.tempC, b.tempC, ready.tempC));
}
