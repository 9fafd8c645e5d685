import type { HeatGrid, Side } from './grid';
import type { HeatMaterial } from './material';

/** What stands between a side of the cake and its surroundings. */
export interface SideSpec {
  /** Film coefficient at full power, W/(m²·K). */
  readonly filmH: number;
  /** Resistance of the outer half of the wall (and a drip guard), m²K/W. */
  readonly outerR: number;
  /** Resistance of the inner half of the wall and of a lining, m²K/W. */
  readonly innerR: number;
  /** Heat capacity of the wall, J/(m²·K). */
  readonly capacity: number;
  /** Temperature of the surroundings, °C. */
  readonly ambientC: number;
  /**
   * Film and surroundings at a surface temperature, °C, and a time, s, where they are not constant (radiation, free convection, evaporation):
   * linearised about that temperature and held over a step. Takes the place of `filmH` and `ambientC`.
   */
  readonly filmAt?: (surfaceC: number, timeS: number) => { readonly filmH: number; readonly ambientC: number };
}

export interface ConductionProblem {
  readonly grid: HeatGrid;
  readonly materials: readonly HeatMaterial[];
  /** Material index per cell; absent: all of material 0. */
  readonly materialOf?: Uint8Array;
  readonly initialC: number | Float64Array;
  /** Set degree at the start, 0–1. */
  readonly initialG?: number | Float64Array;
  readonly sides: Readonly<Record<Side, SideSpec>>;
  readonly wallC?: number;
  /** Most heat that can condense on the whole cake at a time into the run, W. Absent: no limit. */
  readonly powerW?: (timeS: number) => number;
  /** First-order recovery of the films after loading, s. Absent or 0: none. */
  readonly recoveryS?: number;
  /** Largest change of a cell's course in a step that is let pass, °C (error control). */
  readonly toleranceC?: number;
  readonly maxStepS?: number;
}

/** A run in progress. The arrays are live: copy what is to be kept. */
export interface ConductionRun {
  readonly temp: Float64Array;
  readonly gel: Float64Array;
  readonly wallTemp: Float64Array;
  readonly grid: HeatGrid;
  timeS(): number;
  /** Advances by one adaptive step, never past `untilS`; returns the step taken, s. */
  advance(untilS: number): number;
  /** Heat that has come in through the films, J, for the whole cake. */
  heatInJ(): number;
  /** Heat held by cake and walls above 0 °C, J, whole cake. */
  heatHeldJ(): number;
  /** True while the last step was held back by the power limit. */
  powerLimited(): boolean;
  /** Replaces the surroundings, keeping the state (a new cooling stage). */
  surround(sides: Readonly<Record<Side, SideSpec>>): void;
}
