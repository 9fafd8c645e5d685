import { good, type Result } from './units';
import { evaluate, type FlowResults } from './flow';
import type { Kitchen } from './kitchen';
import type { Plan } from './plan';
import { cautionsOf, stepsOf, totalsOf, weighOut } from './steps';
import { forecastLight } from './forecastLight';
import { forecastHeat } from './forecastHeat';
import type { Forecast, HeatForecast, LightForecast } from './forecast.types';
import type { HeatCache } from './heatJobs';
import type { PourGrid } from './steam';

export * from './forecast.types';
export * from './forecastLight';
export * from './forecastHeat';
export * from './heatJobs';

/** Seconds of the hands for one film in a covered pan. */
const FILM_S = 75;
/** An egg film of 0.6 mm on both faces, g/m². */
const EGG_G_PER_M2 = 620;

/** What the stations found, as the laws of the flow ask for it. */
export function resultsOf(light: LightForecast, heat: HeatForecast | undefined): FlowResults {
  const { plan } = light.resolved;
  const t = heat?.steam?.times;
  const rest = heat?.rest;
  const coolS = plan.cooling.map((stage, i) => {
    const last = i === plan.cooling.length - 1;
    return last && rest?.cutReadyAtS !== undefined
      ? Math.max(stage.timeS, rest.cutReadyAtS - (rest.stageStartsS[i] ?? 0))
      : stage.timeS;
  });
  const film = light.family.cooked === 'pan-film';
  const face = light.piece ? light.piece.faceM[0] * light.piece.faceM[1] : 0;
  return {
    ...(t
      ? {
          checkAtS: t.checkAtS,
          afterCheckS: Math.max(
            0,
            (heat?.layers ? t.planForS - light.family.restInSteamerS : t.firstCleanPickS.value * 1.2) - t.checkAtS,
          ),
          loadsS: t.planForS * light.fill.loads,
        }
      : {}),
    ...(film ? { loadsS: FILM_S * plan.vesselCount } : {}),
    loads: light.fill.loads,
    ...(heat?.layers ? { layersS: t?.checkAtS ?? heat.layers.totalS } : {}),
    coolS,
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

/**
 * Everything the application says about a plan in a kitchen: a pure function of the two documents.
 * @param size grid of the heat solver; the default is the one shown to cooks
 * Errors: as {@link forecastLight}.
 */
export function forecast(plan: Plan, kitchen: Kitchen, size?: PourGrid, cache?: HeatCache): Result<Forecast> {
  const light = forecastLight(plan, kitchen);
  if (!light.ok) return light;
  return good(composeForecast(light.value, forecastHeat(light.value, size, cache)));
}
