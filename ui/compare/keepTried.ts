import type { Plan } from '@/core/plan';

/** Where this window keeps what a fix or a change would make of a plan, and what its bench is to take. */
export const triedKey = (id: string) => `idle-ladle/tried/${id}`;
export const takeKey = (id: string) => `idle-ladle/take/${id}`;

function keep(key: string, what: unknown): boolean {
  try {
    sessionStorage.setItem(key, JSON.stringify(what));
    return true;
  } catch {
    // Barred storage: the page says then that there is nothing.
    return false;
  }
}

/** Keeps a plan that a fix or a change would make, in this window, so that it can be laid beside the one it is of. */
export const keepTried = (id: string, words: string, plan: Plan): boolean => keep(triedKey(id), { words, plan });

/** Leaves a plan for the bench to take when it opens: there it is one step of undo. False where the browser stores nothing. */
export const leaveToTake = (id: string, plan: Plan): boolean => keep(takeKey(id), plan);

/** Whether something was left for the bench: what reads it is fetched only then. */
export function isLeftToTake(id: string): boolean {
  try {
    return sessionStorage.getItem(takeKey(id)) !== null;
  } catch {
    return false;
  }
}
