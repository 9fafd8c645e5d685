import { familyOf } from '@/core/families';
import { request } from '../kit';

/** Makes a new plan from a family's shipped formula and answers with its id. */
export async function startPlan(familyId: string): Promise<string> {
  const family = familyOf(familyId);
  if (!family.ok) throw new Error(family.problems[0].sentence);
  return (await request<{ id: string }>('/api/plans', 'POST', family.value.formula())).id;
}
