import { assembleCells, assembleChamber, assembleFilms, assembleSurroundings } from './assemble';
import { doubles, enter } from './arena';
import type { Chamber, ConductionProblem, ConductionRun } from './conduction.types';
import { drawnFrom, isSameFilm } from './draw';
import { BEFORE, cellsOf, fieldOf, GEL, OLDER, PIECES, PIECES_BEFORE, standBehind, TEMP, wallsOf } from './field';
import { gelCells } from './gelling';
import { SIDES } from './grid';
import { lookUp } from './lookup';
import { lagging, type LaggingPieces } from './pieces';
import {
  AFRESH_STEP_S,
  bend,
  FIRST_STEP_S,
  following,
  isRefused,
  shorter,
  USUAL_LONGEST_S,
  USUAL_TOLERANCE_C,
} from './stepControl';
import { sweepAll } from './sweep';

/** How often a step is taken again until the chamber and the body agree. */
const CHAMBER_TRIES = 5;
/** What a chamber was thought to give and gave may differ by so much either way. */
const RATIO = { least: 0.1, most: 4 } as const;
/** A body that draws less than this says nothing about the ratio, W. */
const LEAST_DRAW_W = 1e-6;

/**
 * Transient conduction on a finite-volume grid, implicit: each step sweeps the axes in turn (locally one-dimensional,
 * order reversed every other step so that the splitting stays second-order), each sweep by SDIRK2 on tridiagonal lines.
 * Walls are lumped nodes eliminated from their line. A chamber's state is found in every step so that what it gives and what is taken agree.
 * Step size follows the curvature of the temperature's course.
 */
export function conduct(problem: ConductionProblem): ConductionRun {
  const { grid, materials, pieces } = problem;
  const f = fieldOf(problem);
  const { size, sideJ } = f;
  // What others see of it is a copy, made anew after every step: the buffer may be another run's by then.
  const temp = cellsOf(f, TEMP).slice();
  const gel = cellsOf(f, GEL).slice();
  const ofPieces = pieces && cellsOf(f, PIECES).slice();
  const wallC = wallsOf(f).slice();
  let sides = SIDES.map((s) => problem.sides[s]);
  standBehind(f, sides);
  let chamber: Chamber | undefined = problem.chamber;
  let time = 0;
  let step = FIRST_STEP_S;
  let steps = 0;
  let lastDt = 1;
  let state = 0;
  let ratio = 1;
  const heatIn = new Float64Array(SIDES.length);
  const gelBefore = gel.slice();
  let tolerance = problem.toleranceC ?? USUAL_TOLERANCE_C;
  const longest = problem.maxStepS ?? USUAL_LONGEST_S;

  const copy = (to: number, from: number) => doubles.copyWithin(to * f.pitch, from * f.pitch, from * f.pitch + size);
  const copyWalls = (to: number, from: number) => doubles.copyWithin(to, from, from + f.faces.count);
  const restore = () => {
    copy(TEMP, BEFORE);
    copyWalls(f.faces.wallC, f.faces.wallBefore);
    if (pieces) copy(PIECES, PIECES_BEFORE);
  };
  const show = () => {
    temp.set(cellsOf(f, TEMP));
    gel.set(cellsOf(f, GEL));
    ofPieces?.set(cellsOf(f, PIECES));
    wallC.set(wallsOf(f));
  };

  function sweep(dt: number, lag: LaggingPieces | undefined): number {
    assembleFilms(f);
    lag?.push();
    const heat = sweepAll(f, dt, steps % 2 === 1);
    lag?.push();
    return heat;
  }

  /** A step in the chamber, taken again until its state is the one in which what is taken is what there is. */
  function sweepIn(air: Chamber, dt: number, lag: LaggingPieces | undefined): void {
    const drawn = drawnFrom(f, sides, air);
    const settled = () => air.settle(time, dt, (at) => ratio * drawn(at));
    state = settled();
    for (let tries = 1; ; tries++) {
      assembleChamber(f, sides, air, state);
      const heat = sweep(dt, lag);
      const thought = drawn(state) * dt;
      if (Math.abs(thought) > LEAST_DRAW_W * dt)
        ratio = Math.min(RATIO.most, Math.max(RATIO.least, (heat * grid.symmetry) / thought));
      const next = settled();
      if (tries === CHAMBER_TRIES || isSameFilm(air, state, next)) return;
      restore();
      state = next;
    }
  }

  function advance(untilS: number): number {
    enter(f);
    assembleSurroundings(f, sides, time);
    copy(OLDER, BEFORE);
    copy(BEFORE, TEMP);
    copyWalls(f.faces.wallBefore, f.faces.wallC);
    if (pieces) copy(PIECES_BEFORE, PIECES);
    for (;;) {
      const dt = Math.min(step, untilS - time);
      assembleCells(f, steps === 0 ? 0 : dt / lastDt);
      const lag = pieces && lagging(f, pieces, dt);
      lag?.join();
      if (chamber) sweepIn(chamber, dt, lag);
      else sweep(dt, lag);
      lag?.follow();
      const worst = bend(f, steps === 0 ? undefined : dt / lastDt);
      if (isRefused(worst, tolerance, dt)) {
        step = shorter(dt, worst, tolerance);
        restore();
        continue;
      }
      for (let s = 0; s < heatIn.length; s++) heatIn[s] += sideJ[s];
      gelBefore.set(gel);
      chamber?.pass(dt);
      gelCells(f, dt);
      time += dt;
      lastDt = dt;
      steps++;
      if (dt === step || worst > tolerance) step = following(dt, worst, tolerance, longest);
      show();
      return dt;
    }
  }

  return {
    temp,
    gel,
    piecesTemp: ofPieces,
    wallTemp: wallC,
    wallC: (face) => wallC[f.faces.placeOf[face]],
    grid,
    advance,
    undo: () => {
      enter(f);
      restore();
      cellsOf(f, GEL).set(gelBefore);
      show();
      for (let s = 0; s < heatIn.length; s++) heatIn[s] -= sideJ[s];
      time -= lastDt;
      // What foretells the next step is gone with the one before: begin with small ones.
      steps = 0;
      step = Math.min(lastDt / 2, step);
    },
    timeS: () => time,
    heatInJ: () => (heatIn[0] + heatIn[1] + heatIn[2]) * grid.symmetry,
    sideHeatJ: (side) => heatIn[SIDES.indexOf(side)] * grid.symmetry,
    heatHeldJ: () => {
      const { volume, faces } = grid;
      let h = 0;
      for (let c = 0; c < size; c++) {
        if (volume[c] === 0) continue;
        const { enthalpy } = materials[problem.materialOf?.[c] ?? 0];
        const own = lookUp(enthalpy, temp[c]);
        h += (pieces && ofPieces ? own + pieces.share * (lookUp(enthalpy, ofPieces[c]) - own) : own) * volume[c];
      }
      faces.forEach((face, i) => {
        h += sides[SIDES.indexOf(face.side)].capacity * face.areaM2 * wallC[f.faces.placeOf[i]];
      });
      return h * grid.symmetry;
    },
    chamberState: () => state,
    surround: (next, air, toleranceC = tolerance) => {
      tolerance = toleranceC;
      sides = SIDES.map((s) => next[s]);
      enter(f);
      standBehind(f, sides);
      chamber = air;
      state = 0;
      ratio = 1;
      step = AFRESH_STEP_S;
      steps = 0;
    },
  };
}
