'use client';
import { useQuery } from '@tanstack/react-query';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import type { Kitchen } from '@/core/kitchen';
import { leftS, type Timer } from '@/core/stove';
import type { RunningBatch, StoredBatch } from '@/db';
import { KeysHelp } from '../kit/KeysHelp';
import { freshId, LocalTime, NightSwitch, request, Say, Told, useKeys } from '../kit';
import { eventWords } from '../notebook/eventWords';
import { Afterwards } from './Afterwards';
import { rungOf, speak, useAlarms, useGrants, useMuted, wakeSound } from './alarms';
import { MethodSheet } from './MethodSheet';
import { OtherTimers } from './OtherTimers';
import { RefusedEvents } from './RefusedEvents';
import { StepView } from './StepView';
import { AddTimer, TimerCard } from './TimerEdge';
import look from './stove.module.css';
import { useAct } from './useAct';
import { useBatch } from './useBatch';
import { useCooking, type Cooking } from './useCooking';
import { useKitchenNow, useKitchenSpeed } from './kitchenClock';
import { useIsLive, useLive } from './useLive';

export interface StoveProps {
  readonly batch: StoredBatch;
  /** As it stands: for a batch that was begun before its own was kept. */
  readonly kitchen: Kitchen;
  readonly running: readonly RunningBatch[];
  /** Number of the last event the page was made with. */
  readonly after: number;
  readonly nowMs: number;
}

/** What this page can be told by a key. */
const KEYS = [
  ['Space', 'the big press'],
  ['C N S', 'clean, nearly, sticky'],
  ['1–9', 'tick a line'],
  ['T', 'timer'],
  ['Z', 'take the last one back'],
  ['L', 'leave the step out'],
  ['W', 'whole method'],
  ['M', 'mute'],
  ['V', 'say it aloud'],
  ['B', 'next cake'],
] as const;

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
      <Bar grants={grants} cooking={cooking} running={running} step={step} act={act} onMethod={() => setMethod(true)} />
      <section className={look.step} aria-label="The step">
        <div role="status">{hand.trouble ? <Say tone="watch">{hand.trouble}</Say> : null}</div>
        <RefusedEvents hand={hand} />
        {chosen ? (
          <p className={look.changed}>
            Not the step in hand.{' '}
            <button type="button" className={look.quiet} onClick={() => setShown(undefined)}>
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
      <Edge grants={grants} cooking={cooking} running={running} kitchen={kitchen} onShow={setShown} act={act} />
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

/** The strip along the top: which cake, how far, what is on, and the way out. */
function Bar({
  cooking,
  grants,
  running,
  step,
  act,
  onMethod,
}: {
  cooking: Cooking;
  grants: ReturnType<typeof useGrants>;
  running: readonly RunningBatch[];
  step: Cooking['steps'][number] | undefined;
  act: ReturnType<typeof useAct>['act'];
  onMethod: () => void;
}) {
  const { hand, steps } = cooking;
  const router = useRouter();
  const [muted, setMuted] = useMuted();
  useAlarms(cooking.timers, cooking.nowMs, muted);
  // This one first, so that it is in view however many there are.
  const ordered = [...running].sort((a, b) => Number(b.id === hand.batch.id) - Number(a.id === hand.batch.id));
  const at = running.findIndex((b) => b.id === hand.batch.id);
  const last = hand.events.findLast((e) => e.kind !== 'timer-ended');
  const keys = useMemo(
    () => ({
      m: () => setMuted(!muted),
      w: onMethod,
      b: () => {
        const next = running[(at + 1) % running.length];
        if (next && next.id !== hand.batch.id) router.push(`/batches/${next.id}/stove`);
      },
      v: () => {
        if (step) speak(`${step.verb}. ${step.sentence} ${step.cautions.join(' ')}`);
      },
      z: () => {
        if (last) act({ kind: 'taken-back', of: last.key }, `Taken back: ${eventWords(last, steps)}.`);
      },
    }),
    [muted, setMuted, onMethod, running, at, hand.batch.id, router, step, last, act, steps],
  );
  useKeys(keys);
  // A browser lets nothing sound before a press: the first one, anywhere, is it.
  useEffect(() => {
    const wake = () => wakeSound();
    window.addEventListener('pointerdown', wake);
    window.addEventListener('keydown', wake);
    return () => {
      window.removeEventListener('pointerdown', wake);
      window.removeEventListener('keydown', wake);
    };
  }, []);
  return (
    <header className={look.bar}>
      <nav aria-label="Cakes at the stove" className={look.cakes}>
        {ordered.map((b) => (
          <button
            key={b.id}
            type="button"
            className={b.id === hand.batch.id ? look.batchNow : look.batch}
            aria-current={b.id === hand.batch.id ? 'page' : undefined}
            onClick={() => {
              if (b.id !== hand.batch.id) router.push(`/batches/${b.id}/stove`);
            }}
          >
            {b.name}
            {running.some((x) => x.id !== b.id && x.name === b.name) ? (
              <>
                {', '}
                <LocalTime at={b.startedAt} as="time" />
              </>
            ) : null}
          </button>
        ))}
      </nav>
      {grants.askNotify ? (
        <button type="button" className={`${look.quiet} ${look.secondary}`} onClick={grants.askNotify}>
          Notify me
        </button>
      ) : null}
      <button type="button" className={look.quiet} aria-pressed={muted} onClick={() => setMuted(!muted)}>
        {muted ? 'Muted' : 'Sound on'}
      </button>
      <button
        type="button"
        className={look.quiet}
        disabled={!last}
        onClick={() => {
          if (last) act({ kind: 'taken-back', of: last.key }, `Taken back: ${eventWords(last, steps)}.`);
        }}
      >
        Take back
      </button>
      <button type="button" className={look.quiet} onClick={onMethod}>
        Whole method
      </button>
      <KeysHelp />
      <NightSwitch />
      <NextLink href={hand.batch.planId ? `/plans/${hand.batch.planId}` : '/'}>Leave</NextLink>
    </header>
  );
}

/** Every timer, soonest first, of this cake and the others. */
function Edge({
  cooking,
  grants,
  running,
  kitchen,
  onShow,
  act,
}: {
  cooking: Cooking;
  grants: ReturnType<typeof useGrants>;
  running: readonly RunningBatch[];
  kitchen: Kitchen;
  onShow: (stepId: string | undefined) => void;
  act: ReturnType<typeof useAct>['act'];
}) {
  const { timers, nowMs, hand, course } = cooking;
  const [adding, setAdding] = useState(false);
  const live = useIsLive();
  const speed = useKitchenSpeed();
  useKeys(useMemo(() => ({ t: () => setAdding(true) }), []));
  const press = (t: Timer) => {
    const over = leftS(t, nowMs) <= 0;
    if (t.kind === 'own' || t.kind === 'moment' || t.kind === 'stir' || t.kind === 'water') {
      if (over || t.kind === 'own') act({ kind: 'timer-ended', timer: t.id });
    }
    if (t.stepId) onShow(t.stepId === course.now?.id ? undefined : t.stepId);
  };
  const rung = rungOf(timers, nowMs);
  return (
    <aside className={look.edge} aria-label="Timers">
      {timers.map((t) => (
        <TimerCard key={t.id} timer={t} nowMs={nowMs} onPress={() => press(t)} />
      ))}
      {running
        .filter((b) => b.id !== hand.batch.id)
        .map((b) => (
          <OtherTimers key={b.id} id={b.id} name={b.name} kitchen={kitchen} nowMs={nowMs} />
        ))}
      {adding ? (
        <AddTimer
          onLeave={() => setAdding(false)}
          onSet={(name, forS) => {
            setAdding(false);
            act({ kind: 'timer-set', timer: freshId(), name, forS });
          }}
        />
      ) : (
        <button type="button" className={look.plain} onClick={() => setAdding(true)}>
          Add a timer
        </button>
      )}
      <p className="unseen" role="alert">
        {rung.map((t) => t.name).join(', ')}
      </p>
      <p className={`${look.keys}`}>
        {KEYS.map(([k, w]) => (
          <span key={k}>
            <b>{k}</b> {w}
          </span>
        ))}
      </p>
      <p className={look.keys} data-testid="state">
        {[
          ...(speed === 1 ? [] : [`practice clock, ${speed} times as fast`]),
          ...(live ? [] : ['other devices are seen late']),
          ...(grants.awake ? ['screen stays awake'] : []),
        ].join(' · ')}
      </p>
      {grants.lacks ? (
        <p className={look.keys}>
          <Told>{grants.lacks}</Told>
        </p>
      ) : null}
    </aside>
  );
}
