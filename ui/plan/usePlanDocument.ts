'use client';
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react';
import { readPlan, type Plan } from '@/core/plan';
import { Refused, request } from '../kit';

export interface StoredPlanDoc {
  readonly id: string;
  readonly revision: number;
  readonly plan: Plan;
}
export type SaveState = 'saved' | 'saving' | 'waiting' | 'stale' | 'refused';

interface History {
  readonly past: readonly Plan[];
  readonly present: Plan;
  readonly future: readonly Plan[];
  readonly key: string;
  readonly at: number;
}
type Action =
  | { type: 'edit'; plan: Plan; key: string; at: number }
  | { type: 'undo' }
  | { type: 'redo' }
  | { type: 'replace'; plan: Plan };

const MERGE_MS = 900;
const DEPTH = 200;

function reduce(h: History, a: Action): History {
  switch (a.type) {
    case 'edit': {
      const merge = a.key === h.key && a.at - h.at < MERGE_MS;
      return {
        past: merge ? h.past : [...h.past.slice(-DEPTH), h.present],
        present: a.plan,
        future: [],
        key: a.key,
        at: a.at,
      };
    }
    case 'undo':
      return h.past.length === 0
        ? h
        : {
            past: h.past.slice(0, -1),
            present: h.past[h.past.length - 1],
            future: [h.present, ...h.future],
            key: '',
            at: 0,
          };
    case 'redo':
      return h.future.length === 0
        ? h
        : { past: [...h.past, h.present], present: h.future[0], future: h.future.slice(1), key: '', at: 0 };
    case 'replace':
      return { past: [...h.past, h.present], present: a.plan, future: [], key: '', at: 0 };
  }
}

const draftKey = (id: string) => `idle-ladle/draft/${id}`;

interface Draft {
  readonly revision: number;
  readonly plan: Plan;
  /** True where the kitchen has it under this revision. */
  readonly saved: boolean;
}

/** What a window left on this device: a draft it could not save before it closed, or the last one it saved. */
function readDraft(id: string): Draft | undefined {
  try {
    const raw = localStorage.getItem(draftKey(id));
    if (!raw) return undefined;
    const draft = JSON.parse(raw) as { revision: number; plan: unknown; saved?: boolean };
    const plan = readPlan(draft.plan);
    return plan.ok ? { revision: draft.revision, plan: plan.value, saved: draft.saved === true } : undefined;
  } catch {
    return undefined;
  }
}

function keepDraft(id: string, draft: Draft): void {
  try {
    localStorage.setItem(draftKey(id), JSON.stringify(draft));
  } catch {
    /* storage full or barred: the server copy is still made */
  }
}

/**
 * The plan being edited: every change is undoable, kept on this device at once, and saved shortly after over the revision it was made on.
 * A stale revision stops saving and offers both versions.
 */
export function usePlanDocument(stored: StoredPlanDoc) {
  const [history, dispatch] = useReducer(reduce, { past: [], present: stored.plan, future: [], key: '', at: 0 });
  const [saveState, setSaveState] = useState<SaveState>('saved');
  const [theirs, setTheirs] = useState<StoredPlanDoc | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const revision = useRef(stored.revision);
  const lastSaved = useRef(stored.plan);
  const [savedPlan, setSavedPlan] = useState(stored.plan);
  const inFlight = useRef<Promise<void> | undefined>(undefined);
  const plan = history.present;
  const latest = useRef(plan);
  useEffect(() => {
    latest.current = plan;
  }, [plan]);

  useEffect(() => {
    const draft = readDraft(stored.id);
    if (!draft || JSON.stringify(draft.plan) === JSON.stringify(stored.plan)) return;
    // Saved under an older revision than this page shows: the page is the newer one.
    // (Saved under a newer one: the page was made while the last save was under way.)
    if (draft.saved && draft.revision <= stored.revision) return;
    revision.current = draft.revision;
    dispatch({ type: 'replace', plan: draft.plan });
  }, [stored]);

  const saveNow = useCallback(async () => {
    try {
      while (latest.current !== lastSaved.current) {
        const sending = latest.current;
        setSaveState('saving');
        const done = await request<StoredPlanDoc>(`/api/plans/${stored.id}`, 'PUT', {
          revision: revision.current,
          plan: sending,
        });
        revision.current = done.revision;
        lastSaved.current = sending;
        setSavedPlan(sending);
        setTrouble(undefined);
      }
      keepDraft(stored.id, { revision: revision.current, plan: lastSaved.current, saved: true });
      setSaveState('saved');
    } catch (e) {
      if (e instanceof Refused && e.status === 409) {
        const { current } = e.body as { current: StoredPlanDoc };
        if (JSON.stringify(current.plan) === JSON.stringify(latest.current)) {
          // A save that was cut off had arrived: it is the same plan.
          revision.current = current.revision;
          lastSaved.current = latest.current;
          setSavedPlan(latest.current);
          keepDraft(stored.id, { revision: current.revision, plan: latest.current, saved: true });
          setSaveState('saved');
          return;
        }
        setTheirs(current);
        setSaveState('stale');
      } else if (e instanceof Refused && e.status < 500) {
        setTrouble(e.message);
        setSaveState('refused');
      } else {
        setTrouble(
          'Not saved yet: the kitchen does not answer. Your changes are kept on this device and will be saved when it does.',
        );
        setSaveState('waiting');
      }
    }
  }, [stored.id]);

  /** Saves what is unsaved; while a save is under way, that one is waited for (it takes later edits along). */
  const save = useCallback((): Promise<void> => {
    inFlight.current ??= saveNow().finally(() => {
      inFlight.current = undefined;
    });
    return inFlight.current;
  }, [saveNow]);

  useEffect(() => {
    if (plan === lastSaved.current || saveState === 'stale') return;
    keepDraft(stored.id, { revision: revision.current, plan, saved: false });
    const timer = setTimeout(() => void save(), 450);
    return () => clearTimeout(timer);
  }, [plan, save, saveState, stored.id]);

  useEffect(() => {
    if (saveState !== 'waiting') return;
    const timer = setInterval(() => void save(), 4000);
    return () => clearInterval(timer);
  }, [saveState, save]);

  const edit = useCallback(
    (key: string, change: (p: Plan) => Plan) =>
      dispatch({ type: 'edit', plan: change(latest.current), key, at: Date.now() }),
    [],
  );
  const settle = useCallback(
    (choice: 'mine' | 'theirs') => {
      if (!theirs) return;
      revision.current = theirs.revision;
      if (choice === 'theirs') {
        lastSaved.current = theirs.plan;
        setSavedPlan(theirs.plan);
        dispatch({ type: 'replace', plan: theirs.plan });
        localStorage.removeItem(draftKey(stored.id));
      }
      setTheirs(undefined);
      setSaveState(choice === 'theirs' ? 'saved' : 'waiting');
      if (choice === 'mine') void save();
    },
    [theirs, stored.id, save],
  );

  return useMemo(
    () => ({
      plan,
      edit,
      saveState: saveState === 'saved' && plan !== savedPlan ? ('saving' as const) : saveState,
      trouble,
      theirs,
      settle,
      save,
      undo: () => dispatch({ type: 'undo' }),
      redo: () => dispatch({ type: 'redo' }),
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
    }),
    [plan, edit, saveState, savedPlan, trouble, theirs, settle, save, history.past.length, history.future.length],
  );
}
export type PlanDocument = ReturnType<typeof usePlanDocument>;
