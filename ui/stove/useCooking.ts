'use client';
import equal from 'fast-deep-equal';
import { useMemo, useState } from 'react';
import type { Forecast } from '@/core/forecast';
import type { Kitchen } from '@/core/kitchen';
import { answerCheck, type Expected, type StampedEvent } from '@/core/work/notebook';
import type { Plan } from '@/core/plan';
import type { Step } from '@/core/steps';
import {
  asCooked,
  cleanChance,
  courseOf,
  expectedClean,
  atPace,
  byTouch,
  inCake,
  lastMoving,
  probed,
  probeReadings,
  rebalanceWords,
  steamedInLoad,
  steamedS,
  steamingOf,
  timersOf,
  NOTHING_MOVES,
  whatChanged,
  type CleanChance,
  type ProbeReading,
  type Course,
  type Timer,
  expectedAsPlanned,
} from '@/core/work/stove';
import { useForecast } from '../plan/useForecast';
import type { BatchHand } from './useBatch';
import { pourSteam } from '@/core/stations/steam/cooking';

/** Everything that is known of a batch at the stove at a moment. */
export interface Cooking {
  readonly hand: BatchHand;
  /** As it is being cooked; undefined until it is worked out, or where something of the kitchen is gone. */
  readonly forecast: Forecast | undefined;
  readonly steps: readonly Step[];
  readonly course: Course;
  readonly timers: readonly Timer[];
  readonly chance: CleanChance | undefined;
  /** When it should be clean, by forecast and probe; undefined where nothing is steamed. */
  readonly expected: Expected | undefined;
  /** What a probe in the cake has read, put right. */
  readonly readings: readonly ProbeReading[];
  /** True while the probe is not in the cake. */
  readonly outside: boolean;
  /** Seconds in the steam; undefined before. */
  readonly inSteamS: number | undefined;
  /** Seconds that the load in the steam has been in it. */
  readonly loadS: number | undefined;
  /** What the last answer moved, in a sentence. */
  readonly changed: string | undefined;
  readonly nowMs: number;
  /** Pans of the kitchen as it stands. */
  readonly rack: Kitchen['vessels'];
  /** True while the heat is worked out anew. */
  readonly thinking: boolean;
}

interface Settled {
  readonly plan: Plan;
  readonly forecast: Forecast;
  /** What an answer moved, in words, and the answer's key. */
  readonly changed?: { readonly words: string; readonly by: string };
}

/** What an event moved, in words: how to put right what was poured over, then what it changes of all that follows. */
function moved(before: Forecast, after: Forecast, last: StampedEvent | undefined): Settled['changed'] {
  if (!last) return undefined;
  const words = whatChanged(before, after);
  const said = (x: string) => ({ words: x, by: last.key });
  // Nobody has asked what a wait that ran over moves, or a step left out, if it moves nothing.
  if (last.kind === 'ticked' || (last.kind === 'read' && last.slot === 'waitedS'))
    return said(words === NOTHING_MOVES ? '' : words);
  if (last.kind !== 'line-weighed' && last.kind !== 'line-changed') return said(words);
  const right = rebalanceWords(before.light, after.light, last.line);
  // A gram of noise is not worth a sentence.
  return said(last.kind === 'line-weighed' && right === '' ? '' : [right, words].filter((x) => x !== '').join(' '));
}

/** The forecast of a batch as it is being cooked, and what the last change of it moved. */
function useAsCooked(hand: BatchHand, kitchen: Kitchen) {
  const { snapshot } = hand.batch;
  const made = asCooked(snapshot.plan, hand.events);
  // The same plan stays the same object: nothing is worked out again for a tick.
  const [plan, setPlan] = useState<Plan>(made);
  if (plan !== made && !equal(plan, made)) setPlan(made);
  const live = useForecast(plan, snapshot.kitchen ?? kitchen);
  // What is settled stays in view while the heat is worked out anew.
  const [settled, setSettled] = useState<Settled | undefined>(undefined);
  const { forecast, heating } = live;
  if (forecast && !heating && settled?.forecast !== forecast) {
    const same = settled?.plan === plan;
    setSettled({
      plan,
      forecast,
      changed: settled && !same ? moved(settled.forecast, forecast, lastMoving(hand.events)) : settled?.changed,
    });
  }
  return { settled, heating, trouble: live.heatTrouble };
}

/** A batch at the stove: the forecast as it is being cooked, where the cook stands, every timer, the chance that it is clean. */
export function useCooking(hand: BatchHand, kitchen: Kitchen, nowMs: number): Cooking {
  const { batch, events } = hand;
  const { figures } = batch.snapshot;
  const { settled, heating } = useAsCooked(hand, kitchen);
  const forecast = settled?.forecast;
  const checks = useMemo(() => events.flatMap((e) => (e.kind === 'checked' ? [e] : [])), [events]);
  const readings = useMemo(() => probeReadings(events), [events]);
  const warming = pourSteam(forecast?.heat)?.history;
  const told = useMemo(
    () => byTouch(forecast?.steps ?? batch.snapshot.steps, events),
    [forecast, batch.snapshot.steps, events],
  );
  const planned = useMemo(() => {
    if (forecast) return expectedClean(forecast, told);
    // Until the heat is worked out, as it was planned.
    return expectedAsPlanned(figures);
  }, [forecast, figures, told]);
  const expected = useMemo(
    () => (planned && warming ? probed(readings, warming, planned) : planned),
    [planned, readings, warming],
  );
  const ours = useMemo(
    () => (planned && warming ? inCake(readings, warming, planned) : []),
    [planned, readings, warming],
  );
  const waitS = useMemo(
    () => (checks.length > 0 && expected ? answerCheck(checks, expected).moreS : 0),
    [checks, expected],
  );
  // A cake that warms slower than forecast is looked at later: the steam's wait goes by what the probe has read.
  const factor = expected && planned ? Math.round((100 * expected.medianS) / planned.medianS) / 100 : 1;
  const steps = useMemo(() => atPace(told, forecast, factor), [told, forecast, factor]);
  // Second by second only what the clock moves.
  const secondMs = Math.floor(nowMs / 1000) * 1000;
  const course = useMemo(() => courseOf(steps, events, secondMs, waitS), [steps, events, secondMs, waitS]);
  const timers = useMemo(
    () => timersOf(steps, course, events, forecast, secondMs),
    [steps, course, events, forecast, secondMs],
  );
  const steaming = steamingOf(events);
  const inSteamS = steaming ? steamedS(steaming, nowMs) : undefined;
  const steamStep = steaming && steps.find((s) => s.id === steaming.stepId);
  /** Of what is in the steam now, where loads go in turn. */
  const loadS = inSteamS !== undefined && steamStep ? steamedInLoad(steamStep, inSteamS) : inSteamS;
  return {
    hand,
    forecast,
    steps,
    course,
    timers,
    chance: expected && loadS !== undefined ? cleanChance(expected, checks, loadS) : undefined,
    expected,
    readings: ours,
    outside: readings.length > 0 && ours.at(-1) !== readings.at(-1),
    inSteamS,
    loadS,
    changed: settled?.changed?.by === lastMoving(events)?.key ? settled?.changed?.words : undefined,
    nowMs,
    rack: kitchen.vessels,
    thinking: heating,
  };
}
