import { forecastLight, type LightForecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { quickWith, type LeverId, type Quick } from '@/core/desk/whatIf';

/** Points of a sweep, off the page's thread; the plan it is of is told once. */
let light: LightForecast | undefined;
let of = '';
export const sweepWork = {
  /** Takes a plan in its kitchen under a name. */
  knowPlan(name: string, plan: Plan, kitchen: Kitchen): void {
    const got = forecastLight(plan, kitchen);
    light = got.ok ? got.value : undefined;
    of = name;
  },
  /** Points of the plan of a name; undefined where it is to be told first. */
  pointsOf(
    name: string,
    points: readonly (readonly (readonly [LeverId, number])[])[],
    cooled: boolean,
  ): readonly (Quick | null)[] | undefined {
    if (name !== of) return undefined;
    const at = light;
    return points.map((p) => (at ? (quickWith(at, p, cooled) ?? null) : null));
  },
};
