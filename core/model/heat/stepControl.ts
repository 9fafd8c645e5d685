import { doubles } from './arena';
import { BEFORE, OLDER, TEMP, type Field } from './field';

export const FIRST_STEP_S = 0.25;
/** First step after the surroundings changed. */
export const AFRESH_STEP_S = 0.5;
export const USUAL_TOLERANCE_C = 0.6;
export const USUAL_LONGEST_S = 60;
/** A step whose error is so many times the tolerance is taken again. */
const REFUSED = 2.5;
const SHORTEST_S = 0.02;
const SAFETY = 0.9;
/** A first step is judged by its change alone: an eighth of it counts as error. */
const OF_FIRST = 1 / 8;

/**
 * How far the courses of the cells bend in a step, °C: change less what the step before foretells, in every cell that steers.
 * @param ratio length of this step ÷ that of the one before; undefined for a first step
 */
export const bend = (() => {
  const a = doubles;
  return (f: Field, ratio: number | undefined): number => {
    const { size, pitch } = f;
    const { minor } = f.grid;
    const temp = TEMP * pitch;
    const before = BEFORE * pitch;
    const older = OLDER * pitch;
    let worst = 0;
    if (ratio === undefined) {
      for (let c = 0; c < size; c++) {
        const off = Math.abs(a[(temp + c) | 0] - a[(before + c) | 0]) * OF_FIRST;
        if (off > worst) worst = off;
      }
      return worst;
    }
    for (let c = 0; c < size; c++) {
      if (minor[c] === 1) continue;
      const was = a[(before + c) | 0];
      const off = Math.abs(a[(temp + c) | 0] - was - ratio * (was - a[(older + c) | 0]));
      if (off > worst) worst = off;
    }
    return worst;
  };
})();

export const isRefused = (worst: number, tolerance: number, dt: number): boolean =>
  worst > REFUSED * tolerance && dt > SHORTEST_S;

/** The step to try instead of one that was refused. */
export const shorter = (dt: number, worst: number, tolerance: number): number =>
  dt * Math.max(0.3, SAFETY * Math.sqrt(tolerance / worst));

/** The step after one that was taken. */
export const following = (dt: number, worst: number, tolerance: number, longest: number): number =>
  Math.min(longest, dt * Math.min(1.6, Math.max(0.4, SAFETY * Math.sqrt(tolerance / Math.max(worst, 1e-9)))));
