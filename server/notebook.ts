import type { StoredBatch } from '@/db';
import { snapshotOf, type BatchEvent } from '@/core/notebook';
import { forecast } from '@/core/forecast';
import { bad, good, type Result } from '@/core/units';
import { relearn } from './learn';
import type { Store } from './storeOf';

/** Starts a batch of a plan as it stands: its forecast is kept as a snapshot beside what will happen. */
export async function startBatch(store: Store, planId: string): Promise<Result<StoredBatch>> {
  const stored = await store.plans.get(planId);
  if (!stored.ok) return stored;
  const made = forecast(stored.value.plan, await store.kitchen.read());
  if (!made.ok) return made;
  if (made.value.light.problems.length > 0) return bad(...made.value.light.problems);
  return good(
    await store.batches.create({
      planId,
      planRevision: stored.value.revision,
      name: stored.value.plan.name,
      snapshot: snapshotOf(made.value),
    }),
  );
}

/** Appends an event; finishing a batch lets the kitchen learn from it. */
export async function recordEvent(
  store: Store,
  batchId: string,
  event: BatchEvent,
  key: string,
): Promise<Result<StoredBatch>> {
  const done = await store.batches.append(batchId, event, key);
  if (done.ok && (event.kind === 'finished' || (event.kind === 'tasted' && done.value.finishedAt)))
    await relearn(store);
  return done;
}
