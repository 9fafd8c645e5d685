import { conduct, type ConductionRun } from './heat';
import type { CoolingStage } from './plan';
import { cool, type CoolingInput, type Eaten } from './rest';
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

/** Beans that the larder counts as grain, and pearls of starch that it counts among the add-ins. */
const BEANS: ReadonlySet<string> = new Set(['mung-beans-dry']);
const PEARLS = 'tapioca-pearls';

/** True where a cake holds coconut, bean, egg, meat or seafood. */
const spoils = (light: LightForecast): boolean =>
  light.flow.lines.some(
    (l) =>
      l.massG > 0 &&
      l.ingredient !== PEARLS &&
      (l.kind === 'coconut' ||
        l.kind === 'protein' ||
        l.ingredient.startsWith('coconut-milk') ||
        BEANS.has(l.ingredient)),
  );

/** What decides how long a cake may stand at room temperature. */
export const eatenOf = (light: LightForecast): Eaten => ({
  allergens: light.balance.allergens,
  spoils: spoils(light),
  sugarPhase: light.balance.batters[0].sugarPhase,
});

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
