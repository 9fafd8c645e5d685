import { cardOf, type Card } from '@/core/desk/card';
import { lookerIn, mindOf } from '@/core/desk/advice';
import { offerOf, type Offer, type Wanted } from '@/core/desk/newPlan';
import { pictureOf, type Picture } from '@/core/desk/picture';
import { quickWith, type LeverId, type Quick } from '@/core/desk/whatIf';
import { familyOf } from '@/core/families';
import {
  composeForecast,
  forecastLight,
  heatCache,
  heatInTurns,
  type Forecast,
  type HeatForecast,
  type LightForecast,
} from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import { solveBlend, type SolverInput } from '@/core/model/batter';
import { COARSE_GRID } from '@/core/model/steam';
import type { Plan } from '@/core/plan';
import type { Fix } from '@/core/stations/mix';
import { overWater } from '@/core/stations/steam/cooking';
import { bad, good, type Result, type Turns } from '@/core/units';
import { snapshotOf, type Snapshot } from '@/core/work/notebook';

/** Something to mind, with the fixes that were tried and work. */
export interface WaysOut {
  readonly id: string;
  readonly fixes: readonly Fix[];
}
/** Values of quantities that make one point. */
export type PointAsked = readonly (readonly [LeverId, number])[];

/** Heat that this worker has worked out, whatever it was for. */
const cache = heatCache(80);
/** The plan whose points were asked last: a row of them asks one after another. */
let pointed: { readonly name: string; readonly light: LightForecast | undefined } | undefined;

function* forecastOf(plan: Plan, kitchen: Kitchen): Turns<Result<Forecast>> {
  const light = forecastLight(plan, kitchen);
  return light.ok ? good(composeForecast(light.value, yield* heatInTurns(light.value, undefined, cache))) : light;
}

/** All heavy work there is, one generator each: a worker does one at a time, and can leave it between two turns. */
export const JOBS = {
  /** The heavy part of a forecast. @param coarse on the coarse grid: quicker, for while a hand is still moving */
  *heat(plan: Plan, kitchen: Kitchen, coarse = false): Turns<HeatForecast | undefined> {
    const light = forecastLight(plan, kitchen);
    return light.ok ? yield* heatInTurns(light.value, coarse ? COARSE_GRID : undefined, cache) : undefined;
  },
  /** Ways out of what is to be minded about a plan, the worst so many. @param found told each as it is tried */
  *ways(plan: Plan, kitchen: Kitchen, most: number, found: (one: WaysOut) => void): Turns<void> {
    const look = lookerIn(kitchen, undefined, cache);
    yield* mindOf(yield* look(plan), kitchen, look, most, ({ advice, ways }) =>
      found({ id: advice.id, fixes: ways.map((t) => t.fix) }),
    );
  },
  /** What could be made of a family in a kitchen. */
  *offer(familyId: string, kitchen: Kitchen, wanted: Wanted): Turns<Offer | undefined> {
    const family = familyOf(familyId);
    return family.ok ? yield* offerOf(family.value, kitchen, wanted, cache) : undefined;
  },
  /** Points of a plan that has a name, null where there is none. */
  *points(
    name: string,
    plan: Plan,
    kitchen: Kitchen,
    asked: readonly PointAsked[],
    cooled: boolean,
  ): Turns<readonly (Quick | null)[]> {
    if (pointed?.name !== name) {
      const made = forecastLight(plan, kitchen);
      pointed = { name, light: made.ok ? made.value : undefined };
    }
    const { light } = pointed;
    const found: (Quick | null)[] = [];
    for (const values of asked) found.push(light ? ((yield* quickWith(light, values, cooled)) ?? null) : null);
    return found;
  },
  /** A blend for a texture. */
  *solve(input: SolverInput): Turns<ReturnType<typeof solveBlend>> {
    yield;
    return solveBlend(input);
  },
  /** The model's time of a plan in a kitchen before learning, s; undefined where it cannot be forecast. */
  *timeOf(plan: Plan, kitchen: Kitchen): Turns<number | undefined> {
    const made = yield* forecastOf(plan, kitchen);
    return made.ok ? overWater(made.value.heat)?.times?.unlearnedS : undefined;
  },
  /** What a batch of a plan is begun with. Errors: those of its forecast, and all that keeps it from being cooked. */
  *snapshot(plan: Plan, kitchen: Kitchen): Turns<Result<Snapshot>> {
    const made = yield* forecastOf(plan, kitchen);
    if (!made.ok) return made;
    return made.value.light.problems.length > 0 ? bad(...made.value.light.problems) : good(snapshotOf(made.value));
  },
  /** What stands on a plan's card. Errors: those of its forecast. */
  *card(plan: Plan, kitchen: Kitchen): Turns<Result<Card>> {
    const made = yield* forecastOf(plan, kitchen);
    return made.ok ? good(cardOf(made.value)) : made;
  },
  /** What the shelf draws of plans. */
  *pictures(plans: readonly Plan[], kitchen: Kitchen): Turns<readonly (Picture | null)[]> {
    const drawn: (Picture | null)[] = [];
    for (const plan of plans) {
      drawn.push(pictureOf(plan, kitchen));
      yield;
    }
    return drawn;
  },
} as const;
