import type { Chamber, ConductionProblem, ConductionRun } from '../heat';

/** From a time on, s, the ring gives so much, W. */
export interface HeatPhase {
  readonly fromS: number;
  readonly powerW: number;
}
/** Phases in order, the first from 0; the last one holds. */
export type HeatCourse = readonly HeatPhase[];

/** Steps in which the heat left in a plate is spent. */
const SPENT_IN = 4;

/**
 * The course of the plan's changes of heat. A ring that is turned off goes on at falling power for as long as its plate stays hot.
 * @param phases power, W, and its length, s; no power where the fire is off; the last one needs no length
 * @param leftoverS how long the plate stays hot, s
 */
export function heatCourse(
  phases: readonly { readonly powerW: number | undefined; readonly timeS?: number }[],
  leftoverS: number,
): HeatCourse {
  const course: HeatPhase[] = [];
  let at = 0;
  let last: number | undefined;
  for (const { powerW, timeS } of phases) {
    if (powerW !== undefined) {
      last = powerW;
      course.push({ fromS: at, powerW });
    } else {
      for (let i = 0; last !== undefined && leftoverS > 0 && i < SPENT_IN; i++) {
        const left = 1 - (i + 0.5) / SPENT_IN;
        course.push({ fromS: at + (leftoverS * i) / SPENT_IN, powerW: last * left });
      }
      course.push({ fromS: at + (last === undefined ? 0 : leftoverS), powerW: 0 });
      last = undefined;
    }
    at += timeS ?? 0;
  }
  // Relit before its plate is spent: later phases hold from their own time on.
  return course.sort((a, b) => a.fromS - b.fromS);
}

/** Power at a time, W. */
export function powerAt(course: HeatCourse, timeS: number): number {
  let found = course[0].powerW;
  for (const p of course) if (p.fromS <= timeS) found = p.powerW;
  return found;
}

/**
 * Advances a run by one step, never over a change of heat; at one it starts afresh with small steps.
 * @param from where the run's time begins in the course, s
 */
export function advanceIn(
  run: ConductionRun,
  untilS: number,
  course: HeatCourse | undefined,
  sides: ConductionProblem['sides'],
  chamber: Chamber,
  from = 0,
): number {
  if (!course) return run.advance(untilS);
  const now = run.timeS() + from;
  const change = course.find((p) => p.fromS > now + 1e-6)?.fromS ?? Infinity;
  const dt = run.advance(Math.min(untilS, change - from));
  if (run.timeS() + from >= change - 1e-6) run.surround(sides, chamber);
  return dt;
}
