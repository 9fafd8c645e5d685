import equal from 'fast-deep-equal';
import { applyPatches, enablePatches, produceWithPatches, type Draft, type Patch } from 'immer';
import type { Plan } from '@/core/plan';

enablePatches();

interface Step {
  readonly forth: readonly Patch[];
  readonly back: readonly Patch[];
}
/** A plan with the way back and forth: steps are patches, not copies. */
export interface History {
  readonly past: readonly Step[];
  readonly present: Plan;
  readonly future: readonly Step[];
  /** What is half typed or half dragged: shown, and in no step. */
  readonly preview: Plan | undefined;
  /** The last step's own name and time, ms, and the plan it began from: a step of the same name soon after belongs to it. */
  readonly last: { readonly key: string; readonly at: number; readonly from: Plan } | undefined;
}
export type Action =
  | { readonly type: 'edit'; readonly plan: Plan; readonly key: string; readonly at: number }
  | { readonly type: 'preview'; readonly plan: Plan }
  | { readonly type: 'drop' }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' }
  | { readonly type: 'adopt'; readonly plan: Plan };

const MERGE_MS = 900;
const DEPTH = 500;

export const historyOf = (plan: Plan): History => ({
  past: [],
  present: plan,
  future: [],
  preview: undefined,
  last: undefined,
});

type Doc = Record<string, unknown>;
const isDoc = (x: unknown): x is Doc => typeof x === 'object' && x !== null && !Array.isArray(x);

/** Brings a draft to say what `next` says, touching only what differs, so that the patches are small. */
function bring(draft: Doc, next: Doc): void {
  for (const key of Object.keys(draft)) if (!(key in next)) delete draft[key];
  for (const [key, value] of Object.entries(next)) {
    const was = draft[key];
    if (equal(was, value)) continue;
    if (isDoc(was) && isDoc(value)) bring(was, value);
    else if (Array.isArray(was) && Array.isArray(value)) bringList(was, value);
    else draft[key] = value;
  }
}
function bringList(draft: unknown[], next: readonly unknown[]): void {
  draft.length = Math.min(draft.length, next.length);
  next.forEach((value, i) => {
    const was = draft[i];
    if (i < draft.length && equal(was, value)) return;
    if (isDoc(was) && isDoc(value)) bring(was, value);
    else draft[i] = value;
  });
}

/** The step from one plan to another. */
export function stepBetween(from: Plan, to: Plan): Step {
  const [, forth, back] = produceWithPatches(from, (draft: Draft<Plan>) =>
    bring(draft as unknown as Doc, to as unknown as Doc),
  );
  return { forth, back };
}
const apply = (plan: Plan, patches: readonly Patch[]): Plan => applyPatches(plan, [...patches]);

/** One change of the history; a plan that says the same is no step. */
export function reduce(h: History, a: Action): History {
  switch (a.type) {
    case 'edit': {
      if (equal(a.plan, h.present)) return h.preview ? { ...h, preview: undefined } : h;
      const merge = h.last !== undefined && a.key !== '' && a.key === h.last.key && a.at - h.last.at < MERGE_MS;
      const from = merge && h.last ? h.last.from : h.present;
      const past = merge ? h.past.slice(0, -1) : h.past.slice(-DEPTH);
      return {
        past: [...past, stepBetween(from, a.plan)],
        present: a.plan,
        future: [],
        preview: undefined,
        last: { key: a.key, at: a.at, from },
      };
    }
    case 'preview':
      return { ...h, preview: a.plan };
    case 'drop':
      return h.preview ? { ...h, preview: undefined } : h;
    case 'undo': {
      const step = h.past.at(-1);
      if (!step) return { ...h, preview: undefined };
      return {
        past: h.past.slice(0, -1),
        present: apply(h.present, step.back),
        future: [step, ...h.future],
        preview: undefined,
        last: undefined,
      };
    }
    case 'redo': {
      const [step, ...future] = h.future;
      if (!step) return { ...h, preview: undefined };
      return {
        past: [...h.past, step],
        present: apply(h.present, step.forth),
        future,
        preview: undefined,
        last: undefined,
      };
    }
    case 'adopt':
      // Another window's plan: the steps of this one lead nowhere from there.
      return historyOf(a.plan);
  }
}
