import { there } from '@/core/units';
import { familyOf } from '@/core/families';
import type { Kitchen } from '@/core/kitchen';
import type { Wanted } from '@/core/desk/newPlan';
import { makeOnce, request, Spoken } from '../kit';
import { keepStarted } from './started';

/** Makes a new plan of a family that fits the kitchen, and answers with its id; what was chosen for it waits to be told once. */
export async function startPlan(familyId: string, wanted: Wanted): Promise<string> {
  const family = familyOf(familyId);
  if (!family.ok) throw new Spoken(there(family.problems[0]).sentence);
  // What fits a plan to a kitchen is fetched once it is wanted.
  const [{ newPlan }, { kitchen }] = await Promise.all([
    import('@/core/desk/newPlan'),
    request<{ kitchen: Kitchen }>('/api/kitchen'),
  ]);
  const { plan, said } = newPlan(family.value, kitchen, wanted);
  const { id } = await makeOnce<{ id: string }>('/api/plans', plan);
  keepStarted(id, said.join(' '));
  return id;
}
