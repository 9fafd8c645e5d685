import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { coreHand, type CoreHand } from './coreHand';
import type { WaysOut } from './mindWork';

/**
 * Tries the ways out for one plan at a time, telling each as it is found. A newer plan ends the older one's worker for good where it is still
 * at it. Where the worker breaks, what was found by then is all there is: advice without its ways is still advice.
 */
export function mindRunner(make: () => CoreHand = coreHand) {
  let hand: CoreHand | undefined;
  let busy = false;
  let ticket = 0;
  const drop = () => {
    hand?.worker.terminate();
    hand = undefined;
    busy = false;
  };
  return {
    /** @param most so many are tried, from the worst @param found told in that order */
    async run(plan: Plan, kitchen: Kitchen, most: number, found: (w: WaysOut) => void): Promise<void> {
      const mine = ++ticket;
      if (busy) drop();
      const { api, broken } = (hand ??= make());
      busy = true;
      try {
        await Promise.race([api.beginWays(plan, kitchen), broken]);
        for (let n = 0; n < most && mine === ticket; n++) {
          const next = await Promise.race([api.nextWays(), broken]);
          if (mine !== ticket) return;
          if (!next) break;
          found(next);
        }
      } catch {
        if (mine === ticket) drop();
      }
      if (mine === ticket) busy = false;
    },
    end() {
      ticket++;
      drop();
    },
  };
}
