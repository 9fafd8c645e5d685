'use client';
import { useMemo, useState } from 'react';
import type { Kitchen } from '@/core/kitchen';
import { leftS, type Timer } from '@/core/work/stove';
import type { RunningBatch } from '@/db';
import { freshId, Told, useKeys } from '../kit';
import { rungOf, type useGrants } from './alarms';
import { useKitchenSpeed } from './kitchenClock';
import { OtherTimers } from './OtherTimers';
import look from './edge.module.css';
import presses from './presses.module.css';
import { AddTimer, TimerCard } from './TimerEdge';
import type { Act } from './useAct';
import type { Cooking } from './useCooking';
import { useIsLive } from './useLive';

/** What this page can be told by a key. */
const KEYS = [
  ['Space', 'the big press'],
  ['C N S', 'clean, nearly, sticky'],
  ['1–9', 'tick a line'],
  ['T', 'timer'],
  ['Z', 'take the last one back'],
  ['D', 'done, no need to wait'],
  ['L', 'leave the step out'],
  ['W', 'whole method'],
  ['M', 'mute'],
  ['V', 'say it aloud'],
  ['B', 'next cake'],
] as const;

/** Every timer, soonest first, of this cake and the others. */
export function StoveEdge({
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
  act: Act;
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
        <button type="button" className={presses.plain} onClick={() => setAdding(true)}>
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
