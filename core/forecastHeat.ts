import { steamPower } from './kitchen';
import { SHIPPED_GRID, type PourGrid } from './steam';
import { LEAST_DEPTH_M } from './forecastFill';
import { searOf } from './forecastSear';
import { steamFilms } from './forecastFilm';
import { steamLayers } from './forecastLayers';
import { fromThePot, restOf } from './forecastRest';
import { steamSingle, type Steaming } from './forecastSteam';
import { ALONE, type SteamContext } from './steamContext';
import { heatCache, heatJobs, type HeatCache } from './heatJobs';
import type { HeatForecast, LightForecast, PotForecast } from './forecast.types';

/** True when the plan holds something that the heat solver can work on. */
export const canHeat = (light: LightForecast): boolean =>
  light.fill.depthM > LEAST_DEPTH_M &&
  light.fill.depthM <= light.resolved.vessel.heightM &&
  light.balance.batters.some((b) => b.dryBlendG > 0) &&
  !light.problems.some((p) => p.code === 'absurd-amount' || p.code === 'layer-too-thin');

/** Minutes in the pot, and those at which its bottom scorches. */
function potOf(light: LightForecast): PotForecast | undefined {
  const figures = light.evaluated.nodes.find((n) => n.node.op === 'cook-through')?.figures;
  return figures && { throughS: figures.stirS.value, scorchS: figures.scorchS.value };
}

function steamingOf(light: LightForecast, size: PourGrid, context: SteamContext): Steaming {
  switch (light.family.cooked) {
    case 'pan-film':
      return steamFilms(light);
    case 'pot':
      return {
        steam: undefined,
        powerW: steamPower(light.resolved.ring, light.resolved.plan.heat),
        layers: undefined,
        loads: undefined,
        film: undefined,
        pot: potOf(light),
        problems: [],
        run: fromThePot(light),
      };
    case 'layers':
      return steamLayers(light);
    default:
      return steamSingle(light, size, context);
  }
}

/** Keeps heat longer than a process lives, under all that it is worked out from. Tests have one; a kitchen has none. */
export type HeatKeeper = (
  asked: {
    readonly jobs: string;
    readonly light: LightForecast;
    readonly size: PourGrid;
    readonly context: SteamContext;
  },
  work: () => HeatForecast,
) => HeatForecast;
const kept = globalThis as { idleLadleHeat?: HeatKeeper };

/**
 * Steaming, cooling and searing of a plan. Undefined when there is nothing to heat (an empty or overflowing pan).
 * @param cache answers of earlier jobs, by hash
 * @param context what else is in the steamer
 */
export function forecastHeat(
  light: LightForecast,
  size: PourGrid = SHIPPED_GRID,
  cache?: HeatCache,
  context: SteamContext = ALONE,
): HeatForecast | undefined {
  if (!canHeat(light)) return undefined;
  const work = () => worked(light, size, cache ?? heatCache(0), context);
  // Whoever brings a cache of its own asks it.
  return kept.idleLadleHeat && !cache
    ? kept.idleLadleHeat({ jobs: heatJobs(light, context).hash, light, size, context }, work)
    : work();
}

function worked(light: LightForecast, size: PourGrid, cache: HeatCache, context: SteamContext): HeatForecast {
  const jobs = heatJobs(light, context);
  const grid = `${size.nr}.${size.nz}`;
  const { run, ...steaming } = cache.get(`${jobs.steam.hash}/${grid}`, () => steamingOf(light, size, context));
  return {
    ...steaming,
    rest: run && cache.get(`${jobs.rest.hash}/${grid}`, () => restOf(light, run)),
    sear: cache.get(jobs.sear.hash, () => searOf(light)),
  };
}
