import { z } from 'zod';
import type { Forecast } from '../forecast.types';
import type { Step, WeighOut } from '../steps';
import { planSchema, upgradePlan } from '../plan';
import { MODEL_VERSION } from '../units';
import { logFactorOf } from '../steamSetting';

const stepSchema = z.custom<Step>((v) => typeof v === 'object' && v !== null && 'id' in v && 'sentence' in v);

const weighOutSchema = z.custom<WeighOut>((v) => typeof v === 'object' && v !== null && 'amounts' in v);

/** What was planned when a batch began: the plan itself and the figures it was cooked by. */
export const snapshotSchema = z.object({
  /** As it was when the batch began; one of an older version is upgraded on reading. */
  plan: z.preprocess(upgradePlan, planSchema),
  steamerId: z.string(),
  /** Version of the models it was forecast by; one of before versions were counted is 1. */
  modelVersion: z.int().default(1),
  vesselName: z.string(),
  figures: z.object({
    massG: z.number(),
    hydration: z.number(),
    liquidToDry: z.number(),
    depthM: z.number(),
    saltPct: z.number(),
    firstCleanPickS: z.number().nullable(),
    unlearnedS: z.number().nullable(),
    /** What was not known of the learned factor, one standard deviation of its logarithm. */
    factorSigma: z.number().nullable().default(null),
    checkAtS: z.number().nullable(),
    planForS: z.number().nullable(),
    /** Standing with the fire off, and all of it; a batch begun before they were told apart has neither. */
    standS: z.number().nullable().default(null),
    totalS: z.number().nullable().default(null),
    cutReadyAtS: z.number().nullable(),
    pieces: z.number().nullable(),
  }),
  texture: z.record(z.string(), z.number()),
  allergens: z.array(z.string()),
  /** Steps as they were: a batch begun under an older version keeps its own. */
  steps: z.array(stepSchema),
  weighOut: z.array(weighOutSchema).default([]),
});
export type Snapshot = z.infer<typeof snapshotSchema>;

/** Snapshot of a forecast, for the notebook. */
export function snapshotOf(f: Forecast): Snapshot {
  const { light, heat } = f;
  const times = heat?.steam?.times;
  return {
    plan: light.resolved.plan,
    steamerId: light.resolved.steamer.id,
    modelVersion: MODEL_VERSION,
    vesselName: light.resolved.vessel.name,
    figures: {
      massG: light.balance.massG,
      hydration: light.balance.batters[0].hydration,
      liquidToDry: light.balance.batters[0].liquidToDry,
      depthM: light.fill.depthM,
      saltPct: light.balance.salt.pctOfTotal,
      firstCleanPickS: times?.firstCleanPickS.value ?? null,
      unlearnedS: times?.unlearnedS ?? null,
      factorSigma: logFactorOf(light).sigma,
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
