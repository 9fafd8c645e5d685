'use client';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { request } from '../kit';
import { shownOf, type DocumentState, type SaveState, type StoredPlanDoc } from './documentState';
import { planDocument } from './planDocument';

/** What of it is told as its state of saving. */
function saveStateOf({ save, history, base }: DocumentState): SaveState {
  if (save !== 'saved') return save;
  return history.preview ? 'typing' : history.present !== base.plan ? 'saving' : 'saved';
}

/** The plan that a page edits, see {@link planDocument}. */
export function usePlanDocument(stored: StoredPlanDoc) {
  const { id } = stored;
  const [doc] = useState(() => planDocument(stored));
  const state = useSyncExternalStore(doc.subscribe, doc.state, doc.state);
  useEffect(() => doc.open(), [doc]);
  // What other windows and devices have written meanwhile.
  const there = useQuery({
    queryKey: ['plan', id],
    queryFn: () => request<StoredPlanDoc>(`/api/plans/${id}`),
    retry: false,
    staleTime: 0,
  }).data;
  useEffect(() => {
    if (there) doc.heard(there);
  }, [doc, there]);
  return useMemo(() => {
    const { history, tried } = state;
    return {
      plan: tried ?? shownOf(state),
      /** As it was last taken, whatever is shown. */
      taken: history.present,
      /** Something half typed or half dragged is shown. */
      moving: history.preview !== undefined,
      /** A change is tried on. */
      trying: tried !== undefined,
      saveState: saveStateOf(state),
      trouble: state.trouble,
      note: state.note,
      theirs: state.theirs,
      left: state.left,
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
      edit: doc.edit,
      half: doc.half,
      tryOn: doc.tryOn,
      settle: doc.settle,
      takeLeft: doc.takeLeft,
      save: doc.save,
      undo: doc.undo,
      redo: doc.redo,
    };
  }, [doc, state]);
}
export type PlanDocument = ReturnType<typeof usePlanDocument>;
