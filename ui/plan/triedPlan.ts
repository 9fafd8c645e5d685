import { readPlan, type Plan } from '@/core/plan';
import { readKept } from '../kit/deviceStore';
import { takeOf, triedOf } from './keepTried';

const planIn = (kept: unknown): Plan | undefined => {
  const plan = readPlan(kept);
  return plan.ok ? plan.value : undefined;
};

/** What was left for the bench, once. */
export function takeLeftPlan(id: string): Plan | undefined {
  const kept = takeOf(id).get();
  takeOf(id).set(null);
  return readKept(kept, planIn);
}
/** What was kept to be laid beside a plan. */
export const triedPlan = (id: string): { readonly words: string; readonly plan: Plan } | undefined =>
  readKept(triedOf(id).get(), (kept) => {
    if (typeof kept !== 'object' || kept === null || !('plan' in kept) || !('words' in kept)) return undefined;
    const plan = planIn(kept.plan);
    return plan && typeof kept.words === 'string' ? { words: kept.words, plan } : undefined;
  });
