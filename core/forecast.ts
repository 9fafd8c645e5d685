import { good, type Result } from './units';
import type { Kitchen } from './kitchen';
import type { Plan } from './plan';
import { composeForecast } from './composeForecast';
import { forecastLight } from './forecastLight';
import { forecastHeat } from './forecastHeat';
import type { Forecast } from './forecast.types';
import type { HeatCache } from './heatJobs';
import type { PourGrid } from './steam';

export * from './forecast.types';
export * from './composeForecast';
export * from './forecastLight';
export * from './forecastHeat';
export * from './gramsAHead';
export * from './stations/steam';
export * from './stations/rest';
export * from './stations/sear';
export { sayFilmsWanted } from './servesFilms';
export { layerBatters } from './layerBatters';
export { eatenOf } from './eaten';
export * from './heatJobs';

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
