import { wayOf } from '../families';
import { evaluate, type FlowResults } from '../flow';
import { preheatOf } from '../model/steam';
import { cautionsOf, stepsOf, totalsOf, weighOut } from '../steps';
import type { Forecast, HeatForecast, LightForecast } from './forecast.types';
import { loadsIn, overWater, pourSteam, stackIn } from '../stations/steam';

/** An egg film of 0.6 mm on both faces, g/m². */
const EGG_G_PER_M2 = 620;

/** Waits and hands of what is steamed, load by load where there are loads. */
function steamResults(light: LightForecast, heat: HeatForecast | undefined): FlowResults {
  if (heat?.how === 'films') return { loadsHandsS: heat.film.totalS, loads: heat.film.wanted };
  const steam = overWater(heat);
  const t = steam?.times;
  const loads = loadsIn(heat);
  const water = steam && { boilUpS: steam.water.boilUpS };
  if (!t) return { ...water, loads: light.fill.loads };
  const preheat = loads && preheatOf(loads);
  const preheatS = preheat ? preheat.toS - preheat.fromS : 0;
  const earlierS = loads && !wayOf(light.family).refilled ? Math.max(0, loads.steamerS - t.planForS) : 0;
  // A pressure pot lets go before anybody can look: steam, release and stand are one wait.
  const sealed = pourSteam(heat)?.pressure !== undefined;
  return {
    ...water,
    clean: t.firstCleanPickS,
    checkAtS: earlierS + (sealed ? t.totalS : t.checkAtS),
    afterCheckS: sealed ? 0 : Math.max(0, t.planForS - t.checkAtS),
    standS: sealed ? 0 : t.standS,
    loads: loads?.loads ?? light.fill.loads,
    ...(loads
      ? {
          preheatS,
          loadsHandsS: loads.handsS,
          loadsS: Math.max(0, loads.finishS - loads.handsS - preheatS),
        }
      : { loadsS: t.planForS }),
    ...(stackIn(heat) ? { layersS: t.checkAtS } : {}),
  };
}

/** Seconds after the last cooling stage until it can be turned out and cut; 0 where it is ready before. */
function stillToWaitS(heat: HeatForecast | undefined): number {
  const rest = heat?.rest;
  if (!rest) return 0;
  return Math.max(0, Math.max(rest.unmouldAtS ?? 0, rest.cutReadyAtS ?? 0) - rest.stagesEndS);
}

/** What the stations found, as the laws of the flow ask for it. */
export function resultsOf(light: LightForecast, heat: HeatForecast | undefined): FlowResults {
  const { plan } = light.resolved;
  const face = light.piece ? light.piece.faceM[0] * light.piece.faceM[1] : 0;
  return {
    ...steamResults(light, heat),
    coolS: plan.cooling.map((stage) => stage.timeS),
    untilCutS: stillToWaitS(heat),
    pieces: light.pieces,
    ...(heat?.sear
      ? {
          sear: {
            totalS: heat.sear.totalS,
            oilG: heat.sear.oilPerLoadG * heat.sear.loads,
            eggG: 2 * face * EGG_G_PER_M2 * heat.sear.pieces,
          },
        }
      : {}),
  };
}

/** Steps and totals from forecasts already made: the flow evaluated once more with what the stations found. */
export function composeForecast(light: LightForecast, heat: HeatForecast | undefined): Forecast {
  const { plan } = light.resolved;
  const e = evaluate(light.flow, light.env, plan.readings, plan.waits, resultsOf(light, heat));
  const steps = stepsOf({ light, heat, e });
  return {
    light,
    heat,
    evaluated: e,
    steps,
    weighOut: weighOut({ light, heat, e }),
    totals: totalsOf(steps),
    cautions: cautionsOf(light.family.cautions),
  };
}
