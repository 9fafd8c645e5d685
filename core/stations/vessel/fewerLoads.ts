import { panNeed } from '../mix';
import type { Family } from '../../families';
import type { PlanBalance } from '../../flow';
import type { ResolvedPlan } from '../../plan';
import { choosePans, fillOf, type Fill } from '../../model/vessel';

/** Another steamer of the kitchen, or other pans in this one, would take it in fewer loads. */
export function fewerLoads(
  { plan, vessel, kitchen, steamer }: ResolvedPlan,
  family: Family,
  balance: PlanBalance,
  fill: Fill,
) {
  if (fill.depthM <= 0 || fill.loads <= 1) return false;
  const need = panNeed(family, steamer, balance.volumeMl);
  return (
    kitchen.steamers.some(
      (s) => fillOf(vessel, plan.vesselCount, s, fill.volumeEachMl * plan.vesselCount, family.rise).loads < fill.loads,
    ) ||
    (need !== undefined && choosePans(kitchen.vessels, need).some((c) => c.inBand && c.fill.loads < fill.loads))
  );
}
