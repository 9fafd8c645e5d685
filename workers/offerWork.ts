import { familyOf } from '@/core/families';
import { heatCache } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import { offerOf, type Offer, type Wanted } from '@/core/desk/newPlan';

const cache = heatCache(40);
/** What could be made of a family in a kitchen, off the page's thread. */
export const offerWork = {
  offer(familyId: string, kitchen: Kitchen, wanted: Wanted): Offer | undefined {
    const family = familyOf(familyId);
    return family.ok ? offerOf(family.value, kitchen, wanted, cache) : undefined;
  },
};
