import { scaleG, type Step, type StepAmount } from '@/core/steps';
import type { StampedEvent } from '@/core/work/notebook';
import type { Act } from './useAct';
import { useWeighIn } from './useScale';

/** What comes next onto the scale at this step, and how it stands. */
export function useStepWeighing(
  step: Step,
  toWeigh: StepAmount | undefined,
  events: readonly StampedEvent[],
  nowMs: number,
  act: Act,
) {
  const weighed = events.findLast((e) => e.kind === 'line-weighed' && e.stepId === step.id && e.grossG !== undefined);
  return useWeighIn(
    toWeigh?.line === undefined
      ? undefined
      : {
          stepId: step.id,
          line: toWeigh.line,
          targetG: scaleG(toWeigh),
          eachG: toWeigh.massG / scaleG(toWeigh),
          last:
            weighed?.kind === 'line-weighed' && weighed.grossG !== undefined
              ? { key: weighed.key, grossG: weighed.grossG }
              : undefined,
        },
    nowMs,
    act,
  );
}
