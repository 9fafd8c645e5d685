import type { ConductionProblem, ConductionRun, SideSpec } from '../heat';

/** How hard it boils, W/(m²·K) and W. */
export interface Boil {
  readonly filmH: number;
  readonly powerW: number;
}
/** From a time on, s: film and power as shares of the boil that the rest of a setting is stated for. */
export interface HeatPhase {
  readonly fromS: number;
  readonly film: number;
  readonly power: number;
}
/** Phases in order, the first from 0; the last one holds. */
export type HeatCourse = readonly HeatPhase[];

/** Steps in which the heat left in a plate is spent. */
const SPENT_IN = 4;
/** A film with no steam behind it: what is in the chamber keeps its heat. */
const STILL_H = 4;

/**
 * The course of the plan's changes of heat. A ring that is turned off goes on at falling power for as long as its plate stays hot.
 * @param phases boil and its length, s; no boil where the fire is off; the last one needs no length
 * @param leftoverS how long the plate stays hot, s
 * @param base what shares are of
 */
export function heatCourse(
  phases: readonly { readonly boil: Boil | undefined; readonly timeS?: number }[],
  leftoverS: number,
  base: Boil,
): HeatCourse {
  const course: HeatPhase[] = [];
  const still = STILL_H / Math.max(base.filmH, 1e-9);
  let at = 0;
  let last: HeatPhase | undefined;
  for (const { boil, timeS } of phases) {
    if (boil) {
      last = { fromS: at, film: boil.filmH / base.filmH, power: boil.powerW / base.powerW };
      course.push(last);
    } else {
      for (let i = 0; last && leftoverS > 0 && i < SPENT_IN; i++) {
        const left = 1 - (i + 0.5) / SPENT_IN;
        course.push({ fromS: at + (leftoverS * i) / SPENT_IN, film: last.film * left, power: last.power * left });
      }
      course.push({ fromS: at + (last ? leftoverS : 0), film: still, power: 0 });
      last = undefined;
    }
    at += timeS ?? 0;
  }
  // Relit before its plate is spent: later phases hold from their own time on.
  return course.sort((a, b) => a.fromS - b.fromS);
}

/** The phase that holds at a time. */
export function phaseAt(course: HeatCourse, timeS: number): HeatPhase {
  let found = course[0];
  for (const p of course) if (p.fromS <= timeS) found = p;
  return found;
}

/** Power at a time, by the course. @param from where the time begins in the course, s */
export function phasedPower(
  powerW: number | ((timeS: number) => number),
  course: HeatCourse | undefined,
  from = 0,
): (timeS: number) => number {
  const first = typeof powerW === 'number' ? () => powerW : powerW;
  return course ? (t) => first(t) * phaseAt(course, from + t).power : first;
}

/** A side whose film follows the phases of heat. @param from where the time begins in the course, s */
export function phasedSide(side: SideSpec, course: HeatCourse | undefined, from = 0): SideSpec {
  if (!course) return side;
  return {
    ...side,
    filmAt: (_, t) => ({ filmH: side.filmH * phaseAt(course, from + t).film, ambientC: side.ambientC }),
  };
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
  from = 0,
): number {
  if (!course) return run.advance(untilS);
  const now = run.timeS() + from;
  const change = course.find((p) => p.fromS > now + 1e-6)?.fromS ?? Infinity;
  const dt = run.advance(Math.min(untilS, change - from));
  if (run.timeS() + from >= change - 1e-6) run.surround(sides);
  return dt;
}
