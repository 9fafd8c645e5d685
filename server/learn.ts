import { evidenceOf, isKept, learnFromEvidence, textureOffsets, type Evidence, type KeptBatch } from '@/core/notebook';
import { forecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import { MODEL_VERSION } from '@/core/units';
import type { LearnedBatch } from '@/db';
import type { Store } from './storeOf';

/** Batches that are forecast again at most in one go: the rest comes with the next. */
const MOST_AT_ONCE = 60;

/** A batch's time by the models of today, forecast again from the plan it was cooked by, s. Undefined: it cannot be. */
async function modelNow(store: Store, id: string, kitchen: Kitchen): Promise<number | undefined> {
  const batch = await store.batches.get(id);
  const made = batch.ok ? forecast(batch.value.snapshot.plan, kitchen) : undefined;
  return made?.ok ? made.value.heat?.steam?.times?.unlearnedS : undefined;
}

/** Times of batches by the models of today; what an older version said is not used, its plan is forecast again and that is kept. */
async function modelTimes(
  store: Store,
  batches: readonly LearnedBatch[],
  kitchen: Kitchen,
): Promise<(b: KeptBatch) => number | undefined> {
  const times = new Map<string, number | undefined>();
  let again = 0;
  for (const b of batches) {
    if (b.seen.checks.length === 0) continue;
    if (b.facts.modelVersion === MODEL_VERSION) times.set(b.id, b.facts.unlearnedS ?? undefined);
    else if (b.modelVersion === MODEL_VERSION) times.set(b.id, b.modelS ?? undefined);
    else if (again < MOST_AT_ONCE) {
      again++;
      const s = await modelNow(store, b.id, kitchen);
      times.set(b.id, s);
      await store.batches.keepModel(b.id, MODEL_VERSION, s);
    }
  }
  return (b) => times.get(b.id);
}

/** Finished batches, and their times by the models of today. */
async function cooked(store: Store) {
  const finished = await store.batches.finished();
  const { kitchen } = await store.kitchenState();
  return { finished, times: await modelTimes(store, finished, kitchen), forgotten: kitchen.forgotten };
}

/** Everything that was seen at the stove, and what counts of it. */
export const evidence = (store: Store): Promise<readonly Evidence[]> =>
  store.sinceWritten('evidence', async () => {
    const { finished, times, forgotten } = await cooked(store);
    return evidenceOf(finished, times, forgotten);
  });

/** What tastings say of each family's texture. */
function texturesOf(batches: readonly KeptBatch[], forgotten: Kitchen['forgotten']): Kitchen['textureOffsets'] {
  const kept = batches.filter((b) => isKept(b, forgotten));
  const families = [...new Set(kept.map((b) => b.facts.who.family))];
  return Object.fromEntries(
    families.flatMap((family) => {
      const tastings = kept
        .filter((b) => b.facts.who.family === family)
        .flatMap((b) => b.seen.tastings.map((t) => t.axes));
      return tastings.length > 0 ? [[family, textureOffsets(tastings) as Record<string, number>]] : [];
    }),
  );
}

const TRIES = 3;

/**
 * Learning changes the kitchen, never the formulas: its factors on the model's times and its texture offsets are worked out anew from all
 * that the notebook holds and the cook has not had forgotten.
 * @param change what else is written with it
 */
export async function relearn(
  store: Store,
  change: (s: Kitchen['forgotten']) => Kitchen['forgotten'] = (s) => s,
): Promise<boolean> {
  for (let tries = 0; tries < TRIES; tries++) {
    const settings = await store.kitchen.readSettings();
    const forgotten = change(settings.value.forgotten);
    const { finished, times } = await cooked(store);
    const next = {
      ...settings.value,
      forgotten,
      timeFactors: learnFromEvidence(evidenceOf(finished, times, forgotten)),
      textureOffsets: texturesOf(finished, forgotten),
    };
    if (await store.kitchen.saveSettings(settings.revision, next)) return true;
  }
  return false;
}

/** What was learned by older models, or not yet at all, is learned again, once; a kitchen without batches is left as it is. */
export async function relearnIfOld(store: Store): Promise<void> {
  const { value } = await store.kitchen.readSettings();
  if (value.timeFactors.modelVersion === MODEL_VERSION) return;
  if (await store.batches.anyFinished()) await relearn(store);
}
