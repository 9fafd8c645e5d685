import { familyOf, formulaOf } from '@/core/families';
import type { Plan } from '@/core/plan';

/** A small valid plan for tests. */
export function savouryCoconutSlabPlan(): Plan {
  const family = familyOf('savoury-coconut-slab');
  if (!family.ok) throw new Error(family.problems[0].sentence);
  return formulaOf(family.value);
}
