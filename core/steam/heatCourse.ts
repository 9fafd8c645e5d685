import type { SideSpec } from '../heat';

/** How hard it boils from a time on, s: film, W/(m²·K), and steam power, W, for what is in the chamber. */
export interface HeatPhase {
  readonly fromS: number;
  readonly filmH: number;
  readonly powerW: number;
}
/** Phases in order, the first from 0; the last one holds. */
export type HeatCourse = readonly HeatPhase[];

/** Steps in which the heat left in a plate is spent. */
const SPENT_IN = 4;
/** A film with no steam behind it: what is in the chamber keeps its heat. */
const STILL_H = 4;

/**
 * The course of the plan's changes of heat. A ring that is turned off goes on at falling power for as long as its plate stays hot.
 * @param phases heat and its length, s; the last one needs none
 * @param leftoverS how long the plate stays hot, s
 */
export function heatCourse(
  phases: readonly {
    readonly filmH: number;
    readonly powerW: number;
    readonly timeS?: number;
    readonly off?: boolean;
  }[],
  leftoverS: number,
): HeatCourse {
  const course: HeatPhase[] = [];
  let at = 0;
  let last: HeatPhase | undefined;
  for (const p of phases) {
    if (p.off) {
      for (let i = 0; last && leftoverS > 0 && i < SPENT_IN; i++) {
        const left = 1 - (i + 0.5) / SPENT_IN;
        course.push({ fromS: at + (leftoverS * i) / SPENT_IN, filmH: last.filmH * left, powerW: last.powerW * left });
      }
      course.push({ fromS: at + (last ? leftoverS : 0), filmH: STILL_H, powerW: 0 });
    } else {
      last = { fromS: at, filmH: p.filmH, powerW: p.powerW };
      course.push(last);
    }
    at += p.timeS ?? 0;
  }
  return course;
}

/** The phase that holds at a time. */
export function phaseAt(course: HeatCourse, timeS: number): HeatPhase {
  let found = course[0];
  for (const p of course) if (p.fromS <= timeS) found = p;
  return found;
}

/** Power at a time, as a share of the first phase's. @param from where the time begins in the course, s */
export function phasedPower(
  powerW: number | ((timeS: number) => number),
  course: HeatCourse | undefined,
  from = 0,
): (timeS: number) => number {
  const first = typeof powerW === 'number' ? () => powerW : powerW;
  if (!course) return first;
  const whole = Math.max(course[0].powerW, 1e-9);
  return (t) => (first(t) * phaseAt(course, from + t).powerW) / whole;
}

/** A side whose film follows the phases of heat. @param from where the time begins in the course, s */
export function phasedSide(side: SideSpec, course: HeatCourse | undefined, from = 0): SideSpec {
  if (!course) return side;
  const whole = Math.max(course[0].filmH, 1e-9);
  return {
    ...side,
    filmAt: (_, t) => ({ filmH: (side.filmH * phaseAt(course, from + t).filmH) / whole, ambientC: side.ambientC }),
  };
}
