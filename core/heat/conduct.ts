import { assembleCells, assembleFilms, assembleSurroundings } from './assemble';
import type { ConductionProblem, ConductionRun } from './conduction.types';
import { BEFORE, cellsOf, fieldOf, GEL, OLDER, TEMP } from './field';
import { gelCells } from './gelling';
import { SIDES } from './grid';
import { lookUp } from './lookup';
import { nextScale, isWithinPower, POWER_TRIES } from './power';
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

/**
 * Transient conduction on a finite-volume grid, implicit: each step sweeps the axes in turn (locally one-dimensional,
 * order reversed every other step so that the splitting stays second-order), each sweep by SDIRK2 on tridiagonal lines.
 * Walls are lumped nodes eliminated from their line. All films are scaled down alike when the heat they ask for exceeds the power.
 * Step size follows the curvature of the temperature's course.
 */
export function conduct(problem: ConductionProblem): ConductionRun {
  const { grid, materials, powerW, recoveryS } = problem;
  const f = fieldOf(problem);
  const { size } = f;
  const temp = cellsOf(f, TEMP);
  const before = cellsOf(f, BEFORE);
  const older = cellsOf(f, OLDER);
  const { wallC, wallBefore } = f.faces;
  let sides = SIDES.map((s) => problem.sides[s]);
  let time = 0;
  let step = FIRST_STEP_S;
  let steps = 0;
  let lastDt = 1;
  let scale = 1;
  let limited = false;
  let heatIn = 0;
  const tolerance = problem.toleranceC ?? USUAL_TOLERANCE_C;
  const longest = problem.maxStepS ?? USUAL_LONGEST_S;

  function tryStep(dt: number): number {
    const at = time + dt / 2;
    const recovered = recoveryS ? 1 - Math.exp(-at / recoveryS) : 1;
    assembleFilms(f, sides, scale * recovered);
    return sweepAll(f, dt, steps % 2 === 1);
  }

  const restore = () => {
    temp.set(before);
    wallC.set(wallBefore);
  };

  function advance(untilS: number): number {
    assembleCells(f);
    assembleSurroundings(f, sides, time);
    older.set(before);
    before.set(temp);
    wallBefore.set(wallC);
    for (;;) {
      const dt = Math.min(step, untilS - time);
      let heat = tryStep(dt);
      if (powerW) {
        const most = (powerW(time + dt / 2) * dt) / grid.symmetry;
        for (let tries = 0; tries < POWER_TRIES && !isWithinPower(heat, most, scale); tries++) {
          scale = nextScale(scale, heat, most);
          restore();
          heat = tryStep(dt);
        }
        limited = scale < 1;
      }
      const worst = bend(f, steps === 0 ? undefined : dt / lastDt);
      if (isRefused(worst, tolerance, dt)) {
        step = shorter(dt, worst, tolerance);
        restore();
        continue;
      }
      heatIn += heat;
      gelCells(f, dt);
      time += dt;
      lastDt = dt;
      steps++;
      if (dt === step || worst > tolerance) step = following(dt, worst, tolerance, longest);
      return dt;
    }
  }

  return {
    temp,
    gel: cellsOf(f, GEL),
    wallTemp: wallC,
    grid,
    advance,
    timeS: () => time,
    heatInJ: () => heatIn * grid.symmetry,
    heatHeldJ: () => {
      const { volume } = grid;
      const { count, side, areaM2 } = f.faces;
      let h = 0;
      for (let c = 0; c < size; c++) if (volume[c] > 0) h += lookUp(materials[f.kind[c]].enthalpy, temp[c]) * volume[c];
      for (let q = 0; q < count; q++) h += sides[side[q]].capacity * areaM2[q] * wallC[q];
      return h * grid.symmetry;
    },
    powerLimited: () => limited,
    surround: (next) => {
      sides = SIDES.map((s) => next[s]);
      scale = 1;
      step = AFRESH_STEP_S;
      steps = 0;
    },
  };
}
