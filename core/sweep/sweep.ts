import { forecastHeat, forecastLight, type LightForecast } from '../forecast';
import { restOf } from '../forecastRest';
import type { Kitchen } from '../kitchen';
import type { Texture } from '../mix';
import type { Plan } from '../plan';
import { COARSE_GRID, singlePour, SPREAD_GRID, type PourResult } from '../steam';
import { pourOfPlan, timeFactorOf } from '../steamSetting';
import { withLever, type LeverId } from './levers';

/** What a plan comes to, in short: enough to draw a curve by. */
export interface Quick {
  /** First clean pick, or cooked through, s; null: it never sets. */
  readonly minutesS: number | null;
  readonly texture: Texture;
  /** From 60 to 21 °C at the warmest spot, s; null where it is not chilled, or never gets there. */
  readonly to21S: number | null;
  readonly safe: boolean | null;
  /** What cannot work, in a sentence. */
  readonly problem: string | null;
}

const SINGLE: ReadonlySet<string> = new Set(['steamed', 'cups', 'sheets']);

const timeOf = (light: LightForecast, run: PourResult): number | null =>
  run.firstCleanPickS === undefined ? null : run.firstCleanPickS * timeFactorOf(light).value;

/**
 * A plan in short, on the coarsest grid that keeps the minutes within a few per cent: a curve wants many of them.
 * @param cooled with its cooling, which takes as long again
 */
export function quick(plan: Plan, kitchen: Kitchen, cooled = false): Quick | undefined {
  const got = forecastLight(plan, kitchen);
  if (!got.ok) return undefined;
  const light = got.value;
  const problem = light.problems[0]?.sentence ?? null;
  const bare = { texture: light.texture, minutesS: null, to21S: null, safe: null, problem };
  if (problem !== null) return bare;
  if (!SINGLE.has(light.family.cooked)) {
    const heat = forecastHeat(light, COARSE_GRID);
    const s = heat?.steam?.times?.firstCleanPickS.value ?? heat?.pot?.throughS ?? heat?.film?.filmS;
    return {
      ...bare,
      minutesS: s ?? null,
      to21S: heat?.rest?.check.to21S ?? null,
      safe: heat?.rest?.check.safe ?? null,
      problem: heat?.problems[0]?.sentence ?? null,
    };
  }
  const run = singlePour({ ...pourOfPlan(light), stand: undefined }, 0, SPREAD_GRID);
  const rest = cooled && run.firstCleanPickS !== undefined ? restOf(light, run.run) : undefined;
  return {
    ...bare,
    minutesS: timeOf(light, run),
    to21S: rest?.check.to21S ?? null,
    safe: rest?.check.safe ?? null,
  };
}

/** A plan with one quantity, or two, as asked, in short. */
export function quickWith(
  light: LightForecast,
  values: readonly (readonly [LeverId, number])[],
  cooled = false,
): Quick | undefined {
  const { kitchen } = light.resolved;
  let at: LightForecast = light;
  let plan = light.resolved.plan;
  for (const [i, [id, value]] of values.entries()) {
    plan = withLever(at, id, value);
    if (i === values.length - 1) break;
    const next = forecastLight(plan, kitchen);
    if (!next.ok) return undefined;
    at = next.value;
  }
  return quick(plan, kitchen, cooled);
}

/** So many values from one end of a range to the other. */
export const along = ([from, to]: readonly [number, number], n: number): readonly number[] =>
  Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1));
