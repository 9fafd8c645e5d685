import { good, type Result } from '../units';
import type { Kitchen } from '../kitchen';
import type { Plan } from '../plan';
import type { PourGrid } from '../model/steam';
import { composeForecast } from './compose';
import type { Forecast } from './forecast.types';
import { forecastHeat } from './heat';
import type { HeatCache } from './heatJobs';
import { forecastLight } from './light';

export * from '../cake';
export * from '../stations/rest';
export * from '../stations/sear';
export * from '../stations/serve';
export * from '../stations/steam';
export * from './compose';
export * from './forecast.types';
export * from './heat';
export * from './heatJobs';
export * from './light';
export * from './lying';

/**
 * Everything the application says about a plan in a kitchen: a pure function of the two documents.
 * @param size grid of the heat solver; the default is the one shown to cooks
 * Errors: as {@link forecastLight}.
 */
export function forecast(plan: Plan, kitchen: Kitchen, size?: PourGrid, cache?: HeatCache): Result<Forecast> {
  const light = forecastLight(plan, kitchen);
  if (!light.ok) return light;
  return good(composeForecast(light.value, forecastHeat(light.value, size, cache)));
}
