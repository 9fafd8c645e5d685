import { freshLineId, lineIds, type Accompaniment, type Plan } from '../plan';
import type { SauceFormula } from './formulas.data';

/** The plan with a sauce or topping of the list added, its ids its own. */
export function withSauce(plan: Plan, s: SauceFormula): Plan {
  const taken = new Set(lineIds(plan));
  const used = new Set(plan.accompaniments.map((a) => a.id));
  let id = s.id.slice(0, 36);
  for (let n = 2; used.has(id); n++) id = `${s.id.slice(0, 36)}-${n}`;
  const lines = s.parts.map(([ingredient, parts]) => {
    const line = freshLineId(taken, ingredient);
    taken.add(line);
    return { id: line, ingredient, parts };
  });
  const made: Accompaniment = {
    id,
    name: s.name,
    role: s.role,
    method: s.method,
    amount: { by: 'head', grams: s.gramsAHead },
    lines,
    ...(s.timeS === undefined ? {} : { timeS: s.timeS }),
  };
  return { ...plan, accompaniments: [...plan.accompaniments, made] };
}
