import type { BatchCard, Page } from '@/db';
import { BATCHES_A_PAGE } from './notebook';
import { planCards, type PlanCard } from './planCards';
import type { Store } from './storeOf';

/** Batches that home tells of. */
const LATELY = 6;

/** What home shows: the first page of the shelf, and what was cooked last. */
export const galleyPage = (store: Store): Promise<{ plans: Page<PlanCard>; batches: readonly BatchCard[] }> =>
  store.sinceWritten('galley', async () => {
    const { kitchen } = await store.kitchenState();
    const [plans, lately] = await Promise.all([planCards(store, kitchen, {}), store.batches.page({ limit: LATELY })]);
    return { plans, batches: lately.rows };
  });

/** The newest batches. */
export const notebookPage = (store: Store): Promise<Page<BatchCard>> =>
  store.sinceWritten('notebook', () => store.batches.page({ limit: BATCHES_A_PAGE }));
