import { good, type Result } from './units';
import type { Kitchen } from './kitchen';
import type { Plan } from './plan';
import { cautionsOf, stepsOf, totalsOf } from './steps';
import { forecastLight } from './forecastLight';
import { forecastHeat } from './forecastHeat';
import type { Forecast, HeatForecast, LightForecast } from './forecast.types';
import type { PourGrid } from './steam';

export * from './forecast.types';
export * from './forecastLight';
export * from './forecastHeat';

/** Steps and totals from forecasts already made. */
export function composeForecast(light: LightForecast, heat: HeatForecast | undefined): Forecast {
  const steps = stepsOf({ light, heat });
  return { light, heat, steps, totals: totalsOf(steps), cautions: cautionsOf(light.family.cautions) };
}

/**
 * Everything the application says about a plan in a kitchen: a pure function of the two documents.
 * @param size grid of the heat solver; the default is the one shown to cooks
 * Errors: as {@link forecastLight}.
 */
export function forecast(plan: Plan, kitchen: Kitchen, size?: PourGrid): Result<Forecast> {
  const light = forecastLight(plan, kitchen);
  if (!light.ok) return light;
  return good(composeForecast(light.value, forecastHeat(light.value, size)));
}
