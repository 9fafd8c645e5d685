import { parentPort } from 'node:worker_threads';
import { forecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { overWater } from '@/core/stations/steam/cooking';

/** What is asked of the thread: the model's time of a plan in a kitchen, before learning. */
export interface TimeAsked {
  readonly ticket: number;
  readonly plan: Plan;
  readonly kitchen: Kitchen;
}
export interface TimeTold {
  readonly ticket: number;
  /** s; undefined where it cannot be forecast. */
  readonly unlearnedS: number | undefined;
}

/** A thread of the server for the heat: it forecasts one plan after another. */
parentPort?.on('message', ({ ticket, plan, kitchen }: TimeAsked) => {
  let unlearnedS: number | undefined;
  try {
    const made = forecast(plan, kitchen);
    unlearnedS = made.ok ? overWater(made.value.heat)?.times?.unlearnedS : undefined;
  } catch (e) {
    console.error('a forecast for learning failed', e);
  }
  parentPort?.postMessage({ ticket, unlearnedS } satisfies TimeTold);
});
