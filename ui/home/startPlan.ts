import { familyOf } from '@/core/families';
import type { Kitchen } from '@/core/kitchen';
import { newPlan, type Wanted } from '@/core/start';
import { request, Spoken } from '../kit';
import { keepStarted } from './started';

/** Makes a new plan of a family that fits the kitchen, and answers with its id; what was chosen for it waits to be told once. */
export async function startPlan(familyId: string, wanted: Wanted): Promise<string> {
  const family = familyOf(familyId);
  if (!family.ok) throw new Spoken(family.problems[0].sentence);
  const { kitchen } = await request<{ kitchen: Kitchen }>('/api/kitchen');
  const { plan, said } = newPlan(family.value, kitchen, wanted);
  const { id } = await request<{ id: string }>('/api/plans', 'POST', plan);
  keepStarted(id, said.join(' '));
  return id;
}
