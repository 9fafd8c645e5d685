import { boilingPointC, figure, sayDuration, type Figure } from './units';
import { STEAM_FILM, steamPower } from './kitchen';
import { schoolOf } from './families';
import { thermalProperties } from './larder';
import { thermalShares } from './mix';
import { conduct, type ConductionRun } from './heat';
import { cakeMaterial, COARSE_GRID, FINE_GRID, pourGrid, singlePour, steamTimes, waterPlan, type PourGrid } from './steam';
import { cool } from './rest';
import { POT_POUR_C } from './forecastLight';
import { BROWNING, PAN_C, searPiece } from './sear';
import type { HeatForecast, LightForecast, RestForecast, SearForecast } from './forecast.types';

const FLIP_S = 8;
const LOAD_S = 20;
const HOT_THROUGH_C = 74;

/** True when the plan holds something that the heat solver can work on. */
export const canHeat = (light: LightForecast): boolean =>
  light.fill.depthM > 0.0008 && light.fill.depthM <= light.resolved.vessel.heightM && light.balance.batters.some((b) => b.dryBlendG > 0) && !light.problems.some((p) => p.code === 'absurd-amount');

/** A cake that was cooked through in the pot: one temperature, all of it set. */
function fromThePot(light: LightForecast): ConductionRun {
  const { vessel } = light.resolved;
  const side = { filmH: 9, outerR: 0, innerR: 0, capacity: 0, ambientC: POT_POUR_C };
  return conduct({ grid: pourGrid(vessel, light.fill.depthM, COARSE_GRID), materials: [cakeMaterial(light.balance.whole, 0, light.midpointC)], initialC: POT_POUR_C, initialG: 1, wallC: light.resolved.kitchen.roomC, sides: { base: side, wall: side, top: side } });
}

function restOf(light: LightForecast, from: ConductionRun): RestForecast | undefined {
  const { plan, vessel, kitchen } = light.resolved;
  if (plan.cooling.length === 0) return undefined;
  const r = cool({
    from, vessel, depthM: light.fill.depthM, material: cakeMaterial(light.balance.whole, light.family.gasShare, light.midpointC),
    wall: { material: vessel.material, paper: plan.paper }, stages: plan.cooling, kitchen, releaseC: light.family.releaseC, cutC: light.family.cutC,
  });
  return r;
}

/** Sear minutes, loads and core for the plan's pieces. */
export function searOf(light: LightForecast): SearForecast | undefined {
  const { plan, kitchen } = light.resolved;
  if (!plan.sear || !light.cut || !light.packing || !light.piece || light.packing.perLoad === 0) return undefined;
  const shares = thermalShares(light.balance.whole);
  const props = thermalProperties(shares, 60, light.family.gasShare);
  const result = searPiece({
    thicknessM: light.piece.thicknessM, startC: plan.sear.startC, panC: PAN_C[plan.sear.dial], airC: kitchen.roomC,
    k: props.k, rho: props.rho, c: props.c, waterShare: shares.water, browning: BROWNING[plan.sear.colour], coreWantedC: HOT_THROUGH_C,
  });
  const pieces = light.cut.count * plan.vesselCount;
  const perLoad = light.packing.perLoad * plan.sear.pans;
  const loads = Math.ceil(pieces / perLoad);
  const minutes = [result.sides[0].timeS, result.sides[1].timeS] as const;
  const hotThrough = result.coreC >= HOT_THROUGH_C || plan.sear.startC > 60;
  const words = !result.reached
    ? 'This setting does not brown it within 20 minutes: turn the pan up.'
    : hotThrough
      ? `${sayDuration(minutes[0])} a side, ${loads} ${loads === 1 ? 'load' : 'loads'}; the middle reaches ${Math.round(result.coreC)} °C.`
      : `Golden before hot: the middle is at ${Math.round(result.coreC)} °C, 74 °C is wanted. Turn the pan down a step or slice thinner.`;
  return {
    perLoad, loads, pieces, minutesASide: minutes, totalS: loads * (minutes[0] + minutes[1] + FLIP_S * light.packing.perLoad * 0.5 + LOAD_S),
    oilPerLoadG: Math.max(4, Math.round(light.packing.perLoad * light.piece.faceM[0] * light.piece.faceM[1] * 1000)), coreC: result.coreC, hotThrough, words, result,
  };
}

/** The factor learned for this steamer at this heat, or 1. */
export function steamerFactor(light: LightForecast): Figure {
  const learned = light.resolved.steamer.learned[light.resolved.plan.heat];
  return learned && learned.checks > 0 ? figure(learned.median, 'learned') : figure(1);
}

/** Steaming, cooling and searing of a plan. Undefined when there is nothing to heat (an empty or overflowing pan). */
export function forecastHeat(light: LightForecast, size: PourGrid = FINE_GRID): HeatForecast | undefined {
  if (!canHeat(light)) return undefined;
  const { plan, kitchen, vessel, steamer, hob } = light.resolved;
  const power = steamPower(hob, plan.heat);
  if (light.family.cooked === 'pan-film') return { steam: undefined, powerW: power, layers: undefined, rest: undefined, sear: undefined };
  if (light.family.cooked === 'pot') return { steam: undefined, powerW: power, layers: undefined, rest: restOf(light, fromThePot(light)), sear: searOf(light) };
  const together = Math.min(plan.vesselCount, light.fill.perLoad);
  const foil = schoolOf(light.family, plan.schools, 'dripGuard') === 'foil';
  const pour = singlePour({
    parts: light.balance.whole, midpointC: light.midpointC, gasShare: light.family.gasShare, vessel, depthM: light.fill.depthM,
    startC: light.pour.startC.value, startG: light.pour.startG, mouldC: kitchen.roomC, material: vessel.material, paper: plan.paper || schoolOf(light.family, plan.schools, 'lining') === 'paper',
    foil, filmH: STEAM_FILM[plan.heat], steamC: steamer.pressureTempC ?? boilingPointC(kitchen.altitudeM), powerW: power.value / together,
  }, 0.2 + light.family.restInSteamerS / 3600, size);
  const times = pour.firstCleanPickS === undefined ? undefined : steamTimes(pour.firstCleanPickS, steamerFactor(light), light.family.restInSteamerS, light.family.noLaterFactor);
  const steamOn = (times?.planForS ?? 3600) * light.fill.loads;
  const words = times
    ? `Check at ${sayDuration(times.checkAtS)}; plan for ${sayDuration(times.planForS)}.`
    : `The middle never gets hot enough to set (it needs about ${Math.round(light.midpointC + 5)} °C). More water, less sugar, or a hotter steamer.`;
  return {
    steam: {
      times, coldSpot: pour.coldSpot, history: pour.history, frames: pour.frames, powerLimitedS: pour.powerLimitedS,
      water: waterPlan(steamer, power.value, steamOn), energyError: pour.energyError, words,
    },
    powerW: power, layers: undefined, rest: restOf(light, pour.run), sear: searOf(light),
  };
}
