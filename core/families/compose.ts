import type { PlanInput } from '../plan';

/** A shipped formula as it would be written in a file. */
export const formulaPlan = (
  family: string,
  name: string,
  rest: Omit<PlanInput, 'format' | 'version' | 'name' | 'family'>,
): PlanInput => ({ format: 'idle-ladle/plan', version: 2, name, family, ...rest });

export const g = (
  ingredient: string,
  massG: number,
  more: Partial<PlanInput['addIns'] extends (infer L)[] | undefined ? L : never> = {},
) => ({ ingredient, massG, ...more });
