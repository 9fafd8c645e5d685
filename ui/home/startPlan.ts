import { familyOf } from '@/core/families';
import type { Kitchen } from '@/core/kitchen';
import { newPlan, type Wanted } from '@/core/start';
import { request, Spoken } from '../kit';

const saidKey = (id: string) => `idle-ladle/started/${id}`;

/** Makes a new plan of a family that fits the kitchen, and answers with its id; what was chosen for it waits to be told once. */
export async function startPlan(familyId: string, wanted: Wanted): Promise<string> {
  const family = familyOf(familyId);
  if (!family.ok) throw new Spoken(family.problems[0].sentence);
  const { kitchen } = await request<{ kitchen: Kitchen }>('/api/kitchen');
  const { plan, said } = newPlan(family.value, kitchen, wanted);
  const { id } = await request<{ id: string }>('/api/plans', 'POST', plan);
  try {
    sessionStorage.setItem(saidKey(id), said.join(' '));
  } catch {
    /* barred storage: the plan is made all the same */
  }
  return id;
}

/** What was chosen when this plan was started, until it is put away. */
export function startedWords(id: string): string | undefined {
  try {
    return sessionStorage.getItem(saidKey(id)) ?? undefined;
  } catch {
    return undefined;
  }
}
export function forgetStarted(id: string): void {
  try {
    sessionStorage.removeItem(saidKey(id));
  } catch {
    /* barred storage: there was nothing to forget */
  }
}
