import type { Body } from '../../cake';
import { eatenOf } from './eaten';
import type { Cake } from '../../cake';
import type { Vessel } from '../../kitchen';
import type { CoolingStage } from '../../plan';
import type { Airs, Eaten } from '../../model/rest';
import { bare } from '../steam';

/** All that the cooling of a plan is worked out from, besides the field its cooking ends with. */
export interface RestInput {
  readonly body: Body;
  readonly vessel: Vessel;
  readonly depthM: number;
  readonly paper: boolean;
  readonly stages: readonly CoolingStage[];
  readonly kitchen: Airs;
  /** It leaves its pan, and cuts clean, at these in its middle, °C. */
  readonly releaseC: number;
  readonly cutC: number;
  /** Left uncovered where it is chilled. */
  readonly open: boolean;
  /** What decides how long it may stand. */
  readonly eaten: Eaten;
}

/** The record of a plan's cooling; undefined where none is planned. */
export function restInput(light: Cake): RestInput | undefined {
  const { plan, vessel, kitchen } = light.resolved;
  if (plan.cooling.length === 0) return undefined;
  return {
    body: light.body,
    vessel: bare(vessel),
    depthM: light.fill.cookedM,
    paper: plan.paper,
    stages: plan.cooling,
    kitchen: { roomC: kitchen.roomC, fridgeC: kitchen.fridgeC },
    releaseC: light.family.releaseC,
    cutC: light.family.cutC,
    open: plan.wrap === 'open',
    eaten: eatenOf(light),
  };
}
