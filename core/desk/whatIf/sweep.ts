import { forecastLight, heatInTurns, type LightForecast } from '../../forecast';
import { filmIn, overWater, pourOf, potIn, steamInput, type PourInput } from '../../stations/steam';
import { rest as resting, restInput } from '../../stations/rest';
import type { Kitchen } from '../../kitchen';
import type { Texture } from '../../model/batter';
import type { Plan } from '../../plan';
import type { Turns } from '../../units';
import { COARSE_GRID, singlePour, SPREAD_GRID, type PourResult } from '../../model/steam';
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

const timeOf = (input: PourInput, run: PourResult): number | null =>
  run.firstCleanPickS === undefined ? null : run.firstCleanPickS * input.factor.value;

/**
 * A plan in short, on the coarsest grid that keeps the minutes within a few per cent: a curve wants many of them.
 * @param cooled with its cooling, which takes as long again
 */
export function* quick(plan: Plan, kitchen: Kitchen, cooled = false): Turns<Quick | undefined> {
  const got = forecastLight(plan, kitchen);
  if (!got.ok) return undefined;
  const light = got.value;
  const problem = light.problems[0]?.sentence ?? null;
  const bare = { texture: light.texture, minutesS: null, to21S: null, safe: null, problem };
  if (problem !== null) return bare;
  const input = steamInput(light);
  if (input.how === 'layers' || input.how === 'pan-film' || input.how === 'pot') {
    const heat = yield* heatInTurns(light, COARSE_GRID);
    const s = overWater(heat)?.times?.firstCleanPickS.value ?? potIn(heat)?.throughS ?? filmIn(heat)?.filmS;
    return {
      ...bare,
      minutesS: s ?? null,
      to21S: heat?.rest?.check.to21S ?? null,
      safe: heat?.rest?.check.safe ?? null,
      problem: heat?.problems[0]?.sentence ?? null,
    };
  }
  const run = yield* singlePour({ ...pourOf(input), stand: undefined }, 0, SPREAD_GRID);
  const cooling = cooled && run.firstCleanPickS !== undefined ? restInput(light) : undefined;
  const rest = cooling && (yield* resting(cooling, run.run));
  return {
    ...bare,
    minutesS: timeOf(input, run),
    to21S: rest?.check.to21S ?? null,
    safe: rest?.check.safe ?? null,
  };
}

type Values = readonly (readonly [LeverId, number])[];

/** The last plan that was half way to two quantities: the next point of a row is reached from there. */
const halfWay = new WeakMap<
  LightForecast,
  { readonly pull: typeof withLever; readonly key: string; readonly light: LightForecast | undefined }
>();

/**
 * A plan with one quantity, or several, each as asked. The depth is set last: what changes a batter changes how deep it lies.
 * @param pull how one is set: {@link withLever}, or {@link takeLever} for a plan that a cook can take
 * @returns undefined where a plan on the way cannot be read
 */
export function planWith(light: LightForecast, values: Values, pull: typeof withLever = withLever): Plan | undefined {
  const last = values.find(([id]) => id === 'depth') ?? values[0];
  if (!last) return light.resolved.document;
  const before = values.filter((v) => v !== last);
  const at = before.length === 0 ? light : withAll(light, before, pull);
  return at && pull(at, ...last);
}
function withAll(light: LightForecast, values: Values, pull: typeof withLever): LightForecast | undefined {
  const key = values.join();
  const known = halfWay.get(light);
  if (known?.key === key && known.pull === pull) return known.light;
  let at: LightForecast | undefined = light;
  for (const v of values) {
    const next: ReturnType<typeof forecastLight> | undefined = at && forecastLight(pull(at, ...v), at.resolved.kitchen);
    at = next?.ok ? next.value : undefined;
  }
  halfWay.set(light, { pull, key, light: at });
  return at;
}

/** A plan with one quantity, or two, as asked, in short. */
export function* quickWith(light: LightForecast, values: Values, cooled = false): Turns<Quick | undefined> {
  const plan = planWith(light, values);
  return plan && (yield* quick(plan, light.resolved.kitchen, cooled));
}

/** So many values from one end of a range to the other. */
export const along = ([from, to]: readonly [number, number], n: number): readonly number[] =>
  Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1));
