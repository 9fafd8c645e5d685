import { planSchema, type Plan } from '../plan';
import type { z } from 'zod';

type PlanInput = z.input<typeof planSchema>;

/** A shipped formula as a whole plan document; defaults filled in by the schema. */
export const formulaPlan = (
  family: string,
  name: string,
  rest: Omit<PlanInput, 'format' | 'version' | 'name' | 'family'>,
): Plan => planSchema.parse({ format: 'idle-ladle/plan', version: 2, name, family, ...rest });

export const g = (
  ingredient: string,
  massG: number,
  more: Partial<PlanInput['addIns'] extends (infer L)[] | undefined ? L : never> = {},
) => ({ ingredient, massG, ...more });
