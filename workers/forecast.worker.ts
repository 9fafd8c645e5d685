import * as Comlink from 'comlink';
import { forecastHeat, forecastLight, heatCache, type HeatForecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';

/** The heavy part of a forecast, off the page's thread. */
const cache = heatCache();
const api = {
  heat(plan: Plan, kitchen: Kitchen): HeatForecast | undefined {
    const light = forecastLight(plan, kitchen);
    return light.ok ? forecastHeat(light.value, undefined, cache) : undefined;
  },
};
export type ForecastWorker = typeof api;

Comlink.expose(api);
