import type { StampedEvent } from '../notebook';
import type { Plan } from '../../plan';
import { asCooked } from './asCooked';
import { countsWait } from './cutShort';
import { operationOf } from '../../flow';

/**
 * A plan changed to what was done: grams as they went in, heat as it was turned, waits as they were. What was only found out of these things (a
 * radish's juice, a temperature, a depth) belongs to the batch, not to the plan.
 * @param events those that count
 */
export function whatIDid(plan: Plan, events: readonly StampedEvent[]): Plan {
  const done = asCooked(
    plan,
    events.filter((e) => e.kind !== 'read' || operationOf(e.stepId) === 'cool'),
  );
  const waits = { ...done.waits };
  for (const e of events)
    if (e.kind === 'read' && e.slot === 'waitedS' && countsWait(e.stepId) && operationOf(e.stepId) !== 'cool')
      waits[e.stepId] = e.value;
  return Object.keys(waits).length === Object.keys(done.waits).length &&
    Object.entries(waits).every(([k, v]) => done.waits[k] === v)
    ? done
    : { ...done, waits };
}
