import type { StoredBatch } from '@/db';
import { standing, type BatchEvent } from '@/core/work/notebook';
import { good, type Result } from '@/core/units';
import type { Store } from './storeOf';

export const BATCHES_A_PAGE = 25;
/** More cakes than this are on no stove. */
export const MOST_RUNNING = 12;

/**
 * Starts a batch of a plan as it stands: its forecast is kept as a snapshot beside what will happen.
 * @param key under which it is started once, however often it is sent
 */
export async function startBatch(store: Store, planId: string, key?: string): Promise<Result<StoredBatch>> {
  const stored = await store.plans.get(planId);
  if (!stored.ok) return stored;
  const { kitchen } = await store.kitchenState();
  const made = await store.heavy.run('snapshot', [stored.value.plan, kitchen], { urgent: true });
  if (!made.ok) return made;
  return good(
    await store.batches.create({
      planId,
      planRevision: stored.value.revision,
      name: stored.value.plan.name,
      snapshot: made.value,
      startedAt: new Date(store.clock.now()).toISOString(),
      key,
    }),
  );
}

/** What teaches nothing of a batch that is over; all else may change how it was cooked, or how it ate. */
const SAYS_NOTHING: ReadonlySet<BatchEvent['kind']> = new Set([
  'noted',
  'photographed',
  'eaten',
  'timer-set',
  'timer-ended',
]);

/**
 * Appends an event; once a batch is finished, what is written down or taken back of it lets the kitchen learn anew.
 * @param agoMs how long ago it happened
 */
export async function recordEvent(
  store: Store,
  batchId: string,
  event: BatchEvent,
  key: string,
  agoMs = 0,
): Promise<Result<StoredBatch>> {
  // On a practice clock what was a minute ago is longer ago.
  const done = await store.batches.append(batchId, event, key, agoMs * store.clock.speed(), store.clock.now());
  if (done.ok) written(store, done.value, event);
  return done;
}

/** An event is on the disk: pages are told, and the learner is woken where it teaches; nobody waits for either. */
export function written(store: Store, batch: StoredBatch, event: BatchEvent): void {
  store.live.wake();
  const reopened = event.kind === 'taken-back' && batch.events.some((e) => e.key === event.of && e.kind === 'finished');
  const over = standing(batch.events).some((e) => e.kind === 'finished');
  if (reopened || (over && !SAYS_NOTHING.has(event.kind))) store.learner.wake();
}
