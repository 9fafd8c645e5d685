import { forecastHeat, forecastLight, heatCache, type HeatForecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { COARSE_GRID } from '@/core/model/steam';

/** The heavy part of a forecast, off the page's thread. */
const cache = heatCache();
export const forecastWork = {
  /** @param coarse on the coarse grid: quicker, for while a hand is still moving */
  heat(plan: Plan, kitchen: Kitchen, coarse = false): HeatForecast | undefined {
    const light = forecastLight(plan, kitchen);
    return light.ok ? forecastHeat(light.value, coarse ? COARSE_GRID : undefined, cache) : undefined;
  },
};
