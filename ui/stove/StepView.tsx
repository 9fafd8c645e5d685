'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import { answerCheck } from '@/core/notebook';
import type { Step } from '@/core/steps';
import { changeableLines, isSteaming, opOf, priceOf, steamedInLoad, waitReading } from '@/core/stove';
import { sayDuration } from '@/core/units';
import { PourTable, Say, Told, useKeys } from '../kit';
import { StepAnswers } from './StepAnswers';
import { linesIn, StepLines } from './StepLines';
import { PourBar, ProbeLine } from './Devices';
import { StepPlace } from './StepPlace';
import look from './stove.module.css';
import { clockWords } from './TimerEdge';
import type { Act } from './useAct';
import { useWeighIn } from './useScale';
import type { Cooking } from './useCooking';

const PICKS = [
  { state: 'clean', words: 'Clean', key: 'C' },
  { state: 'nearly', words: 'Nearly', key: 'N' },
  { state: 'sticky', words: 'Sticky', key: 'S' },
] as const;
/** A wait shorter than this is not begun, it is part of the step, s. */
const SHORT_S = 20;

/** What the big press of a step does now. */
interface Main {
  readonly words: string;
  readonly press: () => void;
}

/** One step, huge: what to do with how much, what to look for, and its answers. */
export function StepView({
  cooking,
  step,
  act,
  said,
}: {
  cooking: Cooking;
  step: Step;
  act: Act;
  said: string | undefined;
}) {
  const { hand, forecast, course, chance, inSteamS, nowMs } = cooking;
  const { events } = hand;
  const op = opOf(step.id);
  const state = course.states.get(step.id) ?? { is: 'to-do' as const };
  const waitedS = state.is === 'waiting' ? Math.max(0, (nowMs - state.beganMs) / 1000) : undefined;
  const leftS = state.is === 'waiting' ? state.forS - (waitedS ?? 0) : 0;
  const [asking, setAsking] = useState(false);
  const checks = useMemo(() => events.flatMap((e) => (e.kind === 'checked' ? [e] : [])), [events]);
  const picks = (step.answers ?? []).some((a) => a.kind === 'pick') && (op !== 'fill' || state.is === 'waiting');
  const hot = isSteaming(step.id) || op === 'check';
  const price =
    waitedS === undefined
      ? undefined
      : priceOf(forecast, step, waitedS, op === 'steam' || op === 'layer' ? chance?.chance : undefined);

  const done = () => {
    setAsking(false);
    const reading = waitedS === undefined ? undefined : waitReading(forecast, step, waitedS);
    if (reading !== undefined) act({ kind: 'read', stepId: step.id, slot: 'waitedS', value: reading });
    act({ kind: 'ticked', stepId: step.id, done: true });
  };
  const main: Main | undefined =
    op === 'check'
      ? undefined
      : state.is === 'done'
        ? { words: 'Not done yet', press: () => act({ kind: 'ticked', stepId: step.id, done: false }) }
        : state.is === 'to-do' && step.waitS >= SHORT_S
          ? { words: `Begin: ${sayDuration(step.waitS)}`, press: () => act({ kind: 'begun', stepId: step.id }) }
          : state.is === 'waiting' && leftS > 0
            ? { words: op === 'steam' ? 'Check now' : 'Done now', press: () => (price ? setAsking(true) : done()) }
            : { words: 'Done', press: done };
  const pick = (s: (typeof PICKS)[number]['state']) => {
    const afterS = op === 'fill' ? steamedInLoad(forecast, waitedS ?? 0) : (inSteamS ?? 0);
    const check = { kind: 'checked', state: s, afterS: Math.round(afterS) } as const;
    act(check, cooking.expected && answerCheck([...checks, check], cooking.expected).sentence);
  };

  const press = useRef<HTMLButtonElement>(null);
  const latest = useRef({ main, pick, picks, done, asking });
  useEffect(() => {
    latest.current = { main, pick, picks, done, asking };
  });
  // With a new step the big press is under the knuckle again, and under Space.
  useEffect(() => {
    if (!document.activeElement?.closest('form, [role="dialog"]')) press.current?.focus({ preventScroll: true });
  }, [step.id, state.is]);
  const groups =
    op === 'weigh'
      ? (forecast?.weighOut ?? hand.batch.snapshot.weighOut)
      : [{ name: '', amounts: step.amounts.filter((a) => a.massG > 0), massG: 0 }];
  const lines = groups.flatMap((g) => g.amounts);
  const keys = useMemo(
    () => ({
      c: () => latest.current.picks && latest.current.pick('clean'),
      n: () => latest.current.picks && latest.current.pick('nearly'),
      s: () => latest.current.picks && latest.current.pick('sticky'),
      Space: () => (latest.current.main ? latest.current.main.press() : latest.current.pick('clean')),
      l: () => act({ kind: 'ticked', stepId: step.id, done: true, skipped: true }),
    }),
    [act, step.id],
  );
  useKeys(keys);
  const ticked = linesIn(step.id, events);
  const tickKeys = useMemo(
    () =>
      Object.fromEntries(
        lines.slice(0, 9).map((a, i) => [
          String(i + 1),
          () =>
            act({
              kind: 'line-ticked',
              stepId: step.id,
              line: a.line ?? a.name,
              done: !ticked.has(a.line ?? a.name),
            }),
        ]),
      ),
    [act, lines, ticked, step.id],
  );
  useKeys(tickKeys);
  const changeable = useMemo(() => changeableLines(hand.batch.snapshot.plan), [hand.batch.snapshot.plan]);
  const toWeigh =
    op === 'weigh' && state.is === 'to-do'
      ? lines.find((a) => a.line !== undefined && changeable.has(a.line) && !ticked.has(a.line))
      : undefined;
  const weighed = events.findLast((e) => e.kind === 'line-weighed' && e.stepId === step.id && e.grossG !== undefined);
  const weigh = useWeighIn(
    toWeigh?.line === undefined
      ? undefined
      : {
          stepId: step.id,
          line: toWeigh.line,
          targetG: toWeigh.massG,
          last:
            weighed?.kind === 'line-weighed' && weighed.grossG !== undefined
              ? { key: weighed.key, grossG: weighed.grossG }
              : undefined,
        },
    nowMs,
    act,
  );

  const { expected } = cooking;
  const last = checks.at(-1);
  const sticky =
    op === 'check' && last && last.state !== 'clean' && expected ? answerCheck(checks, expected) : undefined;
  const words = new Set(events.flatMap((e) => (e.kind === 'said' && e.stepId === step.id ? [e.words] : [])));
  const turned = events.findLast((e) => e.kind === 'turned');
  const carried = step.carried ?? [];
  return (
    <>
      <p className={look.place}>
        {hand.batch.name} · step {cooking.steps.indexOf(step) + 1} of {cooking.steps.length}
      </p>
      <h1 className={look.verb}>{step.verb}</h1>
      <p className={state.is === 'waiting' ? look.told : look.sentence}>
        <Told>{step.sentence}</Told>
      </p>
      {weigh && toWeigh ? <PourBar name={toWeigh.name} weigh={weigh} /> : null}
      {lines.length > 0 ? (
        <StepLines key={step.id} stepId={step.id} groups={groups} events={events} changeable={changeable} act={act} />
      ) : null}
      {carried.length > 0 && lines.length > 0 ? (
        <p className={look.look}>
          <Told>{`With ${carried.map((c) => `the ${c.name}`).join(', ')}.`}</Told>
        </p>
      ) : null}
      {step.timeline && op !== 'steam' ? <PourTable moments={step.timeline} /> : null}
      <div className={look.beside}>
        {forecast ? (
          <StepPlace
            stepId={step.id}
            forecast={forecast}
            inSteamS={inSteamS}
            cooledS={waitedS === undefined ? 0 : waitedS + cooledBefore(cooking, step)}
          />
        ) : null}
        <div className={look.facts}>
          {waitedS !== undefined ? (
            <p className={look.chance} role="timer" aria-label={`${step.verb}: ${leftS > 0 ? 'left' : 'over'}`}>
              {leftS > 0 ? `${clockWords(leftS)} to go` : `Up for ${sayDuration(Math.max(1, -leftS))}`}
              {hot && inSteamS !== undefined ? ` · ${clockWords(inSteamS)} in the steam` : ''}
            </p>
          ) : null}
          {hot && chance && op !== 'fill' ? (
            <p className={look.chance} data-testid="chance">
              {chance.sentence}
            </p>
          ) : null}
          <ProbeLine cooking={cooking} step={step} act={act} />
          {sticky ? (
            <p className={look.changed} data-testid="check-answer" aria-live="polite">
              {sticky.sentence}
            </p>
          ) : null}
          {step.lookFor ? (
            <p className={look.look}>
              Look for: <Told>{step.lookFor}</Told>
            </p>
          ) : null}
          {step.taste ? (
            <p className={look.look}>
              <Told>{step.taste}</Told>
            </p>
          ) : null}
        </div>
      </div>
      {step.cautions.map((x) => (
        <div key={x} className={look.caution}>
          <Say tone="watch">{x}</Say>
        </div>
      ))}
      <p className={look.changed} role="status">
        {[said === sticky?.sentence ? undefined : said, cooking.changed]
          .filter((x) => x !== undefined && x !== '')
          .map((x) => (
            <Told key={x}>{`${x} `}</Told>
          ))}
      </p>
      <div className={look.foot}>
        <StepAnswers
          key={`answers ${step.id}`}
          step={step}
          forecast={forecast}
          act={act}
          waitedS={waitedS}
          heat={turned?.kind === 'turned' ? turned.heat : hand.batch.snapshot.plan.heat}
          answered={words}
          events={events}
          nowMs={nowMs}
        />
        {asking && price ? (
          <div className={look.enter} role="group" aria-label="Before it is cut short">
            <p>
              <Told>{price}</Told>
            </p>
            <button type="button" className={look.plain} onClick={() => setAsking(false)}>
              Wait on
            </button>
            <button type="button" className={look.plain} onClick={done}>
              {op === 'steam' ? 'Check now' : 'Cut it short'}
            </button>
          </div>
        ) : (
          <div className={look.presses}>
            {main ? (
              <button
                ref={press}
                type="button"
                className={op === 'fill' && picks ? look.second : look.main}
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
                    className={p.state === 'clean' && !main ? look.main : look.second}
                    onClick={() => pick(p.state)}
                  >
                    {p.words}
                  </button>
                ))
              : null}
            {state.is === 'to-do' && step.waitS >= SHORT_S && op !== 'check' ? (
              <button type="button" className={look.second} onClick={done}>
                Done
              </button>
            ) : null}
          </div>
        )}
        <div className={look.nextRow}>
          {course.next && course.next.id !== step.id ? (
            <p className={look.next}>
              Next: <b>{course.next.verb}</b> <Told>{firstWords(course.next.sentence)}</Told>
            </p>
          ) : (
            <span />
          )}
          {state.is !== 'done' ? (
            <button
              type="button"
              className={look.quiet}
              onClick={() => act({ kind: 'ticked', stepId: step.id, done: true, skipped: true })}
            >
              Leave it out
            </button>
          ) : null}
        </div>
      </div>
    </>
  );
}

/** The first sentence, short enough for one line. */
function firstWords(sentence: string): string {
  const first = /^.*?[.;](?=\s|$)/.exec(sentence)?.[0] ?? sentence;
  return first.length > 110 ? `${first.slice(0, 107).replace(/\s\S*$/, '')}…` : first;
}

/** Seconds of cooling before this stage. */
function cooledBefore(cooking: Cooking, step: Step): number {
  if (opOf(step.id) !== 'cool') return 0;
  const stages = cooking.steps.filter((s) => opOf(s.id) === 'cool');
  return cooking.forecast?.heat?.rest?.stageStartsS[stages.indexOf(step)] ?? 0;
}
