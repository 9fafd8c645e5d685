import type { Heat } from '../kitchen';
import type { Plan } from './schema';

/** The first heat of a steaming: what learning is filed under. A course that begins with the fire off is brought up on the plan's one heat. */
export function firstHeat(plan: Pick<Plan, 'heat' | 'heatPhases'>): Heat {
  const first = plan.heatPhases[0]?.heat;
  return first === undefined || first === 'off' ? plan.heat : first;
}
