import { fieldsOf, type Law, type Turns } from '../../units';
import type { ConductionRun } from '../../model/heat';
import {
  cool,
  coolingCheck,
  isChilled,
  roomCheck,
  type CooledIn,
  type CoolingResult,
  type SafetyCheck,
} from '../../model/rest';
import { cakeMaterial, wallSpec } from '../../model/steam';
import type { RestInput } from './input';

/** What resting gives: the cooling as it was computed, and whether it is safe. */
export interface RestForecast extends CoolingResult {
  readonly check: SafetyCheck;
}

/** Where a plan's cake cools, as its check asks it. */
const cooledIn = ({ kitchen, stages }: RestInput): CooledIn => ({
  fridgeC: kitchen.fridgeC,
  coldFirst: isChilled(stages.slice(0, 1)),
});

/** Cools a cake from the field its cooking ended with. */
export function* rest(input: RestInput, from: ConductionRun): Turns<RestForecast> {
  const { body, paper, eaten, ...more } = input;
  const done = yield* cool({
    ...more,
    from,
    material: cakeMaterial(body),
    wall: wallSpec(input.vessel, paper),
  });
  return {
    ...done,
    check: isChilled(input.stages) ? coolingCheck(done.curve, cooledIn(input)) : roomCheck(done.curve, eaten),
  };
}

/** Why it cools as it does. */
export const REST_LAWS: readonly Law[] = [
  {
    at: 'heat.rest.**',
    law: 'The same solver in air (radiation, convection, evaporation by Lewis), ice water or fridge, stage after stage.',
    from: [
      ...fieldsOf<RestInput>('inputs.rest')('depthM', 'kitchen.roomC', 'kitchen.fridgeC', 'releaseC', 'cutC'),
      'heat.steam.times.totalS',
    ],
  },
];
