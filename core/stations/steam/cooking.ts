import type { ConductionRun } from '../../model/heat';
import type { FieldFrames, LayerPour, Loads, PressureCycle, Spread, SteamTimes, WaterPlan } from '../../model/steam';
import type { Figure, Problem, ConcernCode } from '../../units';
import type { Taken } from './context';

/** How a cake is cooked: each way with its own fields alone. */
export type Cooking = Steamed | InLoads | Layered | Films | Pot;

interface Cooked {
  /** Net power of the ring at the first heat, W. */
  readonly powerW: Figure;
  /** What cannot work as planned: water, a film that never sets. */
  readonly problems: readonly Problem<ConcernCode>[];
}

/** One pour in each vessel, all in the steamer at once. */
export interface Steamed extends Cooked {
  readonly how: 'steamed';
  readonly steam: PourSteam;
}
/** Cups, sheets, and pans of which more are wanted than go in at a time: one load after another. */
export interface InLoads extends Cooked {
  readonly how: 'loads';
  readonly steam: PourSteam;
  /** Undefined: a load never sets, so there is no end of them. */
  readonly loads: Loads | undefined;
}
/** Layers poured on layers. */
export interface Layered extends Cooked {
  readonly how: 'layers';
  readonly steam: StackSteam;
  /** Undefined: a layer never sets. */
  readonly layers: LayersForecast | undefined;
}
/** Films in a covered pan, one after another. */
export interface Films extends Cooked {
  readonly how: 'films';
  readonly film: FilmForecast;
}
/** Cooked through in the pot. */
export interface Pot extends Cooked {
  readonly how: 'pot';
  /** Undefined: it is stirred only until it thickens. */
  readonly pot: PotForecast | undefined;
}

/** The field that a cooking ends with, from which what rests goes on; undefined where nothing rests. */
export type WithRun<C extends Cooking = Cooking> = C extends Cooking
  ? C & { readonly run: ConductionRun | undefined }
  : never;

/** Equal vessels on one tier; tiers count from the water up. */
export interface VesselSteam {
  /** Which further vessel of the plan it is, by index; -1: the plan's own. */
  readonly of: number;
  readonly count: number;
  readonly tier: number;
  readonly depthM: number;
  readonly times: SteamTimes | undefined;
}

/** What is told of everything that stands over boiling water. */
export interface OverWater {
  /** Undefined: it would not set. */
  readonly times: SteamTimes | undefined;
  /** Low, likely and high first clean pick, s, learned factor included. */
  readonly spread: Spread | undefined;
  readonly water: WaterPlan;
  readonly energyError: number;
  readonly words: string;
}
/** Of one pour. */
export interface PourSteam extends OverWater {
  readonly coldSpot: { readonly xM: number; readonly zM: number };
  readonly frames: FieldFrames;
  /** In a pressure pot: its cycle, and first clean pick in an open steamer beside it, s. */
  readonly pressure: (PressureCycle & { readonly openS: number | undefined }) | undefined;
  /** Each kind of vessel on each tier with its own lift-out; empty where there is one. */
  readonly vessels: readonly VesselSteam[];
  readonly history: readonly (readonly [number, number, number, number])[];
  /** How long the cakes take nearly all of the steam there is, s. */
  readonly shortS: number;
  /** Air in the steam, mole fraction: the most once the lid's own is out, and at the end. */
  readonly air: { readonly most: number; readonly end: number };
  /** Water on the top of one cake while it steams, g: what condenses there, what drips on it, what of it the gel takes up; and the depth left, m. */
  readonly puddle: {
    readonly onTopG: number;
    readonly dripsG: number;
    readonly takenUpG: number;
    readonly leftM: number;
  };
  /** Heat that its vessels take over time, W, for what shares the steamer with them. */
  readonly taken: readonly Taken[];
}
/** Of a stack; its field is not there where a layer never sets. */
export interface StackSteam extends OverWater {
  readonly coldSpot: { readonly xM: number; readonly zM: number } | undefined;
  readonly frames: FieldFrames | undefined;
}

/** A layered run: each pour with its window, and the end. */
export interface LayersForecast {
  readonly pours: readonly LayerPour[];
  readonly totalS: number;
  readonly lastS: number;
  readonly words: string;
}

/** Films in a covered pan, one after another. */
export interface FilmForecast {
  /** In the pan until it is ready, s; undefined: it never is. */
  readonly filmS: number | undefined;
  readonly thicknessM: number;
  readonly lid: boolean;
  readonly wanted: number;
  /** Films that the batter gives at the family's thickest and thinnest, and how many the guests want at this weight. */
  readonly fewest: number;
  readonly most: number;
  readonly gramsEach: number;
  readonly oilFirstG: number;
  /** Each with the hands, and all of them, s. */
  readonly eachS: number;
  readonly totalS: number;
  readonly words: string;
}

/** What is cooked through in the pot: from the first bubble until no mealy taste, and until the bottom scorches, s. */
export interface PotForecast {
  readonly throughS: number;
  readonly scorchS: number;
}

type Some = Cooking | undefined;

/** What is told of a cake over boiling water; undefined in the pot and the pan, and before the heat is worked out. */
export const overWater = (c: Some): PourSteam | StackSteam | undefined => (c && 'steam' in c ? c.steam : undefined);
/** The same of one pour. */
export const pourSteam = (c: Some): PourSteam | undefined =>
  c?.how === 'steamed' || c?.how === 'loads' ? c.steam : undefined;
export const loadsIn = (c: Some): Loads | undefined => (c?.how === 'loads' ? c.loads : undefined);
export const stackIn = (c: Some): LayersForecast | undefined => (c?.how === 'layers' ? c.layers : undefined);
export const filmIn = (c: Some): FilmForecast | undefined => (c?.how === 'films' ? c.film : undefined);
export const potIn = (c: Some): PotForecast | undefined => (c?.how === 'pot' ? c.pot : undefined);

/** From here on so much water on the top of a cake is a puddle, m. */
export const PUDDLE_M = 0.001;
