import {
  boxGrid,
  conduct,
  roundGrid,
  survey,
  type ConductionProblem,
  type ConductionRun,
  type HeatGrid,
  type HeatMaterial,
} from '../heat';
import type { Vessel } from '../kitchen';
import { depthForVolume, vesselShape } from '../vessel';
import type { FieldFrames } from './frames';
import { advanceIn, phasedPower, phasedSide } from './heatCourse';
import { readyBetween, SET, type Coldest, type Ready } from './ready';
import type { SteamSetting } from './singlePour';
import { topSide, walledSide } from './surroundings';

export interface LayerBatter {
  readonly name: string;
  readonly colour: string;
  readonly material: HeatMaterial;
  readonly massG: number;
  readonly volumeMl: number;
  /** Seconds in which it settles: stir before each pour when the wait is longer. */
  readonly stirEveryS: number;
}

export interface LayerInput extends SteamSetting {
  readonly batters: readonly LayerBatter[];
  readonly layers: number;
  readonly vessel: Vessel;
  readonly vesselCount: number;
  readonly startC: number;
  readonly powerW: number;
  /** On a coarse grid, for what is tried many times. */
  readonly coarse?: boolean;
  /** What the whole stack must come to at the end; absent: set through. */
  readonly ready?: Ready;
  /** Standing in the steamer with the fire off, s, and what surrounds it then. */
  readonly stand?: { readonly timeS: number; readonly sides: ConductionProblem['sides'] };
}

export interface LayerPour {
  readonly batter: string;
  readonly colour: string;
  /** Grams and ladle volume of this pour, per vessel; the ladle makes up 1 % of scraping loss. */
  readonly grams: number;
  readonly ladleMl: number;
  readonly fromM: number;
  readonly toM: number;
  /** When it is poured, s from the first pour; how long until it may be poured upon; after which it is too late and layers part. */
  readonly atS: number;
  readonly waitS: number;
  readonly tooLateS: number;
  readonly stirFirst: boolean;
}
export interface LayerRun {
  readonly pours: readonly LayerPour[];
  readonly totalS: number;
  readonly lastS: number;
  /** Fire on until then, s: a fifth of the last layer's time more. */
  readonly steamedS: number;
  readonly heatInJ: number;
  readonly frames: FieldFrames;
  readonly run: ConductionRun;
  readonly coldSpot: { readonly xM: number; readonly zM: number };
}

/** Cells of a layer's height, and across: as shipped, and for what is tried many times. */
const CELLS = { rows: 6, columns: 10, columnsBox: 6 } as const;
const COARSE_CELLS = { rows: 4, columns: 5, columnsBox: 4 } as const;
type Cells = typeof CELLS | typeof COARSE_CELLS;
const LAYER_G = 0.85;
/** The last layer is planned for a fifth longer. */
const AFTER = 0.2;
const TOO_LATE = 3;
const POUR_S = 20;
const SCRAPING = 0.01;
const GIVE_UP_S = 2 * 3600;
const RECOVERY_S = 20;

/** Which batter each layer takes: batters by turns. */
export const layerOrder = (layers: number, batters: number): readonly number[] =>
  Array.from({ length: layers }, (_, i) => i % batters);

function stackGrid(vessel: Vessel, tops: readonly number[], cells: Cells): HeatGrid {
  const shape = vesselShape(vessel);
  const edges = new Float64Array(tops.length * cells.rows + 1);
  tops.forEach((top, k) => {
    const from = k === 0 ? 0 : tops[k - 1];
    for (let r = 1; r <= cells.rows; r++) edges[k * cells.rows + r] = from + ((top - from) * r) / cells.rows;
  });
  const depth = tops[tops.length - 1];
  return shape.halfAt
    ? boxGrid(shape.halfAt, depth, cells.columnsBox, cells.columnsBox, edges.length - 1, edges)
    : roundGrid(shape.halfWidthAt, depth, cells.columns, edges.length - 1, edges);
}

/** The last layer steamed on; returns how long, s. */
function lastOnes(run: ConductionRun, doneS: number, keep: () => void): number {
  const onS = Math.max(run.timeS(), doneS * (1 + AFTER));
  while (run.timeS() < onS - 1e-9) run.advance(onS);
  keep();
  return onS;
}

/** The stack left to stand with the fire off. */
function standOn(run: ConductionRun, stand: LayerInput['stand'], keep: () => void): void {
  if (!stand || stand.timeS <= 0) return;
  run.surround(stand.sides);
  const until = run.timeS() + stand.timeS;
  while (run.timeS() < until - 1e-9) run.advance(until);
  keep();
}

/**
 * Pours n layers on top of each other in one vessel, each once the one below is set through (its coldest cell G ≥ 0.85), on the hot stack;
 * the last is steamed until the coldest spot of the whole stack is ready. Equal grams per layer of each batter.
 * @returns undefined when a layer never sets
 */
export function layerRun(input: LayerInput): LayerRun | undefined {
  const cells = input.coarse ? COARSE_CELLS : CELLS;
  const order = layerOrder(input.layers, input.batters.length);
  const timesOf = input.batters.map((_, b) => order.filter((x) => x === b).length);
  const tops: number[] = [];
  let volume = 0;
  for (const b of order) {
    volume += input.batters[b].volumeMl / timesOf[b] / input.vesselCount;
    tops.push(depthForVolume(input.vessel, volume));
  }
  const full = stackGrid(input.vessel, tops, cells);
  const [nx, ny, nz] = full.n;
  const plane = nx * ny;
  const wall = walledSide({ material: input.material, paper: input.paper }, input.filmH, input.steamC);
  const top = topSide(input.filmH * (input.topShare ?? 1), input.steamC, input.foil);
  const frames: { t: number; temp: Float32Array; gel: Float32Array }[] = [];
  const pours: LayerPour[] = [];
  let clock = 0;
  let run: ConductionRun | undefined;
  let coldest = 0;
  let steamedS = 0;
  let heatInJ = 0;
  for (let k = 0; k < order.length; k++) {
    const batter = input.batters[order[k]];
    const grid = k === order.length - 1 ? full : stackGrid(input.vessel, tops.slice(0, k + 1), cells);
    const size = grid.volume.length;
    const temp = new Float64Array(size).fill(input.startC);
    const gel = new Float64Array(size);
    if (run) {
      temp.set(run.temp);
      gel.set(run.gel);
    }
    const materialOf = Uint8Array.from(
      { length: size },
      (_, c) => order[Math.floor(Math.floor(c / plane) / cells.rows)],
    );
    const side = phasedSide(wall, input.course, clock);
    const sides = { base: side, wall: side, top: phasedSide(top, input.course, clock) };
    const next: ConductionRun = conduct({
      grid,
      materials: input.batters.map((b) => b.material),
      materialOf,
      initialC: temp,
      initialG: gel,
      wallC: k === 0 ? input.mouldC : input.steamC - 3,
      sides,
      powerW: phasedPower(input.powerW, input.course, clock),
      recoveryS: RECOVERY_S,
      toleranceC: 4,
      maxStepS: 60,
    });
    run = next;
    const from = k === 0 ? 0 : tops[k - 1];
    const poured = Array.from({ length: size }, (_, c) => c).filter(
      (c) => grid.volume[c] > 0 && grid.edgesZ[Math.floor(c / plane)] > from - 1e-9,
    );
    const last = k === order.length - 1;
    const goal: Ready = last ? (input.ready ?? SET) : { gel: LAYER_G };
    /** Of the whole stack at the last pour, of the poured layer before. */
    const note = (): Coldest => {
      if (!last) {
        let g = Infinity;
        for (const c of poured) g = Math.min(g, next.gel[c]);
        return { timeS: next.timeS(), gel: g, tempC: g };
      }
      const at = survey(next.temp, next.gel, grid.volume);
      coldest = at.coldestCell;
      return { timeS: next.timeS(), gel: at.leastG, tempC: at.leastC };
    };
    const keep = () => {
      const t = new Float32Array(nx * nz).fill(NaN);
      const g = new Float32Array(nx * nz).fill(NaN);
      for (let z = 0; z < grid.n[2]; z++)
        for (let x = 0; x < nx; x++) {
          t[z * nx + x] = next.temp[z * plane + x];
          g[z * nx + x] = next.gel[z * plane + x];
        }
      frames.push({ t: clock + next.timeS(), temp: t, gel: g });
    };
    keep();
    let before = note();
    let done = readyBetween(before, before, goal, input.steamC) === undefined ? undefined : 0;
    while (done === undefined && next.timeS() < GIVE_UP_S) {
      advanceIn(next, GIVE_UP_S, input.course, sides, clock);
      const now = note();
      done = readyBetween(before, now, goal, input.steamC);
      before = now;
    }
    if (done === undefined) return undefined;
    keep();
    const grams = batter.massG / timesOf[order[k]] / input.vesselCount;
    pours.push({
      batter: batter.name,
      colour: batter.colour,
      grams,
      ladleMl: (batter.volumeMl / timesOf[order[k]] / input.vesselCount) * (1 + SCRAPING),
      fromM: k === 0 ? 0 : tops[k - 1],
      toM: tops[k],
      atS: clock,
      waitS: done,
      tooLateS: last ? Infinity : TOO_LATE * done,
      stirFirst: k > 0,
    });
    if (last) steamedS = clock + lastOnes(next, done, keep);
    heatInJ += next.heatInJ();
    if (last) standOn(next, input.stand, keep);
    clock += next.timeS() + (last ? 0 : POUR_S);
  }
  if (!run) return undefined;
  const last = pours[pours.length - 1];
  const i = coldest % nx;
  const z = Math.floor(coldest / plane);
  return {
    pours,
    totalS: last.atS + last.waitS,
    lastS: last.waitS,
    steamedS,
    heatInJ,
    run,
    coldSpot: { xM: (full.edgesX[i] + full.edgesX[i + 1]) / 2, zM: (full.edgesZ[z] + full.edgesZ[z + 1]) / 2 },
    frames: {
      nx,
      nz,
      halfWidthM: full.edgesX[nx],
      edgesXM: [...full.edgesX],
      edgesZM: [...full.edgesZ],
      depthM: tops[tops.length - 1],
      timesS: frames.map((f) => f.t),
      tempC: frames.map((f) => f.temp),
      gel: frames.map((f) => f.gel),
    },
  };
}
