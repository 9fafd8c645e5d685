import { BEFORE, RATE, TEMP, type Field } from './field';

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

/** How far the courses of the cells bend in a step, °C: change less what the last rate foretold, in every cell that steers. */
export function bend(f: Field, dt: number, first: boolean): number {
  const { a, size, pitch } = f;
  const { minor } = f.grid;
  const temp = TEMP * pitch;
  const before = BEFORE * pitch;
  const rate = RATE * pitch;
  let worst = 0;
  if (first) {
    for (let c = 0; c < size; c++) worst = Math.max(worst, Math.abs(a[temp + c] - a[before + c]) * OF_FIRST);
    return worst;
  }
  for (let c = 0; c < size; c++) {
    if (minor[c] === 1) continue;
    const off = Math.abs(a[(temp + c) | 0] - a[(before + c) | 0] - dt * a[(rate + c) | 0]);
    if (off > worst) worst = off;
  }
  return worst;
}

/** Keeps the rates of a step that was taken. */
export function noteRates(f: Field, dt: number): void {
  const { a, size, pitch } = f;
  const temp = TEMP * pitch;
  const before = BEFORE * pitch;
  const rate = RATE * pitch;
  const perDt = 1 / dt;
  for (let c = 0; c < size; c++) a[(rate + c) | 0] = (a[(temp + c) | 0] - a[(before + c) | 0]) * perDt;
}

export const isRefused = (worst: number, tolerance: number, dt: number): boolean =>
  worst > REFUSED * tolerance && dt > SHORTEST_S;

/** The step to try instead of one that was refused. */
export const shorter = (dt: number, worst: number, tolerance: number): number =>
  dt * Math.max(0.3, SAFETY * Math.sqrt(tolerance / worst));

/** The step after one that was taken. */
export const following = (dt: number, worst: number, tolerance: number, longest: number): number =>
  Math.min(longest, dt * Math.min(1.6, Math.max(0.4, SAFETY * Math.sqrt(tolerance / Math.max(worst, 1e-9)))));
