import * as Comlink from 'comlink';
import type { HeatForecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import type { ForecastWorker } from './forecast.worker';

interface Hand {
  readonly worker: Worker;
  readonly api: Comlink.Remote<ForecastWorker>;
}

const newHand = (): Hand => {
  const worker = new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' });
  return { worker, api: Comlink.wrap<ForecastWorker>(worker) };
};

/**
 * Runs heat forecasts one at a time. A newer request stops the running one for good (its worker is ended; a spare stands by),
 * so that the page never shows an answer to an older plan.
 */
export function heatRunner() {
  let hand: Hand | undefined;
  let spare: Hand | undefined;
  let running = false;
  let ticket = 0;
  return {
    async run(
      plan: Plan,
      kitchen: Kitchen,
    ): Promise<{ stopped: true } | { stopped: false; heat: HeatForecast | undefined }> {
      const mine = ++ticket;
      if (running && hand) {
        hand.worker.terminate();
        hand = undefined;
      }
      hand ??= spare ?? newHand();
      if (spare === hand) spare = undefined;
      running = true;
      const heat = await hand.api.heat(plan, kitchen);
      if (mine !== ticket) return { stopped: true };
      running = false;
      // The next one is made ready while the page has nothing to do.
      if (!spare)
        setTimeout(() => {
          if (!running && hand) spare ??= newHand();
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
