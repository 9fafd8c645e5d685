import { figure, type Figure } from '../units';
import { boxGrid, conduct, roundGrid, type ConductionRun, type HeatGrid } from '../heat';
import type { Parts } from '../mix';
import type { Vessel, WallMaterial } from '../kitchen';
import { vesselShape } from '../vessel';
import { cakeMaterial } from './cakeMaterial';
import { frameRecorder, type FieldFrames } from './frames';
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
}

export interface PourGrid {
  readonly nr: number;
  readonly nz: number;
  readonly nxy: number;
  readonly nzBox: number;
}
export const FINE_GRID: PourGrid = { nr: 24, nz: 32, nxy: 16, nzBox: 26 };
export const COARSE_GRID: PourGrid = { nr: 12, nz: 16, nxy: 8, nzBox: 12 };

const constant = (w: number) => () => w;

/** Minutes past which a cake is given up as never setting. */
const GIVE_UP_S = 6 * 3600;
const CLEAN_G = 0.95;
const RECOVERY_S = 20;

export interface PourResult {
  /** Seconds until the coldest spot is set (G ≥ 0.95); undefined: it never gets there. */
  readonly firstCleanPickS: number | undefined;
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

export function pourGrid(vessel: Vessel, depthM: number, size: PourGrid): HeatGrid {
  const shape = vesselShape(vessel);
  return shape.halfAt
    ? boxGrid(shape.halfAt, depthM, size.nxy, size.nxy, size.nzBox)
    : roundGrid(shape.halfWidthAt, depthM, size.nr, size.nz);
}

/**
 * Steams one pour until its coldest spot has set, then on for `afterShare` of that time.
 * The films are shared with the power limit; the chamber recovers first-order in 20 s after loading.
 * @param afterShare how much longer to go on, as a share of the first-clean-pick time (0.2: to "plan for")
 * @param size grid cells; the frames follow it
 */
export function singlePour(p: SinglePour, afterShare = 0.2, size: PourGrid = FINE_GRID): PourResult {
  const grid = pourGrid(p.vessel, p.depthM, size);
  const wall = walledSide({ material: p.material, paper: p.paper }, p.filmH, p.steamC);
  const run = conduct({
    grid,
    materials: [cakeMaterial(p.parts, p.gasShare, p.midpointC)],
    initialC: p.startC,
    initialG: p.startG,
    wallC: p.mouldC,
    sides: { base: wall, wall, top: topSide(p.filmH * (p.topShare ?? 1), p.steamC, p.foil) },
    powerW: typeof p.powerW === 'number' ? constant(p.powerW) : p.powerW,
    recoveryS: RECOVERY_S,
    toleranceC: 1,
  });
  const held0 = run.heatHeldJ();
  const recorder = frameRecorder(run, p.depthM, 20);
  const [nx, ny] = grid.n;
  const history: [number, number, number, number][] = [];
  let clean: number | undefined;
  let coldest = 0;
  let limitedS = 0;
  let stopAt = GIVE_UP_S;
  let lastG = p.startG;
  const flux: [number, number][] = [];
  let taken = 0;
  const { temp, gel } = run;
  const { volume } = grid;
  const note = (): number => {
    let g = Infinity;
    let sum = 0;
    let vol = 0;
    let cold = coldest;
    for (let c = 0; c < volume.length; c++) {
      const v = volume[c];
      if (v === 0) continue;
      if (gel[c] < g) {
        g = gel[c];
        cold = c;
      }
      sum += temp[c] * v;
      vol += v;
    }
    if (clean === undefined) coldest = cold;
    history.push([run.timeS(), run.temp[coldest], sum / vol, run.gel[coldest]]);
    recorder.note();
    return g;
  };
  note();
  while (run.timeS() < stopAt - 1e-9) {
    const from = run.timeS();
    const dt = run.advance(stopAt);
    if (run.powerLimited()) limitedS += dt;
    flux.push([run.timeS(), (run.heatInJ() - taken) / dt]);
    taken = run.heatInJ();
    const g = note();
    if (clean === undefined && g >= CLEAN_G) {
      clean = from + (dt * (CLEAN_G - lastG)) / Math.max(g - lastG, 1e-9);
      stopAt = Math.max(run.timeS(), clean * (1 + afterShare));
    }
    if (clean === undefined && from > 900 && Math.abs(run.temp[coldest] - p.steamC) < 0.05) break;
    lastG = g;
  }
  const heatInJ = run.heatInJ();
  const i = coldest % nx;
  const k = Math.floor(coldest / (nx * ny));
  return {
    firstCleanPickS: clean,
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

/** Times a cook works by, from first clean pick: check at 0.85 ×, plan for 1.2 × + the family's rest, each × the steamer's factor. */
export interface SteamTimes {
  readonly firstCleanPickS: Figure;
  readonly checkAtS: number;
  readonly planForS: number;
  readonly noLaterThanS: number;
  /** First clean pick before learning. */
  readonly unlearnedS: number;
}

export function steamTimes(
  firstCleanPickS: number,
  factor: Figure,
  restInSteamerS: number,
  noLaterFactor: number,
): SteamTimes {
  const f = firstCleanPickS * factor.value;
  return {
    firstCleanPickS: figure(f, factor.source),
    checkAtS: 0.85 * f,
    planForS: 1.2 * f + restInSteamerS,
    noLaterThanS: Math.max(noLaterFactor * f, 1.2 * f + restInSteamerS),
    unlearnedS: firstCleanPickS,
  };
}
