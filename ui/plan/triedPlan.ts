import { readPlan, type Plan } from '@/core/plan';
import { takeOf, triedOf } from './keepTried';

const parsed = (text: string | null): unknown => {
  try {
    return JSON.parse(text ?? 'null') as unknown;
  } catch {
    return undefined;
  }
};

/** What was left for the bench, once. */
export function takeLeftPlan(id: string): Plan | undefined {
  const kept = takeOf(id).get();
  takeOf(id).set(null);
  const plan = readPlan(parsed(kept));
  return plan.ok ? plan.value : undefined;
}
/** What was kept to be laid beside a plan. */
export function triedPlan(id: string): { readonly words: string; readonly plan: Plan } | undefined {
  const kept = parsed(triedOf(id).get());
  if (typeof kept !== 'object' || kept === null || !('plan' in kept) || !('words' in kept)) return undefined;
  const plan = readPlan(kept.plan);
  return plan.ok && typeof kept.words === 'string' ? { words: kept.words, plan: plan.value } : undefined;
}
