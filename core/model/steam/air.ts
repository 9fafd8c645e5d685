import type { Chamber, Film } from '../heat';
import { rootOf, dewPointC, LATENT_STEAM, saturationPa } from '../../units';
import type { Lid } from '../../kitchen';
import type { HeatCourse } from './heatCourse';

/** Mole fraction of air in the steam at medium heat, nothing condensing, by lid and guard (a house table). */
export const AIR_AT_MEDIUM: Readonly<Record<Lid, number>> = { tight: 0.01, cloth: 0.03, woven: 0.08, loose: 0.15 };
/** Share of the surplus steam that leaves at the lid; the rest condenses under it and runs back. */
export const LOST: Readonly<Record<Lid, number>> = { tight: 0.5, cloth: 0.7, woven: 0.9, loose: 0.9 };
/** Surplus that the table above is for: medium heat, W. */
const REFERENCE_W = 1100;
/** Air in a chamber whose lid was just closed. */
export const AFTER_OPENING = 0.6;
/** Where the cake takes all of the steam there is, air goes on gathering, up to here. */
const MOST_AIR = 0.995;
/** Film of steam on a face by what the ring gives, W and W/(m²·K): between them, and a little beyond, as a power of it. */
const DIAL: readonly (readonly [number, number])[] = [
  [600, 140],
  [1100, 220],
  [1500, 350],
];
const DIAL_BAND = { least: 4, most: 450 } as const;
/** Density of steam at the boil, kg/m³. */
const STEAM_RHO = 0.598;

/** Film of pure steam that a power makes, W/(m²·K): through the three of the dials, 4 (still) at none. */
export function dialFilm(powerW: number): number {
  const i = powerW < DIAL[1][0] ? 0 : 1;
  const [[fromW, fromH], [toW, toH]] = [DIAL[i], DIAL[i + 1]];
  const slope = Math.log(toH / fromH) / Math.log(toW / fromW);
  const h = powerW > 0 ? fromH * (powerW / fromW) ** slope : 0;
  return Math.min(DIAL_BAND.most, Math.max(DIAL_BAND.least, h));
}

/** What air leaves of condensation, W/(m²·K): 380·((1 − y)·18/(y·29))^0.7 (Uchida, Oyama and Togo 1965). @param y mole fraction */
export const uchidaFilm = (y: number): number => 380 * (((1 - y) * 18) / (Math.max(y, 1e-6) * 29)) ** 0.7;

/** Dew point of steam that holds air, °C. @param steamC its boiling point @param y mole fraction of air */
export const dewC = (steamC: number, y: number): number => dewPointC((1 - y) * saturationPa(steamC));

/** Nodes of the tables of dew point and resistance, in the logarithm of the air. */
const NODES = 256;
const FROM = Math.log(0.001);
const PER = (NODES - 1) / (Math.log(MOST_AIR) - FROM);
interface AirTable {
  readonly dew: Float64Array;
  readonly resistance: Float64Array;
}
const TABLES = new Map<number, AirTable>();
/** Dew point, °C, and resistance of the air, m²K/W, over its share in the steam: asked for hundreds of times a run. */
function tableFor(steamC: number): AirTable {
  const known = TABLES.get(steamC);
  if (known) return known;
  const at = (i: number) => Math.exp(FROM + i / PER);
  const made = {
    dew: Float64Array.from({ length: NODES }, (_, i) => dewC(steamC, at(i))),
    resistance: Float64Array.from({ length: NODES }, (_, i) => 1 / uchidaFilm(at(i))),
  };
  if (TABLES.size >= 16) TABLES.clear();
  TABLES.set(steamC, made);
  return made;
}

/** The inside of a steamer, and what boils under it. */
export interface SteamRoom {
  /** What this body and its equals may draw on at a time, W. */
  readonly powerW: (timeS: number) => number;
  /** How many such bodies there are. */
  readonly bodies: number;
  readonly lid: Lid;
  /** Boiling point in it, °C, and at open pressure, where that is another. */
  readonly steamC: number;
  readonly openC?: number;
  readonly volumeM3: number;
  /** Films and air as factors, for what is not known of them. */
  readonly filmBy?: number;
  readonly airBy?: number;
  /** Air at the start; absent: the lid was just closed. */
  readonly airAtStart?: number;
}

/** The surplus is found to this share of it. */
const SAME_SURPLUS = 1e-6;

/**
 * Steam that holds air, quasi-steady: y = what is left of the air that came in with the lid + y_ref × reference surplus ÷ surplus, the surplus
 * being what boils less what condenses. Film in series, 1/h = 1/h_dial + 1/h_Uchida, at the dew point. Air that came in is driven out by the
 * surplus, in the time in which that fills the chamber.
 */
export function steamChamber(room: SteamRoom): Chamber & { readonly open: () => void } {
  const { steamC, bodies, volumeM3 } = room;
  const standing = AIR_AT_MEDIUM[room.lid] * (room.airBy ?? 1) * REFERENCE_W;
  const fillJ = STEAM_RHO * volumeM3 * LATENT_STEAM;
  let cameIn = room.airAtStart ?? AFTER_OPENING;
  let powerW = room.powerW(0);
  /** Air that came in and is left, on average over a step. */
  const left = (dt: number, surplus: number): number => {
    const x = (dt * surplus) / fillJ;
    return x > 1e-6 ? (cameIn * (1 - Math.exp(-x))) / x : cameIn;
  };
  const airAt = (surplus: number, dt: number): number => Math.min(MOST_AIR, left(dt, surplus) + standing / surplus);
  let inStep = 0;
  const { dew, resistance } = tableFor(steamC);
  let dialR = 1 / (dialFilm(powerW) * (room.filmBy ?? 1));
  return {
    film(share: number, y: number): Film {
      const x = (Math.log(y) - FROM) * PER;
      const i = x > 0 ? Math.min(NODES - 2, x | 0) : 0;
      const part = Math.min(1, Math.max(0, x - i));
      const air = resistance[i] + part * (resistance[i + 1] - resistance[i]);
      return { filmH: 1 / (dialR / share + air), ambientC: dew[i] + part * (dew[i + 1] - dew[i]) };
    },
    settle(timeS, dt, heatW) {
      powerW = room.powerW(timeS + dt / 2);
      dialR = 1 / (dialFilm(powerW) * (room.filmBy ?? 1));
      // g(S) = what is taken + S − what there is, rises with S; in the logarithm of S it is met between nothing and all.
      const over = (x: number): number => {
        const s = Math.exp(x);
        return bodies * heatW(airAt(s, dt)) + s - powerW;
      };
      inStep = Math.exp(
        rootOf(over, Math.log(standing / MOST_AIR / 8), Math.log(Math.max(powerW, 1) * 2 + standing), SAME_SURPLUS),
      );
      return airAt(inStep, dt);
    },
    pass(dt) {
      cameIn *= Math.exp((-dt * inStep) / fillJ);
    },
    /** The lid was opened and closed. */
    open: () => {
      cameIn = AFTER_OPENING;
    },
  };
}

/** Moments at which what others leave is looked at, s. */
const LOOKED_AT_S = [0, 300, 900, 1800, 3600, 7200] as const;

/** The hottest that a surface gets in the end: the dew point of the steam when nothing condenses, at the most that the ring ever gives, °C. */
export function surfaceC(room: SteamRoom, course: HeatCourse = []): number {
  const powerW = Math.max(1, ...LOOKED_AT_S.map((t) => room.powerW(t)), ...course.map((p) => p.powerW));
  const y = (AIR_AT_MEDIUM[room.lid] * (room.airBy ?? 1) * REFERENCE_W) / powerW;
  return dewC(room.steamC, Math.min(AFTER_OPENING, y));
}

/** Until the surplus of a power has driven out the air that came in with the lid, s. */
export const purgeS = (volumeM3: number, powerW: number): number =>
  (STEAM_RHO * volumeM3 * LATENT_STEAM) / Math.max(1, powerW);
