import { readPlan, type Plan } from '@/core/plan';
import { takeKey, triedKey } from './keepTried';

/** What was left for the bench, once. */
export function takeLeftPlan(id: string): Plan | undefined {
  try {
    const kept = sessionStorage.getItem(takeKey(id));
    sessionStorage.removeItem(takeKey(id));
    const plan = readPlan(JSON.parse(kept ?? 'null'));
    return plan.ok ? plan.value : undefined;
  } catch {
    return undefined;
  }
}
/** What was kept to be laid beside a plan. */
export function triedPlan(id: string): { readonly words: string; readonly plan: Plan } | undefined {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(triedKey(id)) ?? 'null');
    if (typeof kept !== 'object' || kept === null || !('plan' in kept) || !('words' in kept)) return undefined;
    const plan = readPlan(kept.plan);
    return plan.ok && typeof kept.words === 'string' ? { words: kept.words, plan: plan.value } : undefined;
  } catch {
    return undefined;
  }
}
