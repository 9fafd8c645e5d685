import { chooseSchool, freshLineId, lineIds, scalePlan, weighed, withLines, type Plan } from '../../plan';
import type { Change, Fix } from './advice.types';

/** To a hundredth of a gram. */
const hundredth = (g: number): number => Math.round(g * 100) / 100;

/** An optional field that is to go is no field: documents are compared and stored as JSON. */
const withoutUndefined = (plan: Plan): Plan =>
  Object.fromEntries(Object.entries(plan).filter(([, v]) => v !== undefined)) as unknown as Plan;

function applied(plan: Plan, c: Change): Plan {
  switch (c.what) {
    case 'line':
      return withLines(plan, c.place, (lines) =>
        lines.map((l) => (l.id === c.id ? weighed(l, hundredth(c.massG)) : l)),
      );
    case 'add':
      return withLines(plan, c.place, (lines) => [
        ...lines,
        {
          id: freshLineId(lineIds(plan), c.ingredient),
          ingredient: c.ingredient,
          massG: hundredth(c.massG),
          treatment: 'as-is',
        },
      ]);
    case 'liquid':
      return {
        ...plan,
        batters: plan.batters.map((b, i) =>
          i === c.batter && b.wantedLiquidG !== undefined
            ? { ...b, wantedLiquidG: hundredth(Math.max(0, c.wantedG)) }
            : b,
        ),
      };
    case 'plan':
      return withoutUndefined({ ...plan, ...c.set });
    case 'school':
      return chooseSchool(plan, c.question, c.option);
    case 'filling':
      return {
        ...plan,
        fillings: plan.fillings.map((f, i) =>
          i === c.filling ? { ...f, lines: f.lines.map((l) => ({ ...l, massG: hundredth(l.massG * c.by) })) } : f,
        ),
      };
    case 'scale':
      return scalePlan(plan, c.by);
  }
}

/** The plan after a fix; amounts to a hundredth of a gram. */
export const applyFix = (plan: Plan, fix: Fix): Plan => fix.changes.reduce(applied, plan);
