import type { Line } from './line';
import type { Plan } from './schema';

/** Where a list of lines lives in a plan: a batter by index, or the add-ins. */
export type LinePlace = number | 'addIns';

export const linesAt = (plan: Plan, place: LinePlace): readonly Line[] =>
  place === 'addIns' ? plan.addIns : (plan.batters[place]?.lines ?? []);

/** The plan with the lines of one place changed. */
export const withLines = (plan: Plan, place: LinePlace, change: (lines: readonly Line[]) => Line[]): Plan =>
  place === 'addIns'
    ? { ...plan, addIns: change(plan.addIns) }
    : { ...plan, batters: plan.batters.map((b, i) => (i === place ? { ...b, lines: change(b.lines) } : b)) };
