import { LRUCache } from 'lru-cache';
import { familyOf } from '@/core/families';
import { forecastLight } from '@/core/forecast';
import type { Kitchen, Vessel } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import type { Page, Place, PlanLine, PlanSort } from '@/db';
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
/** Cards as they were drawn in the kitchen of today, by plan and revision; with another kitchen all are drawn anew, and the old one is let go. */
let drawn: { readonly kitchen: Kitchen; readonly cards: LRUCache<string, Drawn> } | undefined;
const cardsIn = (kitchen: Kitchen): LRUCache<string, Drawn> => {
  if (drawn?.kitchen !== kitchen) drawn = { kitchen, cards: new LRUCache({ max: 2000 }) };
  return drawn.cards;
};
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
  ask: { readonly after?: Place; readonly word?: string; readonly sort?: PlanSort },
): Promise<Page<PlanCard>> {
  const page = await store.plans.page({ ...ask, limit: PLANS_A_PAGE });
  const key = (r: PlanLine) => `${r.id} ${r.revision}`;
  const cards = cardsIn(kitchen);
  const known = (r: PlanLine): Drawn | undefined => cards.get(key(r));
  const opened = await store.plans.some(page.rows.filter((r) => !known(r)).map((r) => r.id));
  const rows = page.rows.map((r): PlanCard => {
    const family = familyOf(r.family);
    let card = known(r);
    if (!card) {
      const read = opened.get(r.id);
      card = read?.ok ? draw(read.value.plan, kitchen) : { guests: null, picture: null, readable: false };
      cards.set(key(r), card);
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
