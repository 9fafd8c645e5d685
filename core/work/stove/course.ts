import type { StampedEvent } from '../notebook';
import { timerOf, type Step } from '../../steps';
import { traitsOf } from '../../flow';
import { isSteaming } from './steaming';

export type StepState =
  | { readonly is: 'to-do' }
  /** Hands are free; the wait runs. */
  | { readonly is: 'waiting'; readonly beganMs: number; readonly forS: number }
  | { readonly is: 'done'; readonly atMs: number; readonly skipped: boolean };

/** Where a cook stands in the work. */
export interface Course {
  readonly states: ReadonlyMap<string, StepState>;
  /** What the hands do now; undefined: all is done. */
  readonly now: Step | undefined;
  readonly next: Step | undefined;
  readonly done: number;
}

/** Operations at which the cook stands while their time runs: as long as a moment of theirs is to come. */
function handsAt(s: Step, state: StepState, nowMs: number): boolean {
  const last = s.timeline?.at(-1)?.atS;
  return (
    state.is === 'waiting' &&
    traitsOf(s.op).stoodAt === true &&
    last !== undefined &&
    nowMs - state.beganMs < last * 1000
  );
}

const ms = (e: StampedEvent): number => Date.parse(e.at);

/**
 * Where a cook stands, by the events that count. A pick that was pushed ends the steaming it was pushed in; a clean one ends the check; one that is
 * not clean makes the check wait.
 * @param checkWaitS seconds that a check which was not clean waits before the next
 */
export function courseOf(
  steps: readonly Step[],
  events: readonly StampedEvent[],
  nowMs: number,
  checkWaitS: number,
): Course {
  const states = statesOf(steps, events, checkWaitS);
  const of = (id: string): StepState => states.get(id) ?? { is: 'to-do' };
  const up = (s: StepState): boolean => s.is === 'waiting' && nowMs - s.beganMs >= s.forS * 1000;
  const open = (step: Step): boolean =>
    step.after.every((id) => {
      const before = of(id);
      // The check is what ends the steaming: it comes when the steam has run, not after somebody has ticked it.
      return before.is === 'done' || (step.op === 'check' && isSteaming(id) && up(before));
    });
  // While a check is due, the steaming it looks into asks for nothing more.
  const due = new Set(steps.filter((s) => s.op === 'check' && open(s)).flatMap((s) => s.after.filter(isSteaming)));
  const todo = steps.filter((s) => {
    const state = of(s.id);
    return state.is === 'to-do' ? open(s) : state.is === 'waiting' && up(state) && !due.has(s.id);
  });
  const waiting = steps
    .flatMap((s) => {
      const state = of(s.id);
      return state.is === 'waiting' && !todo.includes(s) && !due.has(s.id)
        ? [{ step: s, endMs: state.beganMs + state.forS * 1000 }]
        : [];
    })
    .sort((a, b) => a.endMs - b.endMs);
  // Steam first: what is in it cannot wait. Then the work in order; with nothing to do, the wait that ends soonest.
  const hot = todo.filter((s) => s.op === 'check' || isSteaming(s.id));
  const dueNow = hot.find((s) => of(s.id).is === 'waiting' || s.op === 'check');
  const busy = waiting.map((w) => w.step).find((s) => handsAt(s, of(s.id), nowMs));
  const order = [
    ...(dueNow ? [dueNow] : []),
    ...(busy ? [busy] : []),
    ...todo.filter((s) => s !== dueNow),
    ...waiting.flatMap((w) => (w.step === busy ? [] : [w.step])),
  ];
  const now = order[0];
  const after = now ? steps.slice(steps.indexOf(now) + 1).find((s) => of(s.id).is === 'to-do') : undefined;
  return {
    states,
    now,
    next: order.find((s) => s !== now && todo.includes(s)) ?? after,
    done: steps.filter((s) => of(s.id).is === 'done').length,
  };
}

/** What each step has come to. */
function statesOf(
  steps: readonly Step[],
  events: readonly StampedEvent[],
  checkWaitS: number,
): ReadonlyMap<string, StepState> {
  const byId = new Map(steps.map((s) => [s.id, s]));
  const check = steps.find((s) => s.op === 'check');
  const states = new Map<string, StepState>();
  for (const e of events) {
    if (e.kind === 'begun') {
      const step = byId.get(e.stepId);
      if (step) states.set(e.stepId, { is: 'waiting', beganMs: ms(e), forS: timerOf(step) });
    } else if (e.kind === 'ticked') {
      if (e.done) states.set(e.stepId, { is: 'done', atMs: ms(e), skipped: e.skipped === true });
      else states.delete(e.stepId);
    } else if (e.kind === 'checked' && check && !steps.some((s) => s.op === 'fill')) {
      for (const id of check.after)
        if (isSteaming(id) && states.get(id)?.is !== 'done')
          states.set(id, { is: 'done', atMs: ms(e), skipped: false });
      states.set(
        check.id,
        e.state === 'clean'
          ? { is: 'done', atMs: ms(e), skipped: false }
          : { is: 'waiting', beganMs: ms(e), forS: checkWaitS },
      );
    }
  }
  return states;
}
