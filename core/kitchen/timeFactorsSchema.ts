import { z } from 'zod';
import { MODEL_VERSION } from '../units';
import { EFFECT_KINDS } from './kinds';

/**
 * What was learned of times: the mean of each effect, of the logarithm of the factor on the model's time, and how they hang together
 * (lower triangle of their covariance, row after row). Effects that are not listed are as they were before anything was known.
 */
export const timeFactorsSchema = z.object({
  /** Version of the models that the times were compared with; another's are not used. */
  modelVersion: z.int().default(MODEL_VERSION),
  effects: z
    .array(
      z.object({ kind: z.enum(EFFECT_KINDS), key: z.string().max(400), mean: z.number(), batches: z.int().min(0) }),
    )
    .max(400)
    .default([]),
  covariance: z.array(z.number()).max(90_000).default([]),
});
export type TimeFactors = z.infer<typeof timeFactorsSchema>;
