import { z } from 'zod';
import type { Forecast } from '../../forecast/forecast.types';
import { BATCH_SIGMA, kitchenSchema } from '../../kitchen';
import { planSchema, problemsOf, upgradePlan } from '../../plan';
import { bad, good, MODEL_VERSION, problem, type Result, there } from '../../units';
import { kitchenFor } from './kitchenFor';
import { stepsSchema, weighOutSchema } from './stepSchema';
import { overWater } from '../../stations/steam';

/** Version of the form in which snapshots are kept. */
export const SNAPSHOT_VERSION = 4;

/** What was planned when a batch began: the plan itself and the figures it was cooked by. */
const snapshotSchema = z.object({
  version: z.literal(SNAPSHOT_VERSION),
  /** As it was when the batch began; one of an older version is upgraded on reading. */
  plan: planSchema,
  steamerId: z.string(),
  /** What of the kitchen it was begun in; null for a batch begun before that was kept. */
  kitchen: kitchenSchema.nullable(),
  /** Version of the models it was forecast by. */
  modelVersion: z.int(),
  vesselName: z.string(),
  figures: z.object({
    massG: z.number(),
    hydration: z.number(),
    liquidToDry: z.number(),
    depthM: z.number(),
    saltPct: z.number(),
    firstCleanPickS: z.number().nullable(),
    unlearnedS: z.number().nullable(),
    /** What was not known of when it is clean, one standard deviation of its logarithm. */
    cleanSigma: z.number().nullable(),
    checkAtS: z.number().nullable(),
    planForS: z.number().nullable(),
    /** Standing with the fire off, and all of it; a batch begun before they were told apart has neither. */
    standS: z.number().nullable(),
    totalS: z.number().nullable(),
    cutReadyAtS: z.number().nullable(),
    pieces: z.number().nullable(),
  }),
  texture: z.record(z.string(), z.number()),
  allergens: z.array(z.string()),
  /** Steps as they were: a batch begun under an older version keeps its own. */
  steps: stepsSchema,
  weighOut: weighOutSchema,
});
export type Snapshot = z.infer<typeof snapshotSchema>;

type Doc = Record<string, unknown>;
/** Version 1 grew as it was written: what later ones added is filled in as not known, and its models are those of before they were counted. */
const fromVersion1 = (doc: Doc): Doc => ({
  modelVersion: 1,
  weighOut: [],
  ...doc,
  version: 2,
  figures: { factorSigma: null, standS: null, totalS: null, ...(doc.figures as Doc) },
});
/** Version 2 kept no kitchen, and answers as bare words. */
const fromVersion2 = (doc: Doc): Doc => ({
  kitchen: null,
  ...doc,
  version: 3,
  steps: Array.isArray(doc.steps) ? doc.steps.map(withSaidAnswers) : doc.steps,
});
function withSaidAnswers(step: unknown): unknown {
  if (typeof step !== 'object' || step === null || !('answers' in step) || !Array.isArray(step.answers)) return step;
  return {
    ...step,
    answers: step.answers.map((a: unknown) => (typeof a === 'string' ? { kind: 'say', words: a } : a)),
  };
}
/** Version 3 knew the factor's spread alone. */
function fromVersion3(doc: Doc): Doc {
  const { factorSigma, ...figures } = doc.figures as Doc;
  const cleanSigma = typeof factorSigma === 'number' ? Math.hypot(factorSigma, BATCH_SIGMA) : null;
  return { ...doc, version: 4, figures: { cleanSigma, ...figures } };
}
const UPGRADES: Readonly<Record<number, (doc: Doc) => Doc>> = { 1: fromVersion1, 2: fromVersion2, 3: fromVersion3 };

/**
 * Reads a snapshot from anything: upgrades an older version and the plan in it, then validates.
 * Errors: `not-a-snapshot`, `newer-version`, else one per field.
 */
export function readSnapshot(doc: unknown): Result<Snapshot> {
  if (typeof doc !== 'object' || doc === null || Array.isArray(doc))
    return bad(problem('not-a-snapshot', '', 'What was planned is not in the notebook in a form that can be read.'));
  let current: Doc = { version: 1, ...doc };
  for (;;) {
    const upgrade =
      typeof current.version === 'number' && current.version < SNAPSHOT_VERSION ? UPGRADES[current.version] : undefined;
    if (!upgrade) break;
    current = upgrade(current);
  }
  if (typeof current.version === 'number' && current.version > SNAPSHOT_VERSION)
    return bad(
      problem(
        'newer-version',
        'version',
        'This batch was written down by a newer Idle Ladle; update this one to read it.',
      ),
    );
  const parsed = snapshotSchema.safeParse({ ...current, plan: upgradePlan(current.plan) });
  return parsed.success ? good(parsed.data) : bad(...problemsOf(parsed.error));
}

/** Snapshot of a forecast, for the notebook. */
export function snapshotOf(f: Forecast): Snapshot {
  const { light, heat } = f;
  const times = overWater(heat)?.times;
  return {
    version: SNAPSHOT_VERSION,
    plan: light.resolved.document,
    steamerId: light.resolved.steamer.id,
    kitchen: kitchenFor(light.resolved),
    modelVersion: MODEL_VERSION,
    vesselName: light.resolved.vessel.name,
    figures: {
      massG: light.balance.massG,
      hydration: there(light.balance.batters[0]).hydration,
      liquidToDry: there(light.balance.batters[0]).liquidToDry,
      depthM: light.fill.depthM,
      saltPct: light.balance.salt.pctOfTotal,
      firstCleanPickS: times?.firstCleanPickS.value ?? null,
      unlearnedS: times?.unlearnedS ?? null,
      cleanSigma: overWater(heat)?.spread?.sigma ?? null,
      checkAtS: times?.checkAtS ?? null,
      planForS: times?.planForS ?? null,
      standS: times?.standS ?? null,
      totalS: times?.totalS ?? null,
      cutReadyAtS: heat?.rest?.cutReadyAtS ?? null,
      pieces: light.cut?.count ?? null,
    },
    texture: { ...light.texture },
    allergens: [...light.balance.allergens],
    steps: [...f.steps],
    weighOut: [...f.weighOut],
  };
}
