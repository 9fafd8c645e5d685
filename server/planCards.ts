import { LRUCache } from 'lru-cache';
import { familyOf } from '@/core/families';
import { forecastLight } from '@/core/forecast';
import type { Kitchen, Vessel } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import type { Page, Place, PlanLine } from '@/db';
import type { Store } from './storeOf';

/** What the shelf shows of a plan. */
export interface PlanCard {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  readonly updatedAt: string;
  readonly guests: number | null;
  readonly picture: {
    readonly vessel: Vessel;
    readonly depthM: number;
    readonly massG: number;
    readonly pieces: number | null;
    readonly problem: string | null;
  } | null;
  /** False where what is kept of it cannot be read. */
  readonly readable: boolean;
}

type Drawn = Pick<PlanCard, 'guests' | 'picture' | 'readable'>;
/** Cards as they were drawn, by plan, revision and kitchen: the kitchen a card was drawn in goes with it. */
const drawn = new LRUCache<string, { readonly kitchen: Kitchen; readonly card: Drawn }>({ max: 2000 });
export const PLANS_A_PAGE = 12;

function draw(plan: Plan, kitchen: Kitchen): Drawn {
  const light = forecastLight(plan, kitchen);
  return {
    guests: plan.guests,
    readable: true,
    picture: light.ok
      ? {
          vessel: light.value.resolved.vessel,
          depthM: light.value.fill.depthM,
          massG: light.value.balance.massG,
          pieces: light.value.cut ? light.value.cut.count * plan.vesselCount : null,
          problem: light.value.problems[0]?.sentence ?? null,
        }
      : null,
  };
}

/** One page of the shelf. Only plans that were not drawn yet in this kitchen are opened. */
export async function planCards(
  store: Store,
  kitchen: Kitchen,
  ask: { readonly after?: Place; readonly word?: string },
): Promise<Page<PlanCard>> {
  const page = await store.plans.page({ ...ask, limit: PLANS_A_PAGE });
  const key = (r: PlanLine) => `${r.id} ${r.revision}`;
  const known = (r: PlanLine): Drawn | undefined => {
    const found = drawn.get(key(r));
    return found?.kitchen === kitchen ? found.card : undefined;
  };
  const opened = await store.plans.some(page.rows.filter((r) => !known(r)).map((r) => r.id));
  const rows = page.rows.map((r): PlanCard => {
    const family = familyOf(r.family);
    let card = known(r);
    if (!card) {
      const read = opened.get(r.id);
      card = read?.ok ? draw(read.value.plan, kitchen) : { guests: null, picture: null, readable: false };
      drawn.set(key(r), { kitchen, card });
    }
    return {
      ...card,
      id: r.id,
      name: r.name,
      updatedAt: r.updatedAt,
      family: family.ok ? family.value.name : r.family,
    };
  });
  return { ...page, rows };
}
