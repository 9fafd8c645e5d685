import {
  boxGrid,
  conduct,
  roundGrid,
  survey,
  type ConductionProblem,
  type ConductionRun,
  type HeatGrid,
  type Pieces,
} from '../heat';
import type { Vessel } from '../../kitchen';
import { LATENT_STEAM, type Turns } from '../../units';
import { vesselShape } from '../vessel';
import { steamChamber, type SteamRoom } from './air';
import { cakeMaterial, type CakeBody } from './cakeMaterial';
import { frameRecorder, type FieldFrames } from './frames';
import { advanceIn, type HeatCourse } from './heatCourse';
import { readyBetween, readyIn, stillToGoS, type Coldest, type Ready } from './ready';
import type { StackCells } from './stackGrid';
import { sidesInAir, sidesInSteam, type InSteam } from './surroundings';

/** What a steaming shares whatever is in the vessel: mould and wall, guard, and the steam it stands in. */
export interface SteamSetting extends Omit<InSteam, 'steamC'> {
  /** Temperature of the mould when filled, °C. */
  readonly mouldC: number;
  readonly room: SteamRoom;
  /** When the heat changes; absent: the same throughout. The power itself is the room's. */
  readonly course?: HeatCourse;
}

export interface SinglePour extends SteamSetting, CakeBody {
  /** How its pieces take its heat. */
  readonly pieces?: Pieces;
  readonly vessel: Vessel;
  /** Height as it steams, its gas counted, m. */
  readonly depthM: number;
  readonly startC: number;
  readonly startG: number;
  /** How long it lies uncovered in the kitchen once it is poured (levelled, tapped, carried, lid on), s, and the kitchen's air, °C. */
  readonly open?: { readonly timeS: number; readonly kitchenC: number };
  /** Ready so much later than by the usual rule, °C: for what is not known of it. */
  readonly readyMoreC?: number;
  /** How much longer it steams once it is so, by the family's rule, s. */
  readonly moreS?: number;
  /** When the lid is opened for something else, s: the steam holds air again. */
  readonly openingsS?: readonly number[];
  /** Standing in the steamer with the fire off, s, and what surrounds it then. */
  readonly stand?: { readonly timeS: number; readonly sides: ConductionProblem['sides'] };
}

/** How finely heat is worked out: cells of one pour and of each layer of a stack, and the steps. */
export interface PourGrid extends StackCells {
  readonly nr: number;
  readonly nz: number;
  readonly nxy: number;
  readonly nzBox: number;
  /** Bend of a cell's course that a step may have, °C. */
  readonly toleranceC: number;
  readonly maxStepS: number;
}
const COARSE_STACK: StackCells = { rows: 4, columns: 5, columnsBox: 4 };
/** For comparison: what the others are measured against. */
export const FINE_GRID: PourGrid = {
  nr: 24,
  nz: 32,
  nxy: 16,
  nzBox: 26,
  rows: 9,
  columns: 15,
  columnsBox: 9,
  toleranceC: 1,
  maxStepS: 5,
};
/** What every forecast ships: the cheapest that keeps fields within 0.5 °C of the series and the time within 1 % of the finest. */
export const SHIPPED_GRID: PourGrid = {
  nr: 14,
  nz: 20,
  nxy: 16,
  nzBox: 20,
  rows: 6,
  columns: 10,
  columnsBox: 6,
  toleranceC: 6,
  maxStepS: 180,
};
/** For what is tried many times: remedies, fixes, a figure while it is dragged. */
export const COARSE_GRID: PourGrid = {
  nr: 8,
  nz: 12,
  nxy: 7,
  nzBox: 10,
  ...COARSE_STACK,
  toleranceC: 6,
  maxStepS: 180,
};

/** For differences between runs, which a grid's own error hardly touches: spreads. */
export const SPREAD_GRID: PourGrid = {
  nr: 6,
  nz: 9,
  nxy: 5,
  nzBox: 8,
  ...COARSE_STACK,
  toleranceC: 10,
  maxStepS: 300,
};

/** While hardly anything happens (it lies open, it stands), a step may bend a course so many times as far. */
const AT_REST = 4;
/** With no more than so many of the longest steps to go, steps are no longer than this, s: it is ready inside one. */
const NEAR = { steps: 1, longestS: 60 } as const;
/** Where so much of a body is gas, steps are no longer than this, s: its conductivity rises steeply towards the boil. */
const FOAM = { share: 0.05, longestS: 30 } as const;

/** Minutes past which a cake is given up as never setting. */
const GIVE_UP_S = 6 * 3600;
/** The steam counts as short while the cake leaves less of it over than this, as a share. */
const SHORT = 0.1;

export interface PourResult {
  /** Seconds until the coldest spot is ready; 0 where it is so when poured; undefined: it never gets there. */
  readonly firstCleanPickS: number | undefined;
  /** What it was to come to. */
  readonly ready: Ready;
  /** Fire on until then, s. */
  readonly steamedS: number;
  readonly coldSpot: { readonly xM: number; readonly zM: number };
  /** Cold-spot history: time s, cold-spot °C, mean °C, cold-spot G. */
  readonly history: readonly (readonly [number, number, number, number])[];
  readonly frames: FieldFrames;
  /** Heat taken from the steam over time: seconds, W. */
  readonly flux: readonly (readonly [number, number])[];
  /** How long the cake took nearly all of the steam there was, s. */
  readonly shortS: number;
  /** Greatest air in the steam once the lid's own is out, and what is left at the end, mole fractions. */
  readonly air: { readonly most: number; readonly end: number };
  /** What condensed on its top, while the fire was on, g. */
  readonly onTopG: number;
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

/** Air that came in with the lid counts as driven out after this long, s. */
const PURGED_S = 60;

/**
 * Steams one pour until its coldest spot is ready, then on for `afterShare` of that time, and lets it stand. The steam holds what air the cake
 * and the lid leave in it.
 * @param afterShare how much longer to go on, as a share of the first-clean-pick time (0.2: to "plan for")
 * @param size grid cells; the frames follow it
 */
export function* singlePour(p: SinglePour, afterShare = 0.2, size: PourGrid = SHIPPED_GRID): Turns<PourResult> {
  const grid = pourGrid(p.vessel, p.depthM, size);
  const { steamC } = p.room;
  const sides = sidesInSteam({ ...p, steamC });
  const chamber = steamChamber(p.room);
  const materials = [cakeMaterial(p, steamC)];
  const run = conduct({
    grid,
    materials,
    ...(yield* lain(p, grid, materials, size)),
    sides,
    chamber,
    toleranceC: size.toleranceC,
    maxStepS: p.gasShare > FOAM.share ? Math.min(FOAM.longestS, size.maxStepS) : size.maxStepS,
  });
  const held0 = run.heatHeldJ();
  const recorder = frameRecorder(run, p.depthM, 20);
  const [nx, ny] = grid.n;
  const ready = readyIn(p.gelling, p.room, p.course, p.readyMoreC);
  const history: [number, number, number, number][] = [];
  let clean: number | undefined;
  let coldest = 0;
  let shortS = 0;
  let mostAir = 0;
  let stopAt = GIVE_UP_S;
  const flux: [number, number][] = [];
  let taken = 0;
  const { temp, gel, piecesTemp } = run;
  const { volume } = grid;
  const note = (): Coldest => {
    const at = survey(temp, gel, volume, piecesTemp);
    if (clean === undefined) coldest = at.coldestCell;
    history.push([run.timeS(), temp[coldest], at.meanC, gel[coldest]]);
    recorder.note();
    return { timeS: run.timeS(), gel: at.leastG, tempC: at.leastC };
  };
  const found = (at: number) => {
    clean = at + (p.moreS ?? 0);
    stopAt = Math.max(run.timeS(), clean * (1 + afterShare));
  };
  const openings = [...(p.openingsS ?? [])].sort((a, b) => a - b);
  let last = note();
  let near = false;
  if (readyBetween(last, last, ready, steamC) !== undefined) found(0);
  while (run.timeS() < stopAt - 1e-9) {
    const from = run.timeS();
    while (openings.length > 0 && openings[0] <= from + 1e-9) {
      chamber.open();
      run.surround(sides, chamber);
      openings.shift();
    }
    const until = Math.min(stopAt, openings[0] ?? Infinity, near ? from + NEAR.longestS : Infinity);
    const dt = advanceIn(run, until, p.course, sides, chamber);
    const watts = (run.heatInJ() - taken) / dt;
    const given = p.room.powerW(from + dt / 2) / p.room.bodies;
    if (given > 0 && watts > (1 - SHORT) * given) shortS += dt;
    if (from > PURGED_S) mostAir = Math.max(mostAir, run.chamberState());
    flux.push([run.timeS(), watts]);
    taken = run.heatInJ();
    const now = note();
    if (clean === undefined) {
      const at = readyBetween(last, now, ready, steamC);
      if (at !== undefined) found(at);
      else if (from > 900 && !p.course && isStill(last, now)) break;
    }
    near = clean === undefined && stillToGoS(last, now, ready) < NEAR.steps * size.maxStepS;
    last = now;
    yield;
  }
  const steamedS = run.timeS();
  const air = { most: Math.max(mostAir, run.chamberState()), end: run.chamberState() };
  const onTopG = p.foil ? 0 : (1000 * Math.max(0, run.sideHeatJ('top'))) / LATENT_STEAM;
  if (p.stand && p.stand.timeS > 0 && clean !== undefined) {
    run.surround(p.stand.sides, undefined, AT_REST * size.toleranceC);
    const until = steamedS + p.stand.timeS;
    while (run.timeS() < until - 1e-9) {
      run.advance(until);
      note();
      yield;
    }
  }
  const heatInJ = run.heatInJ();
  const i = coldest % nx;
  const k = Math.floor(coldest / (nx * ny));
  return {
    firstCleanPickS: clean,
    ready,
    steamedS,
    coldSpot: { xM: (grid.edgesX[i] + grid.edgesX[i + 1]) / 2, zM: (grid.edgesZ[k] + grid.edgesZ[k + 1]) / 2 },
    history,
    frames: recorder.frames(),
    flux,
    shortS,
    air,
    onTopG,
    heatInJ,
    energyError: heatInJ > 0 ? Math.abs(run.heatHeldJ() - held0 - heatInJ) / heatInJ : 0,
    run,
  };
}

/** The field with which a pour goes into the steam: as poured, and cooled at its top while it lay open. */
function* lain(
  p: SinglePour,
  grid: HeatGrid,
  materials: ConductionProblem['materials'],
  size: PourGrid,
): Turns<Pick<ConductionProblem, 'initialC' | 'initialG' | 'wallC' | 'pieces'>> {
  const poured = { initialC: p.startC, initialG: p.startG, wallC: p.mouldC, ...(p.pieces ? { pieces: p.pieces } : {}) };
  if (!p.open || p.open.timeS <= 0) return poured;
  const run = conduct({
    grid,
    materials,
    ...poured,
    sides: sidesInAir(p, p.open.kitchenC, p.foil),
    toleranceC: AT_REST * size.toleranceC,
  });
  while (run.timeS() < p.open.timeS - 1e-9) {
    run.advance(p.open.timeS);
    yield;
  }
  return {
    initialC: run.temp,
    initialG: run.gel,
    wallC: run.wallC,
    ...(p.pieces && run.piecesTemp ? { pieces: { ...p.pieces, initialC: run.piecesTemp } } : {}),
  };
}

/** Nothing that is waited for changes any more. */
const isStill = (a: Coldest, b: Coldest): boolean =>
  (b.tempC - a.tempC) / (b.timeS - a.timeS) < STILL_C_S && (b.gel - a.gel) / (b.timeS - a.timeS) < STILL_G_S;
const STILL_C_S = 5e-5;
const STILL_G_S = 1e-6;
