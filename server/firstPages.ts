import { familyOf } from '@/core/families';
import type { BatchCard, Page, RunningBatch } from '@/db';
import { BATCHES_A_PAGE, MOST_RUNNING } from './notebook';
import { planCards, type PlanCard } from './planCards';
import type { Store } from './storeOf';

/** Batches that home tells of. */
const LATELY = 6;
/** No cake keeps for so many batches. */
const MOST_KEPT = 40;
const DAY_MS = 86_400_000;

/** A cake that keeps, and until when it is good, as its family keeps chilled. */
export interface Kept {
  readonly id: string;
  readonly name: string;
  readonly eatWithin: string;
  readonly until: string;
}
export interface GalleyPage {
  readonly plans: Page<PlanCard>;
  readonly batches: readonly BatchCard[];
  readonly running: readonly RunningBatch[];
  readonly keeps: readonly Kept[];
}

/** When a finished cake is no longer good; none that is eaten, or of a family that nobody knows. */
function keptOf(b: BatchCard): Kept | undefined {
  const family = familyOf(b.family);
  if (!family.ok || b.finishedAt === null || b.keepDays === null || b.eaten) return undefined;
  const until = new Date(Date.parse(b.finishedAt) + b.keepDays * DAY_MS).toISOString();
  return { id: b.id, name: b.name, eatWithin: family.value.eatWithin, until };
}

/** What home shows: the first page of the shelf, what is on the stove, what was cooked last, and what of it is still good. */
export async function galleyPage(store: Store): Promise<GalleyPage> {
  const page = await store.sinceWritten('galley', async () => {
    const { kitchen } = await store.kitchenState();
    const [plans, lately, running] = await Promise.all([
      planCards(store, kitchen, {}),
      store.batches.page({ limit: MOST_KEPT }),
      store.batches.running(MOST_RUNNING),
    ]);
    const keeps = lately.rows.flatMap((b) => keptOf(b) ?? []).toSorted((a, b) => a.until.localeCompare(b.until));
    return { plans, batches: lately.rows.slice(0, LATELY), running, keeps };
  });
  const now = new Date(store.clock.now()).toISOString();
  return { ...page, keeps: page.keeps.filter((k) => k.until > now) };
}

/** The newest batches. */
export const notebookPage = (store: Store): Promise<Page<BatchCard>> =>
  store.sinceWritten('notebook', () => store.batches.page({ limit: BATCHES_A_PAGE }));
