import { freshLineId, lineIds, type Plan } from '../plan';
import type { SauceFormula } from './formulas.data';

/** A sauce of the list as a plan has it, its lines as yet without names of their own. @param id in the plan @param grams a head */
export const sauceAs = (s: SauceFormula, id: string, grams = s.gramsAHead) => ({
  id,
  name: s.name,
  role: s.role,
  method: s.method,
  amount: { by: 'head' as const, grams },
  lines: s.parts.map(([ingredient, parts]) => ({ ingredient, parts })),
  ...(s.timeS === undefined ? {} : { timeS: s.timeS }),
});

/** The plan with a sauce or topping of the list added, its ids its own. */
export function withSauce(plan: Plan, s: SauceFormula): Plan {
  const taken = new Set(lineIds(plan));
  const used = new Set(plan.accompaniments.map((a) => a.id));
  let id = s.id.slice(0, 36);
  for (let n = 2; used.has(id); n++) id = `${s.id.slice(0, 36)}-${n}`;
  const as = sauceAs(s, id);
  const lines = as.lines.map((l) => {
    const line = freshLineId(taken, l.ingredient);
    taken.add(line);
    return { id: line, ...l };
  });
  return { ...plan, accompaniments: [...plan.accompaniments, { ...as, lines }] };
}
