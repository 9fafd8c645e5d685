import { useReducer, useRef, type ComponentType } from 'react';
import type { Plan } from '@/core/plan';
import { historyOf, reduce } from '../../plan/history';
import { PreviewProvider } from '../preview';

interface Hand {
  /** As it is shown, with what is half typed. */
  readonly plan: Plan;
  readonly kept: Plan;
  readonly steps: number;
  readonly edit: (change: Partial<Plan>) => void;
}

/** A plan with its history and a preview, as the bench has them, around fields that are to be tested and stay the same component; beside them a button to undo. */
export function HistoryBench({
  start,
  onKept,
  Fields,
}: {
  start: Plan;
  onKept?: (change: Partial<Plan>) => void;
  Fields: ComponentType<Hand>;
}) {
  const [h, dispatch] = useReducer(reduce, historyOf(start));
  const half = useRef(false);
  const edit = (change: Partial<Plan>) => {
    const plan = { ...h.present, ...change };
    if (half.current) dispatch({ type: 'preview', plan });
    else {
      onKept?.(change);
      dispatch({ type: 'edit', plan, key: 'k', at: 0 });
    }
  };
  return (
    <PreviewProvider
      value={{
        show: (change) => {
          half.current = true;
          change();
          half.current = false;
        },
        drop: () => dispatch({ type: 'drop' }),
      }}
    >
      <Fields plan={h.preview ?? h.present} kept={h.present} steps={h.past.length} edit={edit} />
      <button onClick={() => dispatch({ type: 'undo' })}>undo</button>
    </PreviewProvider>
  );
}
