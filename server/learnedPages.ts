import { saySeen, type Evidence } from '@/core/work/notebook';
import { pageOf, type Page, type Place } from '@/db';
import { evidence, waitingToLearn } from './learn';
import type { Store } from './storeOf';

/** What a list shows of a batch that learning looked at. */
export interface EvidenceCard {
  readonly id: string;
  readonly name: string;
  readonly startedAt: string;
  /** What was seen of it beside the model's time; null: its plan cannot be forecast any more. */
  readonly said: string | null;
  readonly used: boolean;
  /** Waits for the models of today. */
  readonly waits: boolean;
  /** So far from all that was forecast that it waits for the cook to say that it is right. */
  readonly odd: boolean;
  /** True where the cook left out this very batch. */
  readonly leftOut: boolean;
}

export const EVIDENCE_A_PAGE = 50;

const card = (e: Evidence, leftOut: readonly string[], waits: ReadonlySet<string>): EvidenceCard => ({
  ...e.batch,
  said: e.modelS === undefined || !e.bounds ? null : saySeen(e.bounds, e.modelS),
  used: e.used,
  waits: waits.has(e.batch.id),
  odd: e.odd,
  leftOut: leftOut.includes(e.batch.id),
});

/** One page of what learning rests on, newest first. */
export async function evidencePage(store: Store, after?: Place): Promise<Page<EvidenceCard>> {
  const [all, waits] = [await evidence(store), await waitingToLearn(store)];
  const { kitchen } = await store.kitchenState();
  // Oldest first as it is kept: those before the place, from its end.
  const older = after
    ? all.filter(({ batch: b }) => b.startedAt < after.at || (b.startedAt === after.at && b.id < after.id))
    : all;
  return pageOf(
    older.slice(-EVIDENCE_A_PAGE - 1).reverse(),
    EVIDENCE_A_PAGE,
    all.length,
    (e) => ({ at: e.batch.startedAt, id: e.batch.id }),
    (e) => card(e, kitchen.forgotten.batches, waits),
  );
}
