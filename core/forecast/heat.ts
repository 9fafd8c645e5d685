import { SHIPPED_GRID, type PourGrid } from '../model/steam';
import { coldBecause } from '../cake';
import { rest } from '../stations/rest';
import { sear } from '../stations/sear';
import { ALONE, cook, type SteamContext } from '../stations/steam';
import { whole, type Turns } from '../units';
import { heatCache, heatJobs, type HeatCache, type HeatJobs } from './heatJobs';
import type { HeatForecast, LightForecast } from './forecast.types';

/** True when the plan holds something that the heat solver can work on. */
export const canHeat = (light: LightForecast): boolean => coldBecause(light, light.problems) === undefined;

/** Keeps heat longer than a process lives, under all that it is worked out from. Tests have one; a kitchen has none. */
export type HeatKeeper = (
  asked: { readonly jobs: string; readonly size: PourGrid },
  work: () => HeatForecast,
) => HeatForecast;
const kept = globalThis as { idleLadleHeat?: HeatKeeper };

/**
 * Steaming, cooling and searing of a plan. Undefined when there is nothing to heat (an empty or overflowing pan).
 * @param cache answers of earlier jobs, by hash
 * @param context what else is in the steamer
 */
export function* heatInTurns(
  light: LightForecast,
  size: PourGrid = SHIPPED_GRID,
  cache?: HeatCache,
  context: SteamContext = ALONE,
): Turns<HeatForecast | undefined> {
  if (!canHeat(light)) return undefined;
  const jobs = heatJobs(light, context);
  const work = () => worked(jobs, size, cache ?? heatCache(0));
  // Whoever brings a cache of its own asks it.
  return kept.idleLadleHeat && !cache
    ? kept.idleLadleHeat({ jobs: jobs.hash, size }, () => whole(work()))
    : yield* work();
}

/** The same at once. */
export const forecastHeat = (...of: Parameters<typeof heatInTurns>): HeatForecast | undefined =>
  whole(heatInTurns(...of));

/** The jobs of a plan, done from their records alone: equal records, equal heat. */
function* worked(
  { steam, rest: resting, sear: searing }: HeatJobs,
  size: PourGrid,
  cache: HeatCache,
): Turns<HeatForecast> {
  const grid = Object.values(size).join('.');
  const { run, ...cooked } = yield* cache.get(`${steam.hash}/${grid}`, () => cook(steam.input, size));
  const { input: cooling } = resting;
  const { input: slices } = searing;
  return {
    ...cooked,
    rest: run && cooling && (yield* cache.get(`${resting.hash}/${grid}`, () => rest(cooling, run))),
    sear: slices && (yield* cache.get(searing.hash, () => sear(slices))),
  };
}
