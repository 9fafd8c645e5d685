import type { Line } from './lineSchema';
import type { Plan } from './schema';

/** Where a list of lines lives in a plan: a batter by index, the add-ins, or a filling by index. */
export type LinePlace = number | 'addIns' | `filling:${number}`;

const FILLING = 'filling:';
export const fillingPlace = (index: number): LinePlace => `${FILLING}${index}` as LinePlace;
const fillingAt = (place: string): number => Number(place.slice(FILLING.length));

export function linesAt(plan: Plan, place: LinePlace): readonly Line[] {
  if (typeof place === 'number') return plan.batters[place]?.lines ?? [];
  return place === 'addIns' ? plan.addIns : (plan.fillings[fillingAt(place)]?.lines ?? []);
}

const within = <T extends { readonly lines: Line[] }>(
  list: readonly T[],
  at: number,
  change: (lines: readonly Line[]) => Line[],
): T[] => list.map((x, i) => (i === at ? { ...x, lines: change(x.lines) } : x));

/** The plan with the lines of one place changed. */
export function withLines(plan: Plan, place: LinePlace, change: (lines: readonly Line[]) => Line[]): Plan {
  if (typeof place === 'number') return { ...plan, batters: within(plan.batters, place, change) };
  return place === 'addIns'
    ? { ...plan, addIns: change(plan.addIns) }
    : { ...plan, fillings: within(plan.fillings, fillingAt(place), change) };
}

/** Where a line stands that a dotted path names; undefined for what is no line of a batter, the add-ins or a filling. */
export function placeOfPath(path: string): { readonly place: LinePlace; readonly index: number } | undefined {
  const batter = /^batters\.(\d+)\.lines\.(\d+)$/.exec(path);
  if (batter) return { place: Number(batter[1]), index: Number(batter[2]) };
  const addIn = /^addIns\.(\d+)$/.exec(path);
  if (addIn) return { place: 'addIns', index: Number(addIn[1]) };
  const filling = /^fillings\.(\d+)\.lines\.(\d+)$/.exec(path);
  return filling ? { place: fillingPlace(Number(filling[1])), index: Number(filling[2]) } : undefined;
}
