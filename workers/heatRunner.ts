import type { HeatForecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { coreHand, type CoreHand } from './coreHand';

/**
 * Runs heat forecasts one at a time. A newer request stops the running one for good (its worker is ended; a spare stands by),
 * so that the page never shows an answer to an older plan. Fails where the worker does, and begins with a new one the next time.
 */
export function heatRunner(make: () => CoreHand = coreHand) {
  let hand: CoreHand | undefined;
  let spare: CoreHand | undefined;
  let running = false;
  let ticket = 0;
  return {
    async run(
      plan: Plan,
      kitchen: Kitchen,
      coarse = false,
    ): Promise<{ stopped: true } | { stopped: false; heat: HeatForecast | undefined }> {
      const mine = ++ticket;
      if (running && hand) {
        hand.worker.terminate();
        hand = undefined;
      }
      hand ??= spare ?? make();
      if (spare === hand) spare = undefined;
      running = true;
      let heat: HeatForecast | undefined;
      try {
        heat = await Promise.race([hand.api.heat(plan, kitchen, coarse), hand.broken]);
      } catch (e) {
        if (mine !== ticket) return { stopped: true };
        hand.worker.terminate();
        spare?.worker.terminate();
        hand = spare = undefined;
        running = false;
        throw e;
      }
      if (mine !== ticket) return { stopped: true };
      running = false;
      // The next one is made ready while the page has nothing to do.
      if (!spare)
        setTimeout(() => {
          if (!running && hand) spare ??= make();
        }, 400);
      return { stopped: false, heat };
    },
    end() {
      ticket++;
      hand?.worker.terminate();
      spare?.worker.terminate();
      hand = spare = undefined;
      running = false;
    },
  };
}
