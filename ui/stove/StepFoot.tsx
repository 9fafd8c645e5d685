'use client';
import { useEffect, useMemo, useRef } from 'react';
import { stepWords, type Step, type StepAmount } from '@/core/steps';
import type { StampedEvent } from '@/core/work/notebook';
import { Told, useKeys } from '../kit';
import { Enter } from './Enter';
import { linesIn } from './StepLines';
import presses from './presses.module.css';
import look from './stepFoot.module.css';
import type { Act } from './useAct';
import type { StepInHand } from './useStep';

const PICKS = [
  { state: 'clean', words: 'Clean' },
  { state: 'nearly', words: 'Nearly' },
  { state: 'sticky', words: 'Sticky' },
] as const;

/** The keys of a step: Space is the big press, letters its picks, figures its lines. */
export function useStepKeys(
  step: Step,
  hand: StepInHand,
  lines: readonly StepAmount[],
  events: readonly StampedEvent[],
  act: Act,
): void {
  const keys = useMemo(() => {
    const pick = (state: (typeof PICKS)[number]['state']) => () => {
      if (hand.picks) hand.pick(state);
    };
    const ticked = linesIn(step.id, events);
    const ticks = lines.slice(0, 9).map((a, i): [string, () => void] => {
      const line = a.line ?? a.name;
      return [String(i + 1), () => act({ kind: 'line-ticked', stepId: step.id, line, done: !ticked.has(line) })];
    });
    return {
      c: pick('clean'),
      n: pick('nearly'),
      s: pick('sticky'),
      Space: hand.main ? hand.main.press : pick('clean'),
      d: () => hand.done?.(),
      l: () => hand.leaveOut?.(),
      ...Object.fromEntries(ticks),
    };
  }, [act, step.id, hand, lines, events]);
  useKeys(keys);
}

/** What is under the knuckle: the big press or the picks, what a wait costs that is cut short, and what comes next. */
export function StepFoot({ step, hand, next }: { step: Step; hand: StepInHand; next: Step | undefined }) {
  const { op, main, picks, pick, done, leaveOut, price, ask, state } = hand;
  const press = useRef<HTMLButtonElement>(null);
  // With a new step the big press is under the knuckle again, and under Space.
  useEffect(() => {
    if (!document.activeElement?.closest('form, [role="dialog"]')) press.current?.focus({ preventScroll: true });
  }, [step.id, state.is]);
  return (
    <>
      {ask?.is === 'minutes' ? (
        <div role="group" aria-label="How long it has steamed">
          <p>{ask.words}</p>
          <Enter
            label="In the steam"
            unit="min"
            from={undefined}
            min={0.2}
            max={720}
            take="Write it down"
            onTake={ask.take}
            onLeave={ask.leave}
          />
        </div>
      ) : ask ? (
        <div className={presses.enter} role="group" aria-label="Is that right">
          <p>{ask.words}</p>
          <button type="button" className={presses.plain} onClick={ask.yes}>
            It is right
          </button>
          <button type="button" className={presses.plain} onClick={ask.leave}>
            Leave it
          </button>
        </div>
      ) : price ? (
        <div className={presses.enter} role="group" aria-label="Before it is cut short">
          <p>
            <Told>{price.words}</Told>
          </p>
          <button type="button" className={presses.plain} onClick={price.waitOn}>
            Wait on
          </button>
          <button type="button" className={presses.plain} onClick={price.cut}>
            {op === 'steam' ? 'Check now' : 'Cut it short'}
          </button>
        </div>
      ) : (
        <div className={presses.row}>
          {main ? (
            <button
              ref={press}
              type="button"
              className={op === 'fill' && picks ? presses.second : presses.main}
              onClick={main.press}
            >
              {main.words}
            </button>
          ) : null}
          {picks
            ? PICKS.map((p) => (
                <button
                  key={p.state}
                  ref={p.state === 'clean' && !main ? press : undefined}
                  type="button"
                  className={p.state === 'clean' && !main ? presses.main : presses.second}
                  onClick={() => pick(p.state)}
                >
                  {p.words}
                </button>
              ))
            : null}
          {done ? (
            <button type="button" className={presses.second} onClick={done}>
              Done
            </button>
          ) : null}
        </div>
      )}
      <div className={look.nextRow}>
        {next && next.id !== step.id ? (
          <p className={look.next}>
            Next: <b>{next.verb}</b> <Told>{firstWords(stepWords(next).rest)}</Told>
          </p>
        ) : (
          <span />
        )}
        {leaveOut ? (
          <button type="button" className={presses.quiet} onClick={leaveOut}>
            Leave it out
          </button>
        ) : null}
      </div>
    </>
  );
}

/** The first sentence, short enough for one line. */
function firstWords(sentence: string): string {
  const first = /^.*?[.;](?=\s|$)/.exec(sentence)?.[0] ?? sentence;
  return first.length > 110 ? `${first.slice(0, 107).replace(/\s\S*$/, '')}…` : first;
}
