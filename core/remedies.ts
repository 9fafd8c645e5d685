import { sayDuration, sayMm } from './units';
import type { Kitchen } from './kitchen';
import type { CoolingStage, Plan } from './plan';
import { COARSE_GRID } from './steam';
import { forecastHeat, forecastLight, type RestForecast } from './forecast';

export interface Remedy {
  readonly id: string;
  readonly words: string;
  readonly plan: Plan;
  readonly rest: RestForecast;
  readonly safe: boolean;
}

const ICE_STEPS_S = [2700, 5400, 8100, 10_800] as const;
const COUNTER_AT_MOST_S = 600;
/** Before it can be cut at all, s, and into how many portions. */
const FIRM_S = 1800;
const PORTIONS = [4, 8, 12, 16] as const;

const total = (stages: readonly CoolingStage[]): number => stages.reduce((s, x) => s + x.timeS, 0);

/**
 * Remedies for a cooling that misses a gate, each computed, not canned: straight into the fridge, an ice bath of the fewest minutes that
 * passes, splitting into one more pan, and both. Only changes that pass, or the one that comes nearest, are offered.
 */
export function coolingRemedies(plan: Plan, kitchen: Kitchen): readonly Remedy[] {
  const attempt = (id: string, words: string, next: Plan): Remedy | undefined => {
    const light = forecastLight(next, kitchen);
    if (!light.ok || light.value.problems.length > 0) return undefined;
    const rest = forecastHeat(light.value, COARSE_GRID)?.rest;
    return rest
      ? { id, words: words.replace('{depth}', sayMm(light.value.fill.depthM)), plan: next, rest, safe: rest.check.safe }
      : undefined;
  };
  const chill = Math.max(7200, total(plan.cooling.filter((s) => s.where === 'fridge')));
  const early: CoolingStage[] = [
    { where: 'counter', timeS: COUNTER_AT_MOST_S },
    { where: 'fridge', timeS: chill },
  ];
  const iced = (s: number): CoolingStage[] => [
    { where: 'counter', timeS: COUNTER_AT_MOST_S },
    { where: 'ice-bath', timeS: s },
    { where: 'fridge', timeS: chill },
  ];
  const firstThatPasses = (id: string, words: (s: number) => string, make: (s: number) => Plan): Remedy | undefined => {
    let last: Remedy | undefined;
    for (const s of ICE_STEPS_S) {
      last = attempt(id, words(s), make(s)) ?? last;
      if (last?.safe) return last;
    }
    return last;
  };
  const portions = (n: number): CoolingStage[] => [
    { where: 'counter', timeS: FIRM_S },
    { where: 'fridge', timeS: chill, pieces: n },
  ];
  const firstPortions = (): Remedy | undefined => {
    let last: Remedy | undefined;
    for (const n of PORTIONS) {
      const words = `Cut it into ${n} portions once it is firm enough, and lay them apart in the fridge`;
      last = attempt(`portions-${n}`, words, { ...plan, cooling: portions(n) }) ?? last;
      if (last?.safe) return last;
    }
    return last;
  };
  const split: Plan = { ...plan, vesselCount: plan.vesselCount + 1 };
  const list = [
    attempt('fridge', 'Into the fridge after ten minutes', { ...plan, cooling: early }),
    firstThatPasses(
      'ice',
      (s) => `Ice bath round the pan for ${sayDuration(s)}, then the fridge`,
      (s) => ({ ...plan, cooling: iced(s) }),
    ),
    firstPortions(),
    attempt('split', `One pan more, so that it lies {depth} deep, then the fridge`, { ...split, cooling: early }),
    firstThatPasses(
      'both',
      (s) => `One pan more ({depth} deep) and an ice bath for ${sayDuration(s)}`,
      (s) => ({ ...split, cooling: iced(s) }),
    ),
  ].filter((r): r is Remedy => r !== undefined);
  const passing = list.filter((r) => r.safe);
  if (passing.length > 0) return passing;
  const nearest = [...list].sort((a, b) => (a.rest.check.to5S ?? Infinity) - (b.rest.check.to5S ?? Infinity))[0];
  return nearest ? [nearest] : [];
}
