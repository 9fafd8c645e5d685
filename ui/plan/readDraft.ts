import { z } from 'zod';
import { readPlan, type Plan } from '@/core/plan';
import { readKept } from '../kit/deviceStore';

export interface PlanDraft {
  /** Names of its sendings whose answer was not heard. */
  readonly unheard: readonly string[];
  /** Revision it was made on. */
  readonly revision: number;
  readonly plan: Plan;
  /** When it was last changed, ms. */
  readonly at: number;
}
const draftSchema = z.object({
  // A draft of an older release knows of none.
  unheard: z.array(z.string()).default([]),
  revision: z.int(),
  plan: z.unknown(),
  at: z.number(),
});

/** A draft as a window kept it; undefined where it is torn, or its plan cannot be read. */
export const readDraft = (raw: string): PlanDraft | undefined =>
  readKept(raw, (kept) => {
    const draft = draftSchema.safeParse(kept);
    const plan = draft.success ? readPlan(draft.data.plan) : undefined;
    return draft.success && plan?.ok ? { ...draft.data, plan: plan.value } : undefined;
  });
