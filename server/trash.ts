import { standing } from '@/core/work/notebook';
import { bad, good, problem, type Result } from '@/core/units';
import type { TrashKind } from '@/db';
import { recordEvent } from './notebook';
import type { Store } from './storeOf';

/** Puts a batch into the trash; what it taught is unlearned. */
export async function removeBatch(store: Store, id: string): Promise<boolean> {
  const gone = await store.trash.removeBatch(id);
  if (gone) store.learner.wake();
  return gone;
}

/** Brings back what was deleted; a photo by taking back that it was taken back. Errors: `no-such-thing`. */
export async function bringBack(
  store: Store,
  kind: TrashKind,
  id: string,
  key: string,
): Promise<Result<{ readonly id: string }>> {
  if (kind !== 'photo') {
    const done = await store.trash.bringBack(kind, id);
    if (done.ok && kind === 'batch') store.learner.wake();
    return done;
  }
  const batchId = await store.photos.batchOf(id);
  const batch = batchId === undefined ? undefined : await store.batches.get(batchId);
  const taken = batch?.ok ? batch.value.events.find((e) => e.kind === 'photographed' && e.photo === id) : undefined;
  const taker = batch?.ok
    ? batch.value.events.findLast((e) => e.kind === 'taken-back' && e.of === taken?.key)
    : undefined;
  if (!batch?.ok || !taker || standing(batch.value.events).some((e) => e.key === taken?.key))
    return bad(problem('no-such-thing', 'id', 'That is not in the trash; it was brought back, or its days are over.'));
  const done = await recordEvent(store, batch.value.id, { kind: 'taken-back', of: taker.key }, key);
  return done.ok ? good({ id }) : done;
}
