import { planSchema, type Plan } from '../plan';
import type { Family } from './family';

const made = new WeakMap<Family, Plan>();

/** A family's shipped formula as a whole plan document; defaults filled in by the schema. The same document each time: nobody writes into it. */
export function formulaOf(family: Family): Plan {
  const known = made.get(family);
  if (known) return known;
  const plan = planSchema.parse(family.formula());
  made.set(family, plan);
  return plan;
}
