import type { Plan } from '@/core/plan';
import { freshId, Refused, request, sentenceOf, type Preview, type TryOn } from '../kit';
import {
  isUnsaved,
  reduce,
  shownOf,
  stateOf,
  together,
  type DocumentEvent,
  type DocumentState,
  type StoredPlanDoc,
} from './documentState';
import { dropDraft, keepDraft, leftDrafts, ownDraft, sayOpen, type LeftDraft } from './drafts';

const SETTLE_MS = 450;
const AGAIN_MS = 4000;

/** What this window last knew to be in the kitchen of each plan: a page taken from the browser's memory may be older. */
const lastKnown = new Map<string, StoredPlanDoc>();
const newest = (stored: StoredPlanDoc): StoredPlanDoc => {
  const known = lastKnown.get(stored.id);
  return known && known.revision > stored.revision ? known : stored;
};

/** What is there instead, where a save was stale; undefined where it is none that can be read. */
function currentIn(e: unknown): StoredPlanDoc | undefined {
  if (!(e instanceof Refused) || e.status !== 409) return undefined;
  const { current } = e.body as { current: StoredPlanDoc & { raw?: string } };
  return current.raw === undefined ? current : undefined;
}

/**
 * The plan being edited: every change is undoable, kept on this device at once, and saved shortly after over the revision it was made on. A
 * newer revision is taken in where nothing is unsaved; where something is, a stale revision stops saving and offers both versions.
 */
export function planDocument(stored: StoredPlanDoc) {
  const { id } = stored;
  let state = stateOf(newest(stored));
  const listeners = new Set<() => void>();
  let inFlight: Promise<boolean> | undefined;
  /** The page that shows it, none: 0. */
  let shownBy = 0;
  let pages = 0;
  let settling: ReturnType<typeof setTimeout> | undefined;
  let again: ReturnType<typeof setInterval> | undefined;

  function apply(e: DocumentEvent): void {
    const before = state;
    state = reduce(before, e);
    if (state === before) return;
    if (state.base !== before.base && state.baseIsKnown) lastKnown.set(id, state.base);
    if (shownBy > 0) follow(before);
    listeners.forEach((l) => l());
  }
  /** What is to be kept, sent, or sent again, as it now stands. */
  function follow(before: DocumentState): void {
    const changed =
      shownOf(state) !== shownOf(before) ||
      state.history.present !== before.history.present ||
      state.base.plan !== before.base.plan ||
      (state.save === 'stale') !== (before.save === 'stale');
    if (changed) keepAndSettle();
    if ((state.save === 'waiting') !== (before.save === 'waiting')) tryAgain();
  }
  function keepAndSettle(): void {
    clearTimeout(settling);
    if (shownOf(state) === state.base.plan) return;
    keep(shownOf(state));
    if (isUnsaved(state) && state.save !== 'stale') settling = setTimeout(() => void save(), SETTLE_MS);
  }
  function tryAgain(): void {
    clearInterval(again);
    if (state.save === 'waiting') again = setInterval(() => void save(), AGAIN_MS);
  }
  const keep = (plan: Plan) =>
    keepDraft(id, { unheard: state.unheard, revision: state.base.revision, plan, at: Date.now() });

  /** Sends until all is saved; what is edited meanwhile goes along. */
  async function sendAll(): Promise<void> {
    while (isUnsaved(state)) {
      const sending = state.history.present;
      const before = state.unheard;
      const writer = freshId();
      apply({ type: 'sending', writer });
      // The name is kept before it is sent: a reload in between still knows its own.
      if (!state.history.preview) keep(sending);
      const done = await request<StoredPlanDoc>(`/api/plans/${id}`, 'PUT', {
        revision: state.base.revision,
        plan: sending,
        writer,
        unheard: before,
      });
      apply({ type: 'written', doc: { id, revision: done.revision, plan: sending } });
    }
  }
  /** The same, taking in what others changed beside it. */
  async function sendTogether(): Promise<void> {
    for (;;) {
      try {
        await sendAll();
        return;
      } catch (e) {
        const current = currentIn(e);
        const both = current && together(state, current, 'mine');
        if (!both || both.clashes.length > 0) throw e;
        apply({ type: 'beside', doc: current, plan: both.plan, at: Date.now() });
      }
    }
  }
  async function saveNow(): Promise<boolean> {
    try {
      await sendTogether();
      if (!state.history.preview) dropDraft(id);
      apply({ type: 'all-written' });
      return true;
    } catch (e) {
      const theirs = currentIn(e);
      if (theirs) apply({ type: 'stale', theirs });
      else if (e instanceof Refused && e.status < 500) apply({ type: 'refused', why: e.message });
      else
        apply({
          type: 'waits',
          why: `Not saved yet: ${sentenceOf(e, 'the kitchen does not answer.')} Your changes are kept on this device and will be saved when it can be done.`,
        });
      return false;
    }
  }
  /** Saves what is unsaved, and answers whether all is; a save under way takes later edits along. */
  const save = (): Promise<boolean> =>
    (inFlight ??= saveNow().finally(() => {
      inFlight = undefined;
    }));

  /** What this window had not saved when it was loaded anew goes on where it was; what others left is offered. */
  function takeUp(isOpen: () => boolean): void {
    void ownDraft(id)?.then((draft) => {
      if (!draft || !isOpen()) return;
      const untouched = !isUnsaved(state);
      apply({ type: 'took-up', draft, at: Date.now() });
      if (untouched && !isUnsaved(state)) dropDraft(id);
    });
    void leftDrafts(id).then((drafts) => {
      if (isOpen() && drafts.length > 0) apply({ type: 'found-left', drafts });
    });
  }

  let previewing = false;
  return {
    state: () => state,
    subscribe: (l: () => void) => {
      listeners.add(l);
      return () => void listeners.delete(l);
    },
    /** A page shows it, until what is answered is called: what is unsaved is then saved. */
    open: (): (() => void) => {
      const mine = (shownBy = ++pages);
      const silent = sayOpen();
      keepAndSettle();
      tryAgain();
      takeUp(() => shownBy === mine);
      const leave = () => {
        if (document.visibilityState === 'hidden' && isUnsaved(state)) void save();
      };
      document.addEventListener('visibilitychange', leave);
      return () => {
        document.removeEventListener('visibilitychange', leave);
        silent();
        clearTimeout(settling);
        clearInterval(again);
        shownBy = 0;
        if (isUnsaved(state)) void save();
      };
    },
    /** What the kitchen has now, where it is newer. */
    heard: (doc: StoredPlanDoc) => {
      if (!inFlight) apply({ type: 'heard', doc });
    },
    edit: (key: string, change: (p: Plan) => Plan) => {
      const plan = change(state.history.present);
      apply(previewing ? { type: 'preview', plan } : { type: 'edit', plan, key, at: Date.now() });
    },
    half: {
      show: (change: () => void) => {
        previewing = true;
        try {
          change();
        } finally {
          previewing = false;
        }
      },
      drop: () => apply({ type: 'drop' }),
    } satisfies Preview,
    tryOn: {
      show: (change: (p: Plan) => Plan) => apply({ type: 'try', plan: change(state.history.present) }),
      drop: () => apply({ type: 'try', plan: undefined }),
    } satisfies TryOn,
    settle: (which: 'mine' | 'theirs') => {
      if (!state.theirs) return;
      apply({ type: 'chose', which, at: Date.now() });
      if (state.save === 'saved') dropDraft(id);
      else void save();
    },
    takeLeft: (draft: LeftDraft, take: boolean) => {
      apply({ type: 'left-taken', draft, take, at: Date.now() });
      dropDraft(id, draft.key);
    },
    save,
    undo: () => apply({ type: 'undo' }),
    redo: () => apply({ type: 'redo' }),
  };
}
