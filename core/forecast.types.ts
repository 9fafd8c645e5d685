import type { Figure, Problem } from './units';
import type { Advice } from './bands';
import type { Body } from './cakeBody';
import type { Family } from './families';
import type { Gelling } from './heat';
import type { ResolvedPlan } from './plan';
import type { Consistency, Texture } from './mix';
import type { Evaluation, Flow, FlowEnv, PlanBalance } from './flow';
import type { Vessel } from './kitchen';
import type { Fill } from './vessel';
import type { FieldFrames, LayerPour, Loads, PressureCycle, Spread, SteamTimes, WaterPlan } from './steam';
import type { CoolingResult } from './rest';
import type { Taken } from './steamContext';
import type { CutPlan } from './cut';
import type { Step, WeighOut } from './steps/step';
import type { Packing, SearChange, SearResult } from './sear';

/** All of the forecast that needs no heat solver: recomputed on every keystroke. */
export interface LightForecast {
  readonly resolved: ResolvedPlan;
  readonly family: Family;
  /** The batch as a graph, the kitchen its laws see, and its first evaluation. */
  readonly flow: Flow;
  readonly env: FlowEnv;
  readonly evaluated: Evaluation;
  readonly balance: PlanBalance;
  /** Each batter as it is mixed, before it is heated or given its pieces. */
  readonly consistency: readonly Consistency[];
  /** How each batter gels, and the one that gels last. */
  readonly gellings: readonly Gelling[];
  readonly gelling: Gelling;
  /** What is steamed, as heat sees it. */
  readonly body: Body;
  readonly texture: Texture;
  readonly pour: {
    /** Node at which a measured temperature is written down. */
    readonly node: string;
    readonly startC: Figure;
    readonly startG: number;
    /** One standard deviation of the set degree at the start. */
    readonly startSetSd: number;
    readonly words: string;
    /** What flows of it as it lies in the pan. */
    readonly consistency: Consistency;
  };
  readonly ferment: { readonly timeS: number; readonly tempC: number; readonly dosePct: number } | undefined;
  readonly fill: Fill & {
    /** Height after ÷ before cooking, by its gas. */
    readonly rise: number;
    /** Depth as it steams, risen and with the air between its pieces, m. */
    readonly cookedM: number;
    /** True where the depth was measured by ruler. */
    readonly measured: boolean;
    /** The same batter in further vessels. */
    readonly others: readonly {
      readonly name: string;
      readonly count: number;
      readonly massEachG: number;
      readonly depthM: number;
      readonly cookedM: number;
      readonly vessel: Vessel;
    }[];
  };
  readonly cut: CutPlan | undefined;
  /** Pieces, cups or sheets the batch makes. */
  readonly pieces: number;
  readonly packing: Packing | undefined;
  /** Smallest of the piece's three sizes lies up in the pan: thickness; the other two are its face, m. */
  readonly piece: { readonly thicknessM: number; readonly faceM: readonly [number, number] } | undefined;
  readonly serves: {
    readonly gramsAHead: number;
    readonly neededG: number;
    readonly enough: boolean;
    readonly gramsEach: number;
  };
  readonly problems: readonly Problem[];
  readonly advice: readonly Advice[];
}

/** Equal vessels on one tier; tiers count from the water up. */
export interface VesselSteam {
  readonly name: string;
  readonly count: number;
  readonly tier: number;
  readonly depthM: number;
  readonly times: SteamTimes | undefined;
}

export interface SteamForecast {
  /** Undefined: it would not set. */
  readonly times: SteamTimes | undefined;
  /** Low, likely and high first clean pick, s, learned factor included. */
  readonly spread: Spread | undefined;
  /** In a pressure pot: its cycle, and first clean pick in an open steamer beside it, s. */
  readonly pressure: (PressureCycle & { readonly openS: number | undefined }) | undefined;
  /** Each kind of vessel on each tier with its own lift-out; empty where there is one. */
  readonly vessels: readonly VesselSteam[];
  readonly coldSpot: { readonly xM: number; readonly zM: number };
  readonly history: readonly (readonly [number, number, number, number])[];
  readonly frames: FieldFrames;
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
  readonly water: WaterPlan;
  readonly energyError: number;
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

/** What resting gives: the cooling as it was computed. */
export type RestForecast = CoolingResult;

export interface SearForecast {
  readonly perLoad: number;
  readonly loads: number;
  readonly pieces: number;
  readonly minutesASide: readonly [number, number];
  readonly totalS: number;
  readonly oilPerLoadG: number;
  readonly coreC: number;
  readonly hotThrough: boolean;
  readonly words: string;
  /** Single changes that bring the middle to 74 °C by the time the colour is there; empty when it is hot already. */
  readonly fixes: readonly SearChange[];
  readonly result: SearResult;
}

/** A layered run: each pour with its window, and the end. */
export interface LayersForecast {
  readonly pours: readonly LayerPour[];
  readonly totalS: number;
  readonly lastS: number;
  readonly words: string;
}

/** What the heat solver gives: computed in a worker or on the server. */
export interface HeatForecast {
  /** Undefined for what is cooked in the pot or the pan, not steamed. */
  readonly steam: SteamForecast | undefined;
  readonly powerW: Figure;
  readonly layers: LayersForecast | undefined;
  readonly loads: Loads | undefined;
  readonly film: FilmForecast | undefined;
  readonly pot: PotForecast | undefined;
  readonly rest: RestForecast | undefined;
  readonly sear: SearForecast | undefined;
  /** What cannot work as planned: water, a film that never sets. */
  readonly problems: readonly Problem[];
}

export interface Forecast {
  readonly light: LightForecast;
  /** Undefined when nothing can be heated; the problems say why. */
  readonly heat: HeatForecast | undefined;
  /** The flow with what the stations found: waits, oil, egg. */
  readonly evaluated: Evaluation;
  readonly steps: readonly Step[];
  /** What to weigh out, batter by batter and apart. */
  readonly weighOut: readonly WeighOut[];
  readonly totals: { readonly handsOnS: number; readonly waitS: number };
  readonly cautions: readonly string[];
}
