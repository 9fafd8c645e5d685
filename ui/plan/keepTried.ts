import type { Plan } from '@/core/plan';
import { deviceStore } from '../kit/deviceStore';

/** Where this window keeps what a fix or a change would make of a plan, and what its bench is to take. */
export const triedOf = (id: string) => deviceStore(`idle-ladle/tried/${id}`, 'sessionStorage');
export const takeOf = (id: string) => deviceStore(`idle-ladle/take/${id}`, 'sessionStorage');

/** Keeps a plan that a fix or a change would make, in this window, so that it can be laid beside the one it is of. */
export const keepTried = (id: string, words: string, plan: Plan): boolean =>
  triedOf(id).set(JSON.stringify({ words, plan }));

/** Leaves a plan for the bench to take when it opens: there it is one step of undo. False where the browser stores nothing. */
export const leaveToTake = (id: string, plan: Plan): boolean => takeOf(id).set(JSON.stringify(plan));

/** Whether something was left for the bench: what reads it is fetched only then. */
export const isLeftToTake = (id: string): boolean => takeOf(id).get() !== null;
