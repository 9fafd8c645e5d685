'use client';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Kitchen } from '@/core/kitchen';
import type { RunningBatch, StoredBatch } from '@/db';
import { request, Say } from '../kit';
import { Afterwards } from './Afterwards';
import { useGrants } from './alarms';
import { useKitchenNow } from './kitchenClock';
import { MethodSheet } from './MethodSheet';
import { RefusedEvents } from './RefusedEvents';
import { StepView } from './StepView';
import { StoveBar } from './StoveBar';
import { StoveEdge } from './StoveEdge';
import presses from './presses.module.css';
import look from './stove.module.css';
import wording from './wording.module.css';
import { useAct } from './useAct';
import { useBatch } from './useBatch';
import { useCooking } from './useCooking';
import { useLive } from './useLive';

export interface StoveProps {
  readonly batch: StoredBatch;
  /** As it stands: for a batch that was begun before its own was kept. */
  readonly kitchen: Kitchen;
  readonly running: readonly RunningBatch[];
  /** Number of the last event the page was made with. */
  readonly after: number;
  readonly nowMs: number;
}

/** At the stove: one step huge, the next one small, every timer along the edge. */
export function StovePage({ batch: initial, kitchen, running: first, after, nowMs: madeMs }: StoveProps) {
  useLive(after);
  const nowMs = useKitchenNow(madeMs);
  const hand = useBatch(initial);
  const cooking = useCooking(hand, kitchen, nowMs);
  const { act, said } = useAct(hand.record);
  const [choice, setChoice] = useState<{ id: string; is: string } | undefined>(undefined);
  const [method, setMethod] = useState(false);
  const running = useRunning(first, initial);
  const grants = useGrants();
  const { course, steps } = cooking;
  const isNow = (id: string) => course.states.get(id)?.is ?? 'to-do';
  // A step that was looked up and then done, or begun, gives way to the one in hand.
  if (choice && isNow(choice.id) !== choice.is) setChoice(undefined);
  const shown = choice?.id;
  const [over, setOver] = useState(false);
  const setShown = (id: string | undefined) => setChoice(id === undefined ? undefined : { id, is: isNow(id) });
  const step = steps.find((s) => s.id === shown) ?? course.now;
  const chosen = shown !== undefined && step !== undefined && step.id !== course.now?.id;
  const finished = hand.batch.finishedAt !== null;
  return (
    <div className={look.stove}>
      <StoveBar
        grants={grants}
        cooking={cooking}
        running={running}
        step={step}
        act={act}
        onMethod={() => setMethod(true)}
      />
      <section className={look.step} aria-label="The step" aria-busy={cooking.thinking}>
        <div role="status">{hand.trouble ? <Say tone="watch">{hand.trouble}</Say> : null}</div>
        <RefusedEvents hand={hand} />
        {chosen ? (
          <p className={wording.changed}>
            Not the step in hand.{' '}
            <button type="button" className={presses.quiet} onClick={() => setShown(undefined)}>
              Back to it
            </button>
          </p>
        ) : null}
        {step && !over && !(finished && shown === undefined) ? (
          <StepView key={hand.batch.id} cooking={cooking} step={step} act={act} said={said} />
        ) : (
          <Afterwards hand={hand} left={steps.length - course.done} />
        )}
        {grants.lacks ? <p className={look.phone}>{grants.lacks}</p> : null}
      </section>
      <StoveEdge grants={grants} cooking={cooking} running={running} kitchen={kitchen} onShow={setShown} act={act} />
      {method ? (
        <MethodSheet
          cooking={cooking}
          onLeave={() => setMethod(false)}
          onAfterwards={() => {
            setMethod(false);
            setOver(true);
          }}
          onChoose={(id) => {
            setOver(false);
            setShown(id === course.now?.id ? undefined : id);
            setMethod(false);
          }}
        />
      ) : null}
    </div>
  );
}

/** The batches at the stove, this one among them. */
function useRunning(first: readonly RunningBatch[], here: StoredBatch): readonly RunningBatch[] {
  const { data } = useQuery({
    queryKey: ['running'],
    queryFn: () => request<readonly RunningBatch[]>('/api/batches/running'),
    initialData: first,
    initialDataUpdatedAt: 0,
    refetchInterval: 30_000,
  });
  const { id, name, startedAt } = here;
  return data.some((b) => b.id === id) ? data : [{ id, name, startedAt }, ...data];
}
