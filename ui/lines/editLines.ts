import { produce } from 'immer';
import {
  freshLineId,
  lineIds,
  treated,
  weighed,
  withJuiceSchool,
  type Line,
  type Plan,
  withLines,
  type LinePlace,
} from '@/core/plan';
import { changeAt } from '../plan/changeAt';

export type { LinePlace } from '@/core/plan';

export const changeLine = (plan: Plan, place: LinePlace, index: number, change: Partial<Line>): Plan =>
  withLines(plan, place, (lines) => lines.map((l, i) => (i === index ? { ...l, ...change } : l)));
/** Another way of going in; where it is the juice school's question, the line answers it. */
export const treatLine = (plan: Plan, place: LinePlace, index: number, treatment: Line['treatment']): Plan =>
  withJuiceSchool(withLines(plan, place, (lines) => lines.map((l, i) => (i === index ? treated(l, treatment) : l))));
/** Another weight; the salt strewn on it follows. */
export const weighLine = (plan: Plan, place: LinePlace, index: number, massG: number): Plan =>
  withLines(plan, place, (lines) => lines.map((l, i) => (i === index ? weighed(l, massG) : l)));
export const removeLine = (plan: Plan, place: LinePlace, index: number): Plan =>
  withLines(plan, place, (lines) => lines.filter((_, i) => i !== index));
export const addLine = (plan: Plan, place: LinePlace, ingredient: string): Plan =>
  withLines(plan, place, (lines) => [
    ...lines,
    { id: freshLineId(lineIds(plan), ingredient), ingredient, massG: 0, treatment: 'as-is' },
  ]);
export const changeBatter = (plan: Plan, index: number, change: Partial<Plan['batters'][number]>): Plan =>
  produce(plan, (p) => changeAt(p.batters, index, change));

/** A new filling, of which every roll takes its part until it is said otherwise. */
export function addFilling(plan: Plan): Plan {
  const taken = new Set(plan.fillings.map((f) => f.id));
  const n = [...Array(plan.fillings.length + 1).keys()].find((i) => !taken.has(`filling-${i + 1}`)) ?? 0;
  const filling: Plan['fillings'][number] = {
    id: `filling-${n + 1}`,
    name: plan.fillings.length === 0 ? 'Filling' : `Filling ${plan.fillings.length + 1}`,
    lines: [],
    doneness: 'ready',
  };
  return produce(plan, (p) => void p.fillings.push(filling));
}
export const changeFilling = (plan: Plan, index: number, change: Partial<Plan['fillings'][number]>): Plan =>
  produce(plan, (p) => changeAt(p.fillings, index, change));
export const removeFilling = (plan: Plan, index: number): Plan =>
  produce(plan, (p) => void p.fillings.splice(index, 1));

/** Sets flours of a batter to masses: lines are changed where they are, added where they are not, dropped at nothing when they were added here. */
export function setShares(
  plan: Plan,
  place: number,
  wanted: readonly { readonly id: string; readonly massG: number }[],
): Plan {
  return withLines(plan, place, (lines) => {
    const next = lines.map((l) => {
      const w = wanted.find((x) => x.id === l.ingredient);
      return w ? { ...l, massG: Math.round(w.massG * 10) / 10 } : l;
    });
    const added = wanted
      .filter((w) => w.massG > 0.05 && !lines.some((l) => l.ingredient === w.id))
      .map((w) => ({
        id: freshLineId(lineIds(plan), w.id),
        ingredient: w.id,
        massG: Math.round(w.massG * 10) / 10,
        treatment: 'as-is' as const,
      }));
    return [...next, ...added];
  });
}
