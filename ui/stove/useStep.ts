'use client';
import { useMemo, useState } from 'react';
import { answerCheck, boundsOf, LEAST_STEAMED_S, ODD_SIGMAS, sigmasOff, type Check } from '@/core/work/notebook';
import { timerOf, type Step } from '@/core/steps';
import { traitsOf } from '@/core/flow';
import { isOver, priceOf, steamedInLoad, waitReading, type StepState } from '@/core/work/stove';
import { sayDuration } from '@/core/units';
import type { Act } from './useAct';
import type { Cooking } from './useCooking';

/** A wait shorter than this is not begun, it is part of the step, s. */
const SHORT_S = 20;

const STATE_WORDS = { clean: 'Clean', nearly: 'Nearly', sticky: 'Sticky' } as const;

/** A step as it stands, and what its presses do. */
export interface StepInHand {
  readonly op: Step['op'];
  readonly state: StepState;
  /** How long its wait has run, s; undefined where none does. */
  readonly waitedS: number | undefined;
  readonly leftS: number;
  readonly checks: readonly Check[];
  /** True where a pick answers it. */
  readonly picks: boolean;
  readonly pick: (state: Check['state']) => void;
  /** The big press; undefined where the picks are that. */
  readonly main: { readonly words: string; readonly press: () => void } | undefined;
  /** The next pour of a stack, which the big press says; undefined for any other step. */
  readonly pour: number | undefined;
  /** Done, without a wait having been begun, or before all is poured. */
  readonly done: (() => void) | undefined;
  readonly leaveOut: (() => void) | undefined;
  /** What is asked before a pick is written down: how long it has steamed, or whether what is so far from the forecast is right. */
  readonly ask:
    | {
        readonly is: 'minutes';
        readonly words: string;
        readonly take: (minutes: number) => void;
        readonly leave: () => void;
      }
    | { readonly is: 'sure'; readonly words: string; readonly yes: () => void; readonly leave: () => void }
    | undefined;
  /** What it costs to end the wait now, while that is asked. */
  readonly price: { readonly words: string; readonly waitOn: () => void; readonly cut: () => void } | undefined;
}

/** What can be done with a step of a batch at the stove. */
export function useStep(cooking: Cooking, step: Step, act: Act): StepInHand {
  const { hand, forecast, course, chance, inSteamS, nowMs, expected } = cooking;
  const { op } = step;
  const state = course.states.get(step.id) ?? { is: 'to-do' as const };
  const waitedS = state.is === 'waiting' ? Math.max(0, (nowMs - state.beganMs) / 1000) : undefined;
  const leftS = state.is === 'waiting' ? state.forS - (waitedS ?? 0) : 0;
  const [asked, setAsked] = useState<{ readonly stepId: string; readonly words: string } | undefined>(undefined);
  const [asking, setAsking] = useState<
    { readonly stepId: string; readonly state: Check['state']; readonly afterS: number | undefined } | undefined
  >(undefined);
  const checks = useMemo(() => hand.events.flatMap((e) => (e.kind === 'checked' ? [e] : [])), [hand.events]);
  const done = () => {
    setAsked(undefined);
    const reading = waitedS === undefined ? undefined : waitReading(forecast, step, waitedS);
    if (reading !== undefined) act({ kind: 'read', stepId: step.id, slot: 'waitedS', value: reading });
    act({ kind: 'ticked', stepId: step.id, done: true });
  };
  /** Before a wait is cut short: its price. It is worked out when it is asked for, not with every second. */
  const end = () => {
    const steamed = traitsOf(op).steamClock === true;
    const words =
      waitedS === undefined ? undefined : priceOf(forecast, step, waitedS, steamed ? chance?.chance : undefined);
    if (words) setAsked({ stepId: step.id, words });
    else done();
  };
  const write = (s: Check['state'], afterS: number) => {
    setAsking(undefined);
    const check = { kind: 'checked', state: s, afterS: Math.round(afterS) } as const;
    act(check, expected && answerCheck([...checks, check], expected).sentence);
  };
  /** A pick, once it is known how long it has steamed, and asked about where it lies far from all that was forecast. */
  const picked = (s: Check['state'], afterS: number | undefined) => {
    const bounds = afterS === undefined ? undefined : boundsOf([{ state: s, afterS }]);
    const odd = bounds && expected && sigmasOff(bounds, expected.medianS, expected.sigma) > ODD_SIGMAS;
    if (afterS === undefined || afterS < LEAST_STEAMED_S || odd)
      setAsking({
        stepId: step.id,
        state: s,
        afterS: afterS !== undefined && afterS >= LEAST_STEAMED_S ? afterS : undefined,
      });
    else write(s, afterS);
  };
  const forS = timerOf(step);
  /** The pour that waits for the last one to be tacky. */
  const pour =
    op === 'layer' && waitedS !== undefined
      ? step.timeline?.find((m) => m.turn?.is === 'pour' && m.turn.number > 1 && !isOver(m, waitedS))?.turn?.number
      : undefined;
  const begins = state.is === 'to-do' && forS >= SHORT_S;
  return {
    op,
    state,
    waitedS,
    leftS,
    checks,
    picks: (step.answers ?? []).some((a) => a.kind === 'pick') && (op !== 'fill' || state.is === 'waiting'),
    pick: (s) => picked(s, op === 'fill' ? steamedInLoad(step, waitedS ?? 0) : inSteamS),
    ask:
      asking?.stepId !== step.id
        ? undefined
        : asking.afterS === undefined
          ? {
              is: 'minutes',
              words: `${inSteamS === undefined ? 'Nothing was begun here' : 'It was begun only now'}: how many minutes has it steamed?`,
              take: (minutes) => picked(asking.state, 60 * minutes),
              leave: () => setAsking(undefined),
            }
          : {
              is: 'sure',
              words: `${STATE_WORDS[asking.state]} at ${sayDuration(asking.afterS)}, where about ${sayDuration(expected?.medianS ?? 0)} was forecast: is that right?`,
              yes: () => {
                write(asking.state, asking.afterS ?? 0);
                act({ kind: 'vouched' });
              },
              leave: () => setAsking(undefined),
            },
    main:
      op === 'check'
        ? undefined
        : state.is === 'done'
          ? { words: 'Not done yet', press: () => act({ kind: 'ticked', stepId: step.id, done: false }) }
          : begins
            ? { words: `Begin: ${sayDuration(forS)}`, press: () => act({ kind: 'begun', stepId: step.id }) }
            : pour !== undefined
              ? {
                  words: `Tacky: pour ${pour}`,
                  press: () => act({ kind: 'said', stepId: step.id, words: 'tacky' }, `Pour ${pour} is on.`),
                }
              : state.is === 'waiting' && leftS > 0
                ? { words: op === 'steam' ? 'Check now' : 'Done now', press: end }
                : { words: 'Done', press: done },
    done: op === 'check' ? undefined : begins ? done : pour === undefined ? undefined : end,
    pour,
    leaveOut:
      state.is === 'done' ? undefined : () => act({ kind: 'ticked', stepId: step.id, done: true, skipped: true }),
    price:
      asked?.stepId === step.id && state.is === 'waiting'
        ? { words: asked.words, waitOn: () => setAsked(undefined), cut: done }
        : undefined,
  };
}

/** True for a step in the steam, or that looks into it. */
export const isHot = (step: Step): boolean => traitsOf(step.op).inSteam === true || step.op === 'check';
