import { isDeepStrictEqual } from 'node:util';
import {
  evidenceOf,
  isKept,
  learnFromEvidence,
  standing,
  textureOffsets,
  type Evidence,
  type KeptBatch,
} from '@/core/work/notebook';
import { MOST_FORGOTTEN, type Kitchen } from '@/core/kitchen';
import { asCooked } from '@/core/work/stove';
import { bad, good, MODEL_VERSION, problem, type Result } from '@/core/units';
import type { LearnedBatch } from '@/db';
import { Broken } from '@/workers/pool';
import type { BaseStore } from './baseStore';

/** True where the time of a batch by the models of today is worked out already, or not needed: nothing was seen of when it was ready. */
const isTimed = (b: LearnedBatch): boolean => b.seen.checks.length === 0 || b.modelVersion === MODEL_VERSION;
const timeOf = (b: KeptBatch): number | undefined => (b as LearnedBatch).modelS ?? undefined;

/** What is not worked out yet is no evidence yet; the learner comes to it. */
const timedOnly = (batches: readonly LearnedBatch[]): readonly LearnedBatch[] => batches.filter(isTimed);

/** Every finished batch, read once between two writes. */
const finishedOf = (store: BaseStore): Promise<readonly LearnedBatch[]> =>
  store.sinceWritten('finished', () => store.batches.finished());

/** Everything that was seen at the stove, and what counts of it, as far as it was worked out. */
export const evidence = (store: BaseStore): Promise<readonly Evidence[]> =>
  store.sinceWritten('evidence', async () => {
    const { kitchen } = await store.kitchenState();
    return evidenceOf(
      await finishedOf(store),
      (b) => (isTimed(b as LearnedBatch) ? timeOf(b) : undefined),
      kitchen.forgotten,
    );
  });

/** The finished batches that wait for the models of today. */
export const waitingToLearn = (store: BaseStore): Promise<ReadonlySet<string>> =>
  store.sinceWritten(
    'left to learn',
    async () => new Set((await finishedOf(store)).filter((b) => !isTimed(b)).map((b) => b.id)),
  );
export const leftToLearn = async (store: BaseStore): Promise<number> => (await waitingToLearn(store)).size;

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
 * that the notebook holds and the cook has not had forgotten. Nothing is forecast here: while batches wait for the models of today, the factors
 * that were learned before stay, unless what they rest on is to be forgotten.
 * @param change what else is written with it
 * Errors: `too-many-forgotten`, `stale`.
 */
export async function relearn(
  store: BaseStore,
  change: (s: Kitchen['forgotten']) => Kitchen['forgotten'] = (s) => s,
): Promise<Result<true>> {
  for (let tries = 0; tries < TRIES; tries++) {
    const settings = await store.kitchen.readSettings();
    const forgotten = change(settings.value.forgotten);
    if (forgotten.batches.length > MOST_FORGOTTEN)
      return bad(
        problem(
          'too-many-forgotten',
          'forgotten.batches',
          `At most ${MOST_FORGOTTEN} batches can be left out one by one; have all before a day forgotten instead.`,
        ),
      );
    const finished = await finishedOf(store);
    const timed = timedOnly(finished);
    // Half of the evidence teaches less than all of it did by the models of before.
    const waits = timed.length < finished.length && isDeepStrictEqual(forgotten, settings.value.forgotten);
    const next = {
      ...settings.value,
      forgotten,
      timeFactors: waits
        ? settings.value.timeFactors
        : {
            ...learnFromEvidence(evidenceOf(timed, timeOf, forgotten)),
            ...(timed.length < finished.length ? { modelVersion: settings.value.timeFactors.modelVersion } : {}),
          },
      textureOffsets: texturesOf(finished, forgotten),
    };
    if (isDeepStrictEqual(next, settings.value) || (await store.kitchen.saveSettings(settings.revision, next)))
      return good(true);
  }
  return bad(problem('stale', 'revision', 'The kitchen was being changed at the same time; try again.'));
}

/** The time by the models of today of a batch as it was cooked, in the kitchen that it was cooked in, s. Undefined: it cannot be forecast. */
async function timeToday(store: BaseStore, id: string, kitchen: Kitchen): Promise<number | undefined> {
  const batch = await store.batches.get(id);
  if (!batch.ok) return undefined;
  const { snapshot, events } = batch.value;
  const plan = asCooked(snapshot.plan, standing(events));
  // Cooked as it was planned, and by the models of today: it was worked out then.
  if (snapshot.modelVersion === MODEL_VERSION && isDeepStrictEqual(plan, snapshot.plan))
    return snapshot.figures.unlearnedS ?? undefined;
  return store.heavy.run('timeOf', [plan, snapshot.kitchen ?? kitchen]);
}

/** Who works it out was ended, or broke: nothing is known yet. */
const GONE = Symbol('gone');

/**
 * Learns beside the kitchen's work: batches are forecast as they were cooked, one after another, the newest first, until none is left; only then is
 * what they teach taken over. Whoever writes something down waits for none of it.
 */
export function learnerOf(store: BaseStore, wrong: (e: unknown) => void = (e) => console.error('learning', e)) {
  let work: Promise<void> = Promise.resolve();
  let wanted = false;
  let ended = false;
  async function learn(): Promise<void> {
    while (wanted && !ended) {
      wanted = false;
      const tried = new Set<string>();
      for (;;) {
        // Looked up anew each time: a batch may be put right, or come, meanwhile.
        const waits = (await finishedOf(store))
          .filter((b) => !isTimed(b) && !tried.has(b.id))
          .sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1));
        if (waits.length === 0 || ended) break;
        const { kitchen } = await store.kitchenState();
        for (const { id } of waits) {
          if (ended) return;
          tried.add(id);
          const timeS = await timeToday(store, id, kitchen).catch((e: unknown) => {
            if (ended) return GONE;
            wrong(e);
            return e instanceof Broken ? GONE : undefined;
          });
          // It waits for the next time.
          if (timeS === GONE) continue;
          await store.batches.keepModel(id, MODEL_VERSION, timeS);
        }
      }
      if (ended) return;
      const done = await relearn(store);
      if (!done.ok) wanted = true;
    }
  }
  return {
    /** Something was written down that teaches. */
    wake(): void {
      if (wanted || ended) return;
      wanted = true;
      work = work.then(learn).catch((e: unknown) => {
        wanted = false;
        wrong(e);
      });
    },
    /** When all that was written down up to now is learned. */
    settled: (): Promise<void> => work,
    async end(): Promise<void> {
      ended = true;
      await work;
    },
  };
}
export type Learner = ReturnType<typeof learnerOf>;

/** What was learned by older models, or not yet at all, is learned again, once; a kitchen without batches is left as it is. */
export async function relearnIfOld(store: BaseStore & { readonly learner: Learner }): Promise<void> {
  const { value } = await store.kitchen.readSettings();
  const old = value.timeFactors.modelVersion !== MODEL_VERSION && (await store.batches.anyFinished());
  if (old || (await leftToLearn(store)) > 0) store.learner.wake();
}
