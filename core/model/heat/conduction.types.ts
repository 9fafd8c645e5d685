import type { HeatGrid, Side } from './grid';
import type { HeatMaterial } from './material';

/** Film coefficient, W/(m²·K), and temperature, °C, of surroundings. */
export interface Film {
  readonly filmH: number;
  readonly ambientC: number;
}

/** What stands between a side of the cake and its surroundings. */
export interface SideSpec {
  /** Film coefficient, W/(m²·K). */
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
  readonly filmAt?: (surfaceC: number, timeS: number) => Film;
  /** Share of the chamber's film that this side gets, 0–1: it stands in the chamber, which takes the place of all of the above. */
  readonly inChamber?: number;
}

/** Surroundings that answer to the heat that is taken from them: their state over a step is the one in which both agree. */
export interface Chamber {
  /** Film of a side that gets a share of it, at a state. */
  readonly film: (share: number, state: number) => Film;
  /**
   * State over a step.
   * @param heatW what the body would take in a state, W; falls as the state rises
   */
  readonly settle: (timeS: number, dt: number, heatW: (state: number) => number) => number;
  /** A step of so many seconds was taken as it was last settled. */
  readonly pass: (dt: number) => void;
}

/** Pieces that lie in the material and take its heat with a lag: their share of its heat capacity, time constant, s, and start, °C. */
export interface Pieces {
  readonly share: number;
  readonly tauS: number;
  readonly initialC: number | Float64Array;
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
  /** Temperature of the walls at the start, °C: of all, or face by face as the grid lists them. */
  readonly wallC?: number | ((face: number) => number);
  /** Surroundings that answer to what is taken from them. */
  readonly chamber?: Chamber;
  /** Pieces in material 0, in every cell. */
  readonly pieces?: Pieces;
  /** Largest change of a cell's course in a step that is let pass, °C (error control). */
  readonly toleranceC?: number;
  readonly maxStepS?: number;
}

/** A run in progress. The arrays are live: copy what is to be kept. */
export interface ConductionRun {
  readonly temp: Float64Array;
  readonly gel: Float64Array;
  /** Temperature of the pieces, cell by cell; undefined where there are none. */
  readonly piecesTemp: Float64Array | undefined;
  readonly wallTemp: Float64Array;
  /** Wall temperature of a face as the grid lists it, °C. */
  readonly wallC: (face: number) => number;
  readonly grid: HeatGrid;
  timeS(): number;
  /** Advances by one adaptive step, never past `untilS`; returns the step taken, s. */
  advance(untilS: number): number;
  /** Takes the last step back, once; the chamber keeps what it was told. */
  undo(): void;
  /** Heat that has come in through the films, J, for the whole cake. */
  heatInJ(): number;
  /** And through one side, J. */
  sideHeatJ(side: Side): number;
  /** Heat held by cake and walls above 0 °C, J, whole cake. */
  heatHeldJ(): number;
  /** State of the chamber over the last step; 0 without one. */
  chamberState(): number;
  /**
   * Replaces the surroundings, keeping the state (a new cooling stage).
   * @param chamber absent: no side stands in one any more @param toleranceC of the steps from here on; absent: as it was
   */
  surround(sides: Readonly<Record<Side, SideSpec>>, chamber?: Chamber, toleranceC?: number): void;
}
