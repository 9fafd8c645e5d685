/** What the coldest cell must have come to: set degree, and temperature, °C, where there is one to come to. */
export interface Ready {
  readonly gel: number;
  readonly tempC?: number;
}

/** Set through, and this much below the steam, °C: a pick comes out clean when swelling is done, not when gelling has begun. */
const SET_THROUGH = 0.95;
const BELOW_STEAM_C = 12;

/** The one rule for every steamed cake. @param steamC temperature of the steam, °C */
export const readyIn = (steamC: number): Ready => ({ gel: SET_THROUGH, tempC: steamC - BELOW_STEAM_C });
/** Set through, whatever its temperature. */
export const SET: Ready = { gel: SET_THROUGH };

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
  if (b.gel < ready.gel || (ready.tempC !== undefined && b.tempC < ready.tempC)) return undefined;
  if (ready.tempC === undefined) return passes(a.gel, b.gel, ready.gel, 1, a.timeS, b.timeS);
  return Math.max(
    passes(a.gel, b.gel, ready.gel, 1, a.timeS, b.timeS),
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
  return Math.max(left(a.gel, b.gel, ready.gel), ready.tempC === undefined ? 0 : left(a.tempC, b.tempC, ready.tempC));
}
