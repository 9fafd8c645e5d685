import {
  boxGrid,
  conduct,
  roundGrid,
  survey,
  type ConductionProblem,
  type ConductionRun,
  type HeatGrid,
} from '../heat';
import type { Parts } from '../mix';
import type { Vessel, WallMaterial } from '../kitchen';
import { vesselShape } from '../vessel';
import { cakeMaterial } from './cakeMaterial';
import { frameRecorder, type FieldFrames } from './frames';
import { advanceIn, phasedPower, phasedSide, type HeatCourse } from './heatCourse';
import { readyBetween, SET, type Coldest, type Ready } from './ready';
import { topSide, walledSide } from './surroundings';

/** What a steaming shares whatever is in the vessel: mould and wall, guard, film and steam. */
export interface SteamSetting {
  /** Temperature of the mould when filled, °C. */
  readonly mouldC: number;
  readonly material: WallMaterial;
  readonly paper: boolean;
  readonly foil: boolean;
  /** Share of the steam that gets past the pan to its top, 0–1; absent: all of it. */
  readonly topShare?: number;
  readonly filmH: number;
  readonly steamC: number;
  /** Changes of heat, as shares of `filmH` and power; absent: the same throughout. */
  readonly course?: HeatCourse;
}

export interface SinglePour extends SteamSetting {
  readonly parts: Parts;
  readonly midpointC: number;
  readonly gasShare: number;
  readonly vessel: Vessel;
  readonly depthM: number;
  readonly startC: number;
  readonly startG: number;
  /** Steam power for this one vessel, W; a function of the seconds in steam where others take their share first. */
  readonly powerW: number | ((timeS: number) => number);
  /** What it must come to; absent: set through. */
  readonly ready?: Ready;
  /** How much longer it steams once it is so, by the family's rule, s. */
  readonly moreS?: number;
  /** Standing in the steamer with the fire off, s, and what surrounds it then. */
  readonly stand?: { readonly timeS: number; readonly sides: ConductionProblem['sides'] };
}

export interface PourGrid {
  readonly nr: number;
  readonly nz: number;
  readonly nxy: number;
  readonly nzBox: number;
  /** Bend of a cell's course that a step may have, °C. */
  readonly toleranceC: number;
  readonly maxStepS: number;
}
/** For comparison: what the others are measured against. */
export const FINE_GRID: PourGrid = { nr: 24, nz: 32, nxy: 16, nzBox: 26, toleranceC: 1, maxStepS: 60 };
/** What every forecast ships: the cheapest that keeps fields within 0.5 °C of the series and the time within 0.5 % of the finest. */
export const SHIPPED_GRID: PourGrid = { nr: 14, nz: 20, nxy: 16, nzBox: 20, toleranceC: 6, maxStepS: 180 };
/** For what is tried many times: remedies, fixes, spreads, a figure while it is dragged. */
export const COARSE_GRID: PourGrid = { nr: 8, nz: 12, nxy: 7, nzBox: 10, toleranceC: 6, maxStepS: 180 };

/** Minutes past which a cake is given up as never setting. */
const GIVE_UP_S = 6 * 3600;
const RECOVERY_S = 20;

export interface PourResult {
  /** Seconds until the coldest spot is ready; 0 where it is so when poured; undefined: it never gets there. */
  readonly firstCleanPickS: number | undefined;
  /** Fire on until then, s. */
  readonly steamedS: number;
  readonly coldSpot: { readonly xM: number; readonly zM: number };
  /** Cold-spot history: time s, cold-spot °C, mean °C, cold-spot G. */
  readonly history: readonly (readonly [number, number, number, number])[];
  readonly frames: FieldFrames;
  /** Heat taken from the steam over time: seconds, W. */
  readonly flux: readonly (readonly [number, number])[];
  /** How long the power limit held the films back, s. */
  readonly powerLimitedS: number;
  readonly heatInJ: number;
  /** Energy not accounted for, share of the heat taken in. */
  readonly energyError: number;
  readonly run: ConductionRun;
}

/** A bowl narrows to nothing at its base, and its cut cells want a finer grid for the same error. */
const BOWL_FINER = 1.7;

export function pourGrid(vessel: Vessel, depthM: number, size: PourGrid): HeatGrid {
  const shape = vesselShape(vessel);
  const finer = vessel.shape === 'bowl' && size.nr < FINE_GRID.nr ? BOWL_FINER : 1;
  return shape.halfAt
    ? boxGrid(shape.halfAt, depthM, size.nxy, size.nxy, size.nzBox)
    : roundGrid(shape.halfWidthAt, depthM, Math.round(size.nr * finer), Math.round(size.nz * finer));
}

/**
 * Steams one pour until its coldest spot is ready, then on for `afterShare` of that time, and lets it stand.
 * The films are shared with the power limit; the chamber recovers first-order in 20 s after loading.
 * @param afterShare how much longer to go on, as a share of the first-clean-pick time (0.2: to "plan for")
 * @param size grid cells; the frames follow it
 */
export function singlePour(p: SinglePour, afterShare = 0.2, size: PourGrid = SHIPPED_GRID): PourResult {
  const grid = pourGrid(p.vessel, p.depthM, size);
  const wall = phasedSide(walledSide({ material: p.material, paper: p.paper }, p.filmH, p.steamC), p.course);
  const sides = { base: wall, wall, top: phasedSide(topSide(p.filmH * (p.topShare ?? 1), p.steamC, p.foil), p.course) };
  const run = conduct({
    grid,
    materials: [cakeMaterial(p.parts, p.gasShare, p.midpointC)],
    initialC: p.startC,
    initialG: p.startG,
    wallC: p.mouldC,
    sides,
    powerW: phasedPower(p.powerW, p.course),
    recoveryS: RECOVERY_S,
    toleranceC: size.toleranceC,
    maxStepS: size.maxStepS,
  });
  const held0 = run.heatHeldJ();
  const recorder = frameRecorder(run, p.depthM, 20);
  const [nx, ny] = grid.n;
  const ready = p.ready ?? SET;
  const history: [number, number, number, number][] = [];
  let clean: number | undefined;
  let coldest = 0;
  let limitedS = 0;
  let stopAt = GIVE_UP_S;
  const flux: [number, number][] = [];
  let taken = 0;
  const { temp, gel } = run;
  const { volume } = grid;
  const note = (): Coldest => {
    const at = survey(temp, gel, volume);
    if (clean === undefined) coldest = ready.tempC === undefined ? at.softestCell : at.coldestCell;
    history.push([run.timeS(), temp[coldest], at.meanC, gel[coldest]]);
    recorder.note();
    return { timeS: run.timeS(), gel: at.leastG, tempC: at.leastC };
  };
  const found = (at: number) => {
    clean = at + (p.moreS ?? 0);
    stopAt = Math.max(run.timeS(), clean * (1 + afterShare));
  };
  let last = note();
  if (readyBetween(last, last, ready, p.steamC) !== undefined) found(0);
  while (run.timeS() < stopAt - 1e-9) {
    const from = run.timeS();
    const dt = advanceIn(run, stopAt, p.course, sides);
    if (run.powerLimited()) limitedS += dt;
    flux.push([run.timeS(), (run.heatInJ() - taken) / dt]);
    taken = run.heatInJ();
    const now = note();
    if (clean === undefined) {
      const at = readyBetween(last, now, ready, p.steamC);
      if (at !== undefined) found(at);
      else if (from > 900 && !p.course && Math.abs(temp[coldest] - p.steamC) < 0.05) break;
    }
    last = now;
  }
  const steamedS = run.timeS();
  if (p.stand && p.stand.timeS > 0 && clean !== undefined) {
    run.surround(p.stand.sides);
    const until = steamedS + p.stand.timeS;
    while (run.timeS() < until - 1e-9) {
      run.advance(until);
      note();
    }
  }
  const heatInJ = run.heatInJ();
  const i = coldest % nx;
  const k = Math.floor(coldest / (nx * ny));
  return {
    firstCleanPickS: clean,
    steamedS,
    coldSpot: { xM: (grid.edgesX[i] + grid.edgesX[i + 1]) / 2, zM: (grid.edgesZ[k] + grid.edgesZ[k + 1]) / 2 },
    history,
    frames: recorder.frames(),
    flux,
    powerLimitedS: limitedS,
    heatInJ,
    energyError: heatInJ > 0 ? Math.abs(run.heatHeldJ() - held0 - heatInJ) / heatInJ : 0,
    run,
  };
}
