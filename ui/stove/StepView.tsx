'use client';
import { useMemo } from 'react';
import { answerCheck } from '@/core/work/notebook';
import { type Step } from '@/core/steps';
import { changeableLines } from '@/core/work/stove';
import { listWords, sayDuration } from '@/core/units';
import { Say, Told } from '../kit';
import { StepAnswers } from './StepAnswers';
import { StepFoot, useStepKeys } from './StepFoot';
import { linesIn, StepLines } from './StepLines';
import { PourBar, ProbeLine } from './Devices';
import { StepMoments } from './StepMoments';
import { StepPlace } from './StepPlace';
import look from './stepView.module.css';
import wording from './wording.module.css';
import { clockWords } from './TimerEdge';
import type { Act, Said } from './useAct';
import { useLineWords } from './useLineWords';
import { useStepWeighing } from './useStepWeighing';
import { isHot, useStep } from './useStep';
import type { Cooking } from './useCooking';

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
  said: Said | undefined;
}) {
  const { hand, forecast, course, loadS, nowMs } = cooking;
  const { events } = hand;
  const inHand = useStep(cooking, step, act);
  const { op, state, waitedS, checks } = inHand;
  const groups =
    op === 'weigh'
      ? (forecast?.weighOut ?? hand.batch.snapshot.weighOut)
      : [{ name: '', amounts: step.amounts.filter((a) => a.massG > 0), massG: 0 }];
  const lines = groups.flatMap((g) => g.amounts);
  useStepKeys(step, inHand, lines, events, act);
  const ticked = linesIn(step.id, events);
  const changeable = useMemo(() => changeableLines(hand.batch.snapshot.plan), [hand.batch.snapshot.plan]);
  const wordsOf = useLineWords(forecast);
  const toWeigh =
    op === 'weigh' && state.is === 'to-do'
      ? lines.find((a) => a.line !== undefined && changeable.has(a.line) && !ticked.has(a.line))
      : undefined;
  const weigh = useStepWeighing(step, toWeigh, events, nowMs, act);
  const { expected } = cooking;
  const last = checks.at(-1);
  const sticky =
    op === 'check' && last && last.state !== 'clean' && expected ? answerCheck(checks, expected) : undefined;
  const words = new Set(events.flatMap((e) => (e.kind === 'said' && e.stepId === step.id ? [e.words] : [])));
  const spoken = said && (said.stepId === undefined || said.stepId === step.id) ? said.words : undefined;
  const turned = events.findLast((e) => e.kind === 'turned');
  const carried = (step.carried ?? []).filter((c) => !step.sentence.includes(c.name));
  return (
    <>
      <p className={wording.place}>
        {hand.batch.name} · step {cooking.steps.indexOf(step) + 1} of {cooking.steps.length}
      </p>
      <h1 className={wording.verb}>{step.verb}</h1>
      <p className={state.is === 'waiting' ? look.told : look.sentence}>
        <Told>{step.sentence}</Told>
      </p>
      {weigh && toWeigh ? <PourBar name={toWeigh.name} weigh={weigh} /> : null}
      {lines.length > 0 ? (
        <StepLines
          key={step.id}
          stepId={step.id}
          groups={groups}
          events={events}
          changeable={changeable}
          wordsOf={wordsOf}
          act={act}
        />
      ) : null}
      {carried.length > 0 && lines.length > 0 ? (
        <p className={wording.look}>
          <Told>{`With ${listWords(carried.map((c) => `the ${c.name}`))}.`}</Told>
        </p>
      ) : null}
      <div className={look.beside}>
        {forecast ? (
          <StepPlace
            step={step}
            forecast={forecast}
            inSteamS={loadS}
            cooledS={waitedS === undefined ? 0 : waitedS + cooledBefore(cooking, step)}
          />
        ) : null}
        <StepFacts cooking={cooking} step={step} act={act} inHand={inHand} sticky={sticky?.sentence} />
      </div>
      {step.cautions.map((x) => (
        <div key={x} className={look.caution}>
          <Say tone="watch">{x}</Say>
        </div>
      ))}
      <p className={wording.changed} role="status">
        {[spoken === sticky?.sentence ? undefined : spoken, cooking.changed]
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
          rack={cooking.rack}
          act={act}
          waitedS={waitedS}
          heat={turned?.kind === 'turned' ? turned.heat : hand.batch.snapshot.plan.heat}
          answered={words}
          missed={sticky !== undefined}
          tackyAbove={inHand.pour !== undefined}
          events={events}
          nowMs={nowMs}
        />
        <StepFoot step={step} hand={inHand} next={course.next} />
      </div>
    </>
  );
}

/** Seconds of cooling before this stage. */
function cooledBefore(cooking: Cooking, step: Step): number {
  if (step.op !== 'cool') return 0;
  const stages = cooking.steps.filter((s) => s.op === 'cool');
  return cooking.forecast?.heat?.rest?.stageStartsS[stages.indexOf(step)] ?? 0;
}

/** What stands beside the drawing: its moments, its clock, the chance that it is done, what to look for. */
function StepFacts({
  cooking,
  step,
  act,
  inHand: { waitedS, leftS, state },
  sticky,
}: {
  cooking: Cooking;
  step: Step;
  act: Act;
  inHand: ReturnType<typeof useStep>;
  sticky: string | undefined;
}) {
  const { chance, loadS } = cooking;
  const hot = isHot(step);
  return (
    <div className={look.facts}>
      <StepMoments step={step} waitedS={waitedS} />
      {waitedS !== undefined ? (
        <p className={look.chance} role="timer" aria-label={`${step.verb}: ${leftS > 0 ? 'left' : 'over'}`}>
          {leftS > 0 ? `${clockWords(leftS)} to go` : `Up for ${sayDuration(Math.max(1, -leftS))}`}
          {hot && loadS !== undefined ? ` · ${clockWords(loadS)} in the steam` : ''}
        </p>
      ) : null}
      {hot && chance && state.is !== 'done' ? (
        <p className={look.chance} data-testid="chance">
          {chance.sentence}
        </p>
      ) : null}
      <ProbeLine cooking={cooking} step={step} act={act} />
      {sticky ? (
        <p className={wording.changed} data-testid="check-answer" aria-live="polite">
          {sticky}
        </p>
      ) : null}
      {step.lookFor ? (
        <p className={wording.look}>
          Look for: <Told>{step.lookFor}</Told>
        </p>
      ) : null}
      {step.taste ? (
        <p className={wording.look}>
          <Told>{step.taste}</Told>
        </p>
      ) : null}
    </div>
  );
}
