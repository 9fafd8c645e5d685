import {
  heatInTurns,
  forecastLight,
  composeForecast,
  type Forecast,
  type HeatCache,
  type LightForecast,
} from '../../forecast';
import { isRaised, wayOf, type Family } from '../../families';
import type { Kitchen, Vessel } from '../../kitchen';
import { lifeOf } from '../../work/timeline';
import type { Plan } from '../../plan';
import type { Turns } from '../../units';
import { eatenHow, type Eaten } from './eaten';
import { newPlan, type Wanted } from './newPlan';
import { WISHES, type Wish } from './wishes';

/** Under this firm a cake is soft; from this chewy it has a chew. */
const SOFT = 5;
const CHEWY = 5;
const HOUR_S = 3600;

/** A cake that could be made here: the plan it would be, what it needs and how long it takes. */
export interface Offer {
  readonly family: string;
  readonly eaten: Eaten;
  readonly plan: Plan;
  /** What was chosen for it, and why. */
  readonly said: readonly string[];
  /** Pan, tin or cups, how many and how deep; undefined where it cannot be worked out. */
  readonly pan: { readonly vessel: Vessel; readonly count: number; readonly depthM: number } | undefined;
  readonly massG: number;
  readonly pieces: number;
  /** Wishes it grants. */
  readonly grants: readonly Wish[];
  /** Ingredients of the cake and what it is eaten with, g as they go in. */
  readonly needs: readonly { readonly id: string; readonly massG: number; readonly beside: boolean }[];
  /** Hands and the whole, s; null where it cannot be worked out as it stands. */
  readonly handsOnS: number | null;
  readonly totalS: number | null;
  /** What stands in its way, in a sentence. */
  readonly problem: string | null;
}

const COCONUT = /^coconut-(milk|cream)/;

function grantsOf(family: Family, light: LightForecast, totalS: number | null): readonly Wish[] {
  const { texture, resolved, flow } = light;
  const lines = flow.lines.filter((l) => l.massG > 0 && l.role !== 'source');
  const holds: Readonly<Record<Wish, boolean>> = {
    soft: texture.firm < SOFT || isRaised(family),
    chewy: texture.chewy >= CHEWY,
    'no-steamer': !wayOf(family).overSteam,
    vegan: lines.every(
      (l) => resolved.larder.get(l.ingredient)?.diets.includes('vegan') === true || l.ingredient === 'water',
    ),
    hour: totalS !== null && totalS <= HOUR_S,
    freezes: family.freezes,
    coconut: lines.some((l) => COCONUT.test(l.ingredient)),
  };
  return WISHES.filter((w) => holds[w]);
}

function needsOf({ flow }: LightForecast): Offer['needs'] {
  const grams = new Map<string, { massG: number; beside: boolean }>();
  for (const l of flow.lines) {
    if (l.role === 'source' || l.massG <= 0.005 || l.ingredient === 'water') continue;
    const so = grams.get(l.ingredient);
    const beside = l.role === 'accompaniment';
    grams.set(l.ingredient, { massG: (so?.massG ?? 0) + l.massG, beside: (so?.beside ?? true) && beside });
  }
  return [...grams].map(([id, n]) => ({ id, ...n }));
}

/** From the first step until it is on the plate, s. */
const wholeS = (f: Forecast): number => lifeOf(f).spanS;

/**
 * A family as it could be made in a kitchen for so many: fitted to its rack, with its times.
 * @param cache heat worked out before
 */
export function* offerOf(family: Family, kitchen: Kitchen, wanted: Wanted = {}, cache?: HeatCache): Turns<Offer> {
  const { plan, said } = newPlan(family, kitchen, wanted);
  const light = forecastLight(plan, kitchen);
  if (!light.ok)
    return {
      family: family.id,
      eaten: eatenHow(family),
      plan,
      said,
      pan: undefined,
      massG: 0,
      pieces: 0,
      grants: [],
      needs: [],
      handsOnS: null,
      totalS: null,
      problem: light.problems[0]?.sentence ?? null,
    };
  const heat = yield* heatInTurns(light.value, undefined, cache);
  const f = composeForecast(light.value, heat);
  const problem = [...light.value.problems, ...(heat?.problems ?? [])][0]?.sentence ?? null;
  const totalS = heat ? wholeS(f) : null;
  return {
    family: family.id,
    eaten: eatenHow(family),
    plan,
    said,
    pan: {
      vessel: light.value.resolved.vessel,
      count: plan.vesselCount,
      depthM: light.value.fill.depthM,
    },
    massG: light.value.balance.massG,
    pieces: light.value.pieces,
    grants: grantsOf(family, light.value, totalS),
    needs: needsOf(light.value),
    handsOnS: heat ? f.totals.handsOnS : null,
    totalS,
    problem,
  };
}
