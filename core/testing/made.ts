import { FAMILIES, formulaOf, type Family } from '../families';
import { composeForecast, forecastHeat, forecastLight, type Forecast, type LightForecast } from '../forecast';
import { emptyKitchen, type Kitchen } from '../kitchen';
import { resolvePlan, type Plan, type ResolvedPlan } from '../plan';
import { COARSE_GRID } from '../model/steam';
import { steamInput, type PourInput } from '../stations/steam';

/** For tests: a family by id, its shipped formula, and forecasts that must succeed. */
export function familyBy(id: string): Family {
  const f = FAMILIES.find((x) => x.id === id);
  if (!f) throw new Error(id);
  return f;
}
export const formula = (id: string): Plan => formulaOf(familyBy(id));

/** A plan in force in a kitchen. */
export function resolvedIn(plan: Plan, kitchen: Kitchen = emptyKitchen()): ResolvedPlan {
  const r = resolvePlan(plan, kitchen, familyBy(plan.family));
  if (!r.ok) throw new Error(r.problems[0].sentence);
  return r.value;
}

export function lightOf(plan: Plan, kitchen: Kitchen = emptyKitchen()): LightForecast {
  const r = forecastLight(plan, kitchen);
  if (!r.ok) throw new Error(r.problems[0].sentence);
  return r.value;
}
export const balanceIn = (plan: Plan, kitchen?: Kitchen) => lightOf(plan, kitchen).balance;

/** With heat on the coarse grid, or without any. */
export function madeOf(plan: Plan, kitchen?: Kitchen, heat = true): Forecast {
  const light = lightOf(plan, kitchen);
  return composeForecast(light, heat ? forecastHeat(light, COARSE_GRID) : undefined);
}

/** The record of a steaming of one pour a vessel. */
export function pourInputOf(light: LightForecast): PourInput {
  const input = steamInput(light);
  if (input.how !== 'steamed' && input.how !== 'cups' && input.how !== 'sheets') throw new Error(input.how);
  return input;
}

/** All advice of a plan in one string. */
export const told = (light: LightForecast): string => light.advice.map((a) => a.sentence).join(' ');
