import { readPlan, type Plan } from '@/core/plan';

const keyOf = (id: string) => `idle-ladle/tried/${id}`;

/** Keeps a plan that a fix or a change would make, in this window, so that it can be laid beside the one it is of. */
export function keepTried(id: string, words: string, plan: Plan): void {
  try {
    sessionStorage.setItem(keyOf(id), JSON.stringify({ words, plan }));
  } catch {
    /* barred storage: the page then says that there is nothing beside it */
  }
}
const takeKey = (id: string) => `idle-ladle/take/${id}`;
/** Leaves a plan for the bench to take when it opens: there it is one step of undo. False where the browser stores nothing. */
export function leaveToTake(id: string, plan: Plan): boolean {
  try {
    sessionStorage.setItem(takeKey(id), JSON.stringify(plan));
    return true;
  } catch {
    return false;
  }
}
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
export function triedPlan(id: string): { readonly words: string; readonly plan: Plan } | undefined {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(keyOf(id)) ?? 'null');
    if (typeof kept !== 'object' || kept === null || !('plan' in kept) || !('words' in kept)) return undefined;
    const plan = readPlan(kept.plan);
    return plan.ok && typeof kept.words === 'string' ? { words: kept.words, plan: plan.value } : undefined;
  } catch {
    return undefined;
  }
}
