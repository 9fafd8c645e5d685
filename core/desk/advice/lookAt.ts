import type { Advice } from '../../stations/mix';
import { forecastHeat, forecastLight, heatCache, type HeatForecast, type LightForecast } from '../../forecast';
import type { Kitchen } from '../../kitchen';
import type { Plan } from '../../plan';
import type { PourGrid } from '../../model/steam';
import { concernsOf, ofProblem } from './concerns';

/** A plan as it stands in a kitchen: its forecast and all there is to mind about it, worst first. */
export interface Look {
  readonly plan: Plan;
  /** Undefined where the plan cannot be read in this kitchen. */
  readonly light: LightForecast | undefined;
  readonly heat: HeatForecast | undefined;
  readonly concerns: readonly Advice[];
}
/** Looks at plans in one kitchen. */
export type Looker = (plan: Plan) => Look;

/**
 * A way to look at plans in one kitchen, on the grid that cooks are shown, so that what was tried is what comes. Heat that was worked out for one
 * is used again for another that asks the same of it.
 * @param size another grid of the heat solver
 */
export function lookerIn(kitchen: Kitchen, size?: PourGrid): Looker {
  const cache = heatCache(60);
  const looks = new Map<Plan, Look>();
  return (plan) => {
    const known = looks.get(plan);
    if (known) return known;
    const light = forecastLight(plan, kitchen);
    const heat = light.ok ? forecastHeat(light.value, size, cache) : undefined;
    const look: Look = light.ok
      ? { plan, light: light.value, heat, concerns: concernsOf(light.value, heat) }
      : { plan, light: undefined, heat, concerns: light.problems.map((p) => ofProblem(p, light.problems)) };
    if (looks.size >= 8) looks.delete(looks.keys().next().value as Plan);
    looks.set(plan, look);
    return look;
  };
}
