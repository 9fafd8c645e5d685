import { produce } from 'immer';
import type { CoolingStage, Plan } from '@/core/plan';
import { changeAt } from './changeAt';

/** The plan with a part of one cooling stage changed; a stage that is not there any more is left alone. */
export const changeStage = (plan: Plan, i: number, part: Partial<CoolingStage>): Plan =>
  produce(plan, (p) => changeAt(p.cooling, i, part));
