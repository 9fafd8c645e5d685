'use client';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo } from 'react';
import type { Step } from '@/core/steps';
import type { RunningBatch } from '@/db';
import { LocalTime, NightSwitch, useKeys } from '../kit';
import { KeysHelp } from '../kit/KeysHelp';
import { eventWords } from './eventWords';
import { speak, useAlarms, useMuted, wakeSound, type useGrants } from './alarms';
import look from './bar.module.css';
import presses from './presses.module.css';
import type { Act } from './useAct';
import { lastWritten } from './useBatch';
import type { Cooking } from './useCooking';

/** The strip along the top: which cake, how far, what is on, and the way out. */
export function StoveBar({
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
  step: Step | undefined;
  act: Act;
  onMethod: () => void;
}) {
  const { hand, steps } = cooking;
  const router = useRouter();
  const [muted, setMuted] = useMuted();
  useAlarms(cooking.timers, cooking.nowMs, muted);
  // This one first, so that it is in view however many there are.
  const ordered = [...running].sort((a, b) => Number(b.id === hand.batch.id) - Number(a.id === hand.batch.id));
  const at = running.findIndex((b) => b.id === hand.batch.id);
  const last = lastWritten(hand.events);
  const keys = useMemo(
    () => ({
      m: () => setMuted(!muted),
      w: onMethod,
      b: () => {
        const next = running[(at + 1) % running.length];
        if (next && next.id !== hand.batch.id) router.push(`/batches/${next.id}/stove`);
      },
      v: () => {
        if (step) speak([step.sentence, ...step.cautions].join(' '));
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
        <button type="button" className={`${presses.quiet} ${look.secondary}`} onClick={grants.askNotify}>
          Notify me
        </button>
      ) : null}
      <button type="button" className={presses.quiet} aria-pressed={muted} onClick={() => setMuted(!muted)}>
        {muted ? 'Muted' : 'Sound on'}
      </button>
      <button
        type="button"
        className={presses.quiet}
        disabled={!last}
        onClick={() => {
          if (last) act({ kind: 'taken-back', of: last.key }, `Taken back: ${eventWords(last, steps)}.`);
        }}
      >
        Take back
      </button>
      <button type="button" className={presses.quiet} onClick={onMethod}>
        Whole method
      </button>
      <KeysHelp />
      <NightSwitch />
      <NextLink href={hand.batch.planId ? `/plans/${hand.batch.planId}` : '/'}>Leave</NextLink>
    </header>
  );
}
