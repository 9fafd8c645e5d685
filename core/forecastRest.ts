import { conduct, type ConductionRun } from './heat';
import type { CoolingStage } from './plan';
import { eatenOf } from './eaten';
import { cool, type CoolingInput } from './rest';
import { cakeMaterial, COARSE_GRID, pourGrid } from './steam';
import type { LightForecast, RestForecast } from './forecast.types';

/** A cake that was cooked through in the pot: one temperature, all of it set. */
export function fromThePot(light: LightForecast): ConductionRun {
  const { vessel } = light.resolved;
  const side = { filmH: 9, outerR: 0, innerR: 0, capacity: 0, ambientC: light.pour.startC.value };
  return conduct({
    grid: pourGrid(vessel, light.fill.depthM, COARSE_GRID),
    materials: [cakeMaterial({ ...light.body, gasShare: 0 })],
    initialC: light.pour.startC.value,
    initialG: 1,
    wallC: light.resolved.kitchen.roomC,
    sides: { base: side, wall: side, top: side },
  });
}

/** A cooling of the plan's cake from a field, through the stages given. */
export function coolingInput(light: LightForecast, from: ConductionRun, stages: readonly CoolingStage[]): CoolingInput {
  const { plan, vessel, kitchen } = light.resolved;
  return {
    from,
    vessel,
    depthM: light.fill.cookedM,
    material: cakeMaterial(light.body),
    wall: { material: vessel.material, paper: plan.paper },
    stages,
    kitchen,
    releaseC: light.family.releaseC,
    cutC: light.family.cutC,
    open: plan.wrap === 'open',
    eaten: eatenOf(light),
  };
}

/** The cooling of a plan; undefined where none is planned. */
export const restOf = (light: LightForecast, from: ConductionRun): RestForecast | undefined =>
  light.resolved.plan.cooling.length === 0 ? undefined : cool(coolingInput(light, from, light.resolved.plan.cooling));
