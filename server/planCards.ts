import { LRUCache } from 'lru-cache';
import { familyOf } from '@/core/families';
import type { Picture } from '@/core/desk/picture';
import type { Kitchen } from '@/core/kitchen';
import type { Page, Place, PlanLine, PlanSort } from '@/db';
import type { Store } from './storeOf';

/** What the shelf shows of a plan. */
export interface PlanCard {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  readonly updatedAt: string;
  readonly guests: number | null;
  readonly picture: Picture | null;
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
  const unknown = page.rows.filter((r) => !known(r));
  const opened = await store.plans.some(unknown.map((r) => r.id));
  const readable = unknown.flatMap((line) => {
    const read = opened.get(line.id);
    return read?.ok ? [{ line, plan: read.value.plan }] : [];
  });
  const pictures =
    readable.length > 0
      ? await store.heavy.run('pictures', [readable.map((r) => r.plan), kitchen], { urgent: true })
      : [];
  for (const r of unknown) cards.set(key(r), { guests: null, picture: null, readable: false });
  for (const [i, { line, plan }] of readable.entries())
    cards.set(key(line), { guests: plan.guests, picture: pictures[i] ?? null, readable: true });
  const rows = page.rows.map((r): PlanCard => {
    const family = familyOf(r.family);
    const card = known(r) ?? { guests: null, picture: null, readable: false };
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
