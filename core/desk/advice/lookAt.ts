import { forecastLight, heatCache, heatInTurns, type HeatCache } from '../../forecast';
import type { Kitchen } from '../../kitchen';
import type { Plan } from '../../plan';
import type { PourGrid } from '../../model/steam';
import { concernsOf } from './concerns';
import type { Look, Looker } from './look.types';
import { ofProblem } from './said';

/**
 * A way to look at plans in one kitchen, on the grid that cooks are shown, so that what was tried is what comes. Heat that was worked out for one
 * is used again for another that asks the same of it.
 * @param size another grid of the heat solver
 * @param cache heat that was worked out before
 */
export function lookerIn(kitchen: Kitchen, size?: PourGrid, cache: HeatCache = heatCache(60)): Looker {
  const looks = new Map<Plan, Look>();
  return function* (plan) {
    const known = looks.get(plan);
    if (known) return known;
    const light = forecastLight(plan, kitchen);
    const heat = light.ok ? yield* heatInTurns(light.value, size, cache) : undefined;
    const look: Look = light.ok
      ? { plan, light: light.value, heat, concerns: concernsOf(light.value, heat) }
      : { plan, light: undefined, heat, concerns: light.problems.map((p) => ofProblem(p, light.problems)) };
    if (looks.size >= 8) looks.delete(looks.keys().next().value as Plan);
    looks.set(plan, look);
    return look;
  };
}
