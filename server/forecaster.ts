import { forecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { overWater } from '@/core/stations/steam/cooking';

/** The model's time of a plan in a kitchen before learning, s; undefined where it cannot be forecast. */
export interface Forecaster {
  readonly timeOf: (plan: Plan, kitchen: Kitchen) => Promise<number | undefined>;
  readonly end: () => Promise<void>;
}

/** On the thread that asks: for tests and developing, where nothing was built. */
export const forecastHere = (): Forecaster => ({
  timeOf: async (plan, kitchen) => {
    const made = forecast(plan, kitchen);
    return made.ok ? overWater(made.value.heat)?.times?.unlearnedS : undefined;
  },
  end: async () => undefined,
});
