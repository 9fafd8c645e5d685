import { isSoaked, type Larder } from '../larder';
import type { Line, Plan } from '../plan';
import { operationOf, traitsOf } from './operations';

/**
 * The plan with a step's wait set, or as usual again. The minutes of what is done to one line are kept with the line; a wait written at its step
 * gives way.
 * @param node of the flow, `operation:line or batter` @param timeS undefined: as usual
 */
export function withWait(plan: Plan, node: string, timeS: number | undefined, larder: Larder): Plan {
  const op = operationOf(node);
  const about = node.slice(node.indexOf(':') + 1);
  const { [node]: _gone, ...waits } = plan.waits;
  const own = traitsOf(op).ofLine
    ? [...plan.batters, ...plan.fillings]
        .flatMap((x) => x.lines)
        .concat(plan.addIns)
        .find((l) => l.id === about)
    : undefined;
  if (!own) return { ...plan, waits: timeS === undefined ? waits : { ...waits, [node]: timeS } };
  const ingredient = larder.get(own.ingredient);
  // A dried thing soaks first; its other minutes are those of what is done to it then.
  const field = op === 'soak' && ingredient && isSoaked(ingredient) ? 'soakS' : 'drawS';
  const timed = (lines: readonly Line[]): Line[] => lines.map((l) => (l.id === about ? { ...l, [field]: timeS } : l));
  return {
    ...plan,
    waits,
    addIns: timed(plan.addIns),
    fillings: plan.fillings.map((f) => ({ ...f, lines: timed(f.lines) })),
    batters: plan.batters.map((b) => ({ ...b, lines: timed(b.lines) })),
  };
}
