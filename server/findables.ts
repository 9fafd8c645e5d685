import { familyOf } from '@/core/families';
import type { Store } from './storeOf';

/** What the finder looks through beside the larder. */
export interface Findables {
  readonly plans: readonly { readonly id: string; readonly name: string; readonly family: string }[];
  readonly notes: readonly { readonly id: string; readonly name: string; readonly note: string; readonly at: string }[];
}
/** Newest of each: more than a kitchen writes in years. */
const MOST_PLANS = 3000;
const MOST_NOTES = 3000;

/** Names of all plans and batches, and what was noted of these. */
export const findables = (store: Store): Promise<Findables> =>
  store.sinceWritten('findables', async () => {
    const [plans, batches] = await Promise.all([
      store.plans.page({ limit: MOST_PLANS }),
      store.batches.page({ limit: MOST_NOTES }),
    ]);
    return {
      plans: plans.rows.map(({ id, name, family }) => {
        const known = familyOf(family);
        return { id, name, family: known.ok ? known.value.name : family };
      }),
      notes: batches.rows.map(({ id, name, note, startedAt }) => ({ id, name, note, at: startedAt })),
    };
  });
