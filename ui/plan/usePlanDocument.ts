'use client';
import { useQuery } from '@tanstack/react-query';
import equal from 'fast-deep-equal';
import { useCallback, useEffect, useMemo, useReducer, useRef, useState } from 'react';
import type { Plan } from '@/core/plan';
import { mergePlans } from '@/core/plan/mergePlans';
import { freshId, Refused, request, sentenceOf, type Preview, type TryOn } from '../kit';
import { dropDraft, keepDraft, leftDrafts, ownDraft, sayOpen, type LeftDraft } from './drafts';
import type { PlanDraft } from './readDraft';
import { historyOf, reduce } from './history';

export interface StoredPlanDoc {
  readonly id: string;
  readonly revision: number;
  readonly plan: Plan;
}
export type SaveState = 'saved' | 'typing' | 'saving' | 'waiting' | 'stale' | 'refused';

const SETTLE_MS = 450;
const AGAIN_MS = 4000;
const BOTH_KEPT = 'This plan was changed elsewhere too. What did not touch is kept of both.';
/** So many sendings whose answer was not heard are remembered. */
const MOST_UNHEARD = 20;

/** What this window last knew to be in the kitchen of each plan: a page taken from the browser's memory may be older. */
const lastKnown = new Map<string, StoredPlanDoc>();
const newest = (stored: StoredPlanDoc): StoredPlanDoc => {
  const known = lastKnown.get(stored.id);
  return known && known.revision > stored.revision ? known : stored;
};

/**
 * The plan being edited: every change is undoable, kept on this device at once, and saved shortly after over the revision it was made on. A
 * newer revision is taken in where nothing is unsaved; where something is, a stale revision stops saving and offers both versions.
 */
export function usePlanDocument(stored: StoredPlanDoc) {
  const { id } = stored;
  const [history, dispatch] = useReducer(reduce, stored, (s) => historyOf(newest(s).plan));
  const [saveState, setSaveState] = useState<Exclude<SaveState, 'typing'>>('saved');
  const [theirs, setTheirs] = useState<StoredPlanDoc | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [left, setLeft] = useState<readonly LeftDraft[]>([]);
  const [savedPlan, setSavedPlan] = useState(history.present);
  const [tried, setTried] = useState<Plan | undefined>(undefined);
  /** The revision that the next save goes over, and the plan of it. */
  const base = useRef(newest(stored));
  /** True where that plan is of that revision: what was left by a window that is gone may be of an earlier one. */
  const baseIsKnown = useRef(true);
  /** Names of the sendings whose answer was not heard. */
  const unheard = useRef<readonly string[]>([]);
  const opened = useRef(false);
  const [note, setNote] = useState<string | undefined>(undefined);
  const inFlight = useRef<Promise<boolean> | undefined>(undefined);
  const previewing = useRef(false);
  const latest = useRef(history);
  useEffect(() => {
    latest.current = history;
  }, [history]);
  const unsaved = () => latest.current.present !== base.current.plan;

  const known = useCallback((doc: StoredPlanDoc) => {
    base.current = doc;
    baseIsKnown.current = true;
    lastKnown.set(doc.id, doc);
    setSavedPlan(doc.plan);
  }, []);
  const adopt = useCallback(
    (doc: StoredPlanDoc) => {
      known(doc);
      latest.current = historyOf(doc.plan);
      dispatch({ type: 'adopt', plan: doc.plan });
    },
    [known],
  );

  // What this window had not saved when it was reloaded goes on where it was.
  useEffect(() => {
    const silent = sayOpen();
    let gone = false;
    const takeUp = (draft: PlanDraft | undefined) => {
      if (gone) return;
      // What was changed while it was being read is no less the cook's own: then the draft is offered beside it.
      const untouched = !unsaved();
      if (untouched) unheard.current = draft?.unheard ?? unheard.current;
      if (!draft || equal(draft.plan, base.current.plan)) {
        if (draft && untouched) dropDraft(id);
      } else if (untouched) {
        baseIsKnown.current = draft.revision === base.current.revision;
        base.current = { ...base.current, revision: draft.revision };
        dispatch({ type: 'edit', plan: draft.plan, key: '', at: Date.now() });
      } else setLeft((others) => [{ ...draft, key: `${id}/taken-up` }, ...others]);
    };
    void ownDraft(id)?.then(takeUp);
    opened.current = true;
    void leftDrafts(id).then((drafts) => {
      if (!gone && drafts.length > 0) setLeft((own) => [...own, ...drafts]);
    });
    return () => {
      gone = true;
      silent();
    };
  }, [id]);

  // What other windows and devices have written meanwhile.
  const there = useQuery({
    queryKey: ['plan', id],
    queryFn: () => request<StoredPlanDoc>(`/api/plans/${id}`),
    retry: false,
    staleTime: 0,
  }).data;
  useEffect(() => {
    if (!there || there.revision <= base.current.revision || inFlight.current) return;
    if (unsaved() || latest.current.preview) return;
    if (equal(there.plan, base.current.plan)) known({ ...there, plan: base.current.plan });
    else adopt(there);
  }, [there, adopt, known]);

  const keep = useCallback(
    (plan: Plan) => keepDraft(id, { unheard: unheard.current, revision: base.current.revision, plan, at: Date.now() }),
    [id],
  );
  /** Takes the other's change in beside this window's own, as far as they do not touch, or as the cook has chosen. */
  const together = useCallback((other: StoredPlanDoc, prefer: 'mine' | 'theirs') => {
    const merged = mergePlans(base.current.plan, latest.current.present, other.plan, prefer);
    return baseIsKnown.current ? merged : undefined;
  }, []);
  const goOnWith = useCallback(
    (other: StoredPlanDoc, plan: Plan) => {
      known(other);
      latest.current = { ...latest.current, present: plan, preview: undefined };
      dispatch({ type: 'edit', plan, key: '', at: Date.now() });
    },
    [known],
  );
  /** Sends until all is saved; what is edited meanwhile goes along. */
  const sendAll = useCallback(async (): Promise<void> => {
    while (unsaved()) {
      const sending = latest.current.present;
      setSaveState('saving');
      const writer = freshId();
      const before = unheard.current;
      unheard.current = [...before, writer].slice(-MOST_UNHEARD);
      // The name is kept before it is sent: a reload in between still knows its own.
      if (!latest.current.preview) keep(sending);
      const done = await request<StoredPlanDoc>(`/api/plans/${id}`, 'PUT', {
        revision: base.current.revision,
        plan: sending,
        writer,
        unheard: before,
      });
      unheard.current = [];
      known({ id, revision: done.revision, plan: sending });
      setTrouble(undefined);
    }
  }, [id, known, keep]);
  /** The same, taking in what others changed beside it. */
  const sendTogether = useCallback(async (): Promise<void> => {
    for (;;) {
      try {
        await sendAll();
        return;
      } catch (e) {
        const current =
          e instanceof Refused && e.status === 409
            ? (e.body as { current: StoredPlanDoc & { raw?: string } }).current
            : undefined;
        const both = current && current.raw === undefined ? together(current, 'mine') : undefined;
        if (!current || !both || both.clashes.length > 0) throw e;
        goOnWith(current, both.plan);
        setNote(BOTH_KEPT);
      }
    }
  }, [sendAll, together, goOnWith]);
  const saveNow = useCallback(async (): Promise<boolean> => {
    try {
      await sendTogether();
      if (!latest.current.preview) dropDraft(id);
      setSaveState('saved');
      return true;
    } catch (e) {
      if (e instanceof Refused && e.status === 409) {
        const { current } = e.body as { current: StoredPlanDoc & { raw?: string } };
        if (current.raw === undefined) {
          setTheirs(current);
          setSaveState('stale');
          return false;
        }
      }
      if (e instanceof Refused && e.status < 500) {
        setTrouble(e.message);
        setSaveState('refused');
      } else {
        setTrouble(
          `Not saved yet: ${sentenceOf(e, 'the kitchen does not answer.')} Your changes are kept on this device and will be saved when it can be done.`,
        );
        setSaveState('waiting');
      }
      return false;
    }
  }, [id, sendTogether]);

  /** Saves what is unsaved, and answers whether all is; a save under way takes later edits along. */
  const save = useCallback((): Promise<boolean> => {
    inFlight.current ??= saveNow().finally(() => {
      inFlight.current = undefined;
    });
    return inFlight.current;
  }, [saveNow]);

  const { present, preview } = history;
  const shown = preview ?? present;
  const stopped = saveState === 'stale';
  useEffect(() => {
    if (shown === base.current.plan) return;
    keep(shown);
    const timer = present === base.current.plan || stopped ? undefined : setTimeout(() => void save(), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [keep, shown, present, save, stopped, savedPlan]);
  useEffect(() => {
    if (saveState !== 'waiting') return;
    const timer = setInterval(() => void save(), AGAIN_MS);
    return () => clearInterval(timer);
  }, [saveState, save]);
  useEffect(() => {
    const leave = () => {
      if (document.visibilityState === 'hidden' && unsaved() && opened.current) void save();
    };
    document.addEventListener('visibilitychange', leave);
    return () => {
      document.removeEventListener('visibilitychange', leave);
      if (unsaved() && opened.current) void save();
    };
  }, [save]);

  const edit = useCallback((key: string, change: (p: Plan) => Plan) => {
    const plan = change(latest.current.present);
    setTried(undefined);
    dispatch(previewing.current ? { type: 'preview', plan } : { type: 'edit', plan, key, at: Date.now() });
  }, []);
  const half = useMemo(
    (): Preview => ({
      show: (change) => {
        previewing.current = true;
        try {
          change();
        } finally {
          previewing.current = false;
        }
      },
      drop: () => dispatch({ type: 'drop' }),
    }),
    [],
  );
  const tryOn = useMemo(
    (): TryOn => ({
      show: (change) => setTried(change(latest.current.present)),
      drop: () => setTried(undefined),
    }),
    [],
  );
  const settle = useCallback(
    (choice: 'mine' | 'theirs') => {
      if (!theirs) return;
      const both = together(theirs, choice);
      if (both) {
        goOnWith(theirs, both.plan);
        setTheirs(undefined);
        setSaveState('waiting');
        void save();
        return;
      }
      known(theirs);
      if (choice === 'theirs') {
        // A step like any other: undo brings this window's own back.
        dispatch({ type: 'edit', plan: theirs.plan, key: '', at: Date.now() });
        base.current = theirs;
        dropDraft(id);
      }
      setTheirs(undefined);
      setSaveState(choice === 'theirs' ? 'saved' : 'waiting');
      if (choice === 'mine') void save();
    },
    [theirs, known, id, save, together, goOnWith],
  );
  const takeLeft = useCallback(
    (draft: LeftDraft, take: boolean) => {
      if (take) dispatch({ type: 'edit', plan: draft.plan, key: '', at: Date.now() });
      dropDraft(id, draft.key);
      setLeft((all) => all.filter((d) => d.key !== draft.key));
    },
    [id],
  );

  const state: SaveState =
    saveState === 'saved' ? (preview ? 'typing' : present !== savedPlan ? 'saving' : 'saved') : saveState;
  return useMemo(
    () => ({
      plan: tried ?? shown,
      /** As it was last taken, whatever is shown. */
      taken: present,
      /** Something half typed or half dragged is shown. */
      moving: preview !== undefined,
      /** A change is tried on. */
      trying: tried !== undefined,
      edit,
      half,
      tryOn,
      saveState: state,
      trouble,
      /** What became of a change of somebody else’s, in a sentence. */
      note,
      theirs,
      settle,
      left,
      takeLeft,
      save,
      undo: () => dispatch({ type: 'undo' }),
      redo: () => dispatch({ type: 'redo' }),
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
    }),
    [
      shown,
      tried,
      present,
      preview,
      edit,
      half,
      tryOn,
      state,
      trouble,
      note,
      theirs,
      settle,
      left,
      takeLeft,
      save,
      history.past.length,
      history.future.length,
    ],
  );
}
export type PlanDocument = ReturnType<typeof usePlanDocument>;
