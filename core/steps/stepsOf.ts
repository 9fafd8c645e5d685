import { CAUTIONS } from './cautions.data';
import { numberSteps, type StepContext, type StepDraft } from './context';
import { HEAT_STEPS } from './heatSteps';
import { MIX_STEPS } from './mixSteps';
import type { Step } from './step';
import type { SchoolQuestion } from '../plan';

const BUILDERS = { ...MIX_STEPS, ...HEAT_STEPS };

/** The step list of a plan for its schools, with this plan's grams and the models' waiting times. */
export function stepsOf(ctx: StepContext): readonly Step[] {
  const { family, resolved } = ctx.light;
  const schools = {
    ...Object.fromEntries(Object.entries(family.schools).map(([q, s]) => [q, s.usual])),
    ...resolved.plan.schools,
  } as Partial<Record<SchoolQuestion, string>>;
  const drafts: (StepDraft & { key: string })[] = [];
  for (const key of family.outline(schools)) {
    const built = BUILDERS[key]?.(ctx);
    if (!built) continue;
    for (const draft of Array.isArray(built) ? (built as readonly StepDraft[]) : [built as StepDraft])
      drafts.push({ ...draft, key });
  }
  return numberSteps(drafts, CAUTIONS);
}

/** Hands-on and waiting seconds of a step list done one after another. */
export const totalsOf = (steps: readonly Step[]) => ({
  handsOnS: steps.reduce((s, x) => s + x.handsOnS, 0),
  waitS: steps.reduce((s, x) => s + x.waitS, 0),
});

/** Every caution of a family once, for the whole plan. */
export const cautionsOf = (ids: readonly string[]): readonly string[] =>
  ids.map((id) => CAUTIONS[id]).filter((c): c is string => c !== undefined);
