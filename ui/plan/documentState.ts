import equal from 'fast-deep-equal';
import type { Plan } from '@/core/plan';
import { mergePlans } from '@/core/plan/mergePlans';
import type { LeftDraft } from './drafts';
import { historyOf, reduce as step, type Action, type History } from './history';
import type { PlanDraft } from './readDraft';

export interface StoredPlanDoc {
  readonly id: string;
  readonly revision: number;
  readonly plan: Plan;
}
export type SaveState = 'saved' | 'typing' | 'saving' | 'waiting' | 'stale' | 'refused';

const BOTH_KEPT = 'This plan was changed elsewhere too. What did not touch is kept of both.';
/** So many sendings whose answer was not heard are remembered. */
const MOST_UNHEARD = 20;

/** All that is known of a plan that is being edited. */
export interface DocumentState {
  readonly history: History;
  /** A change that is tried on. */
  readonly tried: Plan | undefined;
  /** The revision that the next save goes over, and the plan of it. */
  readonly base: StoredPlanDoc;
  /** True where that plan is of that revision: what was left by a window that is gone may be of an earlier one. */
  readonly baseIsKnown: boolean;
  /** Names of the sendings whose answer was not heard. */
  readonly unheard: readonly string[];
  readonly save: Exclude<SaveState, 'typing'>;
  /** Another's version, while the cook has not chosen. */
  readonly theirs: StoredPlanDoc | undefined;
  readonly trouble: string | undefined;
  /** What became of a change of somebody else’s, in a sentence. */
  readonly note: string | undefined;
  /** What windows that are gone have left. */
  readonly left: readonly LeftDraft[];
}

export type DocumentEvent =
  | Exclude<Action, { readonly type: 'adopt' }>
  | { readonly type: 'try'; readonly plan: Plan | undefined }
  /** What this window had not saved when it was loaded anew. */
  | { readonly type: 'took-up'; readonly draft: PlanDraft; readonly at: number }
  | { readonly type: 'found-left'; readonly drafts: readonly LeftDraft[] }
  | { readonly type: 'left-taken'; readonly draft: LeftDraft; readonly take: boolean; readonly at: number }
  /** The kitchen has a newer one. */
  | { readonly type: 'heard'; readonly doc: StoredPlanDoc }
  /** What is unsaved is sent under a name. */
  | { readonly type: 'sending'; readonly writer: string }
  | { readonly type: 'written'; readonly doc: StoredPlanDoc }
  | { readonly type: 'all-written' }
  /** Another's change is taken in beside this window's own. */
  | { readonly type: 'beside'; readonly doc: StoredPlanDoc; readonly plan: Plan; readonly at: number }
  | { readonly type: 'stale'; readonly theirs: StoredPlanDoc }
  | { readonly type: 'refused' | 'waits'; readonly why: string }
  | { readonly type: 'chose'; readonly which: 'mine' | 'theirs'; readonly at: number };

export const stateOf = (stored: StoredPlanDoc): DocumentState => ({
  history: historyOf(stored.plan),
  tried: undefined,
  base: stored,
  baseIsKnown: true,
  unheard: [],
  save: 'saved',
  theirs: undefined,
  trouble: undefined,
  note: undefined,
  left: [],
});

export const isUnsaved = (s: DocumentState): boolean => s.history.present !== s.base.plan;
export const shownOf = (s: DocumentState): Plan => s.history.preview ?? s.history.present;

/** Another's plan with this window's own change, as far as they do not touch, or as the cook has chosen; undefined where nobody knows what it was made on. */
export const together = (s: DocumentState, other: StoredPlanDoc, prefer: 'mine' | 'theirs') =>
  s.baseIsKnown ? mergePlans(s.base.plan, s.history.present, other.plan, prefer) : undefined;

const known = (s: DocumentState, base: StoredPlanDoc): DocumentState => ({ ...s, base, baseIsKnown: true });
const edited = (s: DocumentState, plan: Plan, at: number): DocumentState => ({
  ...s,
  history: step(s.history, { type: 'edit', plan, key: '', at }),
});
/** On from another's plan with what this window makes of it: a step like any other, so that undo brings its own back. */
const onWith = (s: DocumentState, doc: StoredPlanDoc, plan: Plan, at: number): DocumentState => {
  const next = edited(known(s, doc), plan, at);
  return { ...next, history: { ...next.history, present: plan, preview: undefined } };
};

/** What becomes of a plan that is being edited. */
export function reduce(s: DocumentState, e: DocumentEvent): DocumentState {
  switch (e.type) {
    case 'edit':
    case 'preview':
      return { ...s, tried: undefined, history: step(s.history, e) };
    case 'drop':
    case 'undo':
    case 'redo': {
      const history = step(s.history, e);
      return history === s.history ? s : { ...s, history };
    }
    case 'try':
      return s.tried === e.plan ? s : { ...s, tried: e.plan };
    case 'took-up': {
      const { draft } = e;
      if (isUnsaved(s))
        // What was changed while it was being read is no less the cook's own: then the draft is offered beside it.
        return equal(draft.plan, s.base.plan)
          ? s
          : { ...s, left: [{ ...draft, key: `${s.base.id}/taken-up` }, ...s.left] };
      const so = { ...s, unheard: draft.unheard };
      if (equal(draft.plan, s.base.plan)) return so;
      const baseIsKnown = draft.revision === s.base.revision;
      return edited({ ...so, baseIsKnown, base: { ...s.base, revision: draft.revision } }, draft.plan, e.at);
    }
    case 'found-left':
      return { ...s, left: [...s.left, ...e.drafts] };
    case 'left-taken': {
      const left = s.left.filter((d) => d.key !== e.draft.key);
      return e.take ? edited({ ...s, left, tried: undefined }, e.draft.plan, e.at) : { ...s, left };
    }
    case 'heard':
      if (e.doc.revision <= s.base.revision || isUnsaved(s) || s.history.preview) return s;
      return equal(e.doc.plan, s.base.plan)
        ? known(s, { ...e.doc, plan: s.base.plan })
        : { ...known(s, e.doc), history: step(s.history, { type: 'adopt', plan: e.doc.plan }) };
    case 'sending':
      return { ...s, save: 'saving', unheard: [...s.unheard, e.writer].slice(-MOST_UNHEARD) };
    case 'written':
      return { ...known(s, e.doc), unheard: [], trouble: undefined };
    case 'all-written':
      return { ...s, save: 'saved' };
    case 'beside':
      return { ...onWith(s, e.doc, e.plan, e.at), note: BOTH_KEPT };
    case 'stale':
      return { ...s, save: 'stale', theirs: e.theirs };
    case 'refused':
      return { ...s, save: 'refused', trouble: e.why };
    case 'waits':
      return { ...s, save: 'waiting', trouble: e.why };
    case 'chose': {
      const { theirs } = s;
      if (!theirs) return s;
      const settled: DocumentState = { ...s, theirs: undefined, save: 'waiting' };
      const both = together(s, theirs, e.which);
      if (both) return onWith(settled, theirs, both.plan, e.at);
      return e.which === 'mine'
        ? known(settled, theirs)
        : { ...onWith(settled, theirs, theirs.plan, e.at), save: 'saved' };
    }
  }
}
