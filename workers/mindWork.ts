import type { Kitchen } from '@/core/kitchen';
import { lookerIn, minding, type Minded } from '@/core/desk/advice';
import type { Fix } from '@/core/stations/mix';
import type { Plan } from '@/core/plan';

/** Something to mind, with the fixes that were tried and work. */
export interface WaysOut {
  readonly id: string;
  readonly fixes: readonly Fix[];
}

/** Tries the ways out of what is to be minded about one plan, off the page's thread. */
let trying: Generator<Minded, void> | undefined;
export const mindWork = {
  beginWays(plan: Plan, kitchen: Kitchen): void {
    const look = lookerIn(kitchen);
    trying = minding(look(plan), kitchen, look);
  },
  /** The next one, from the worst; undefined: that was all. */
  nextWays(): WaysOut | undefined {
    const got = trying?.next();
    return !got || got.done ? undefined : { id: got.value.advice.id, fixes: got.value.ways.map((t) => t.fix) };
  },
};
