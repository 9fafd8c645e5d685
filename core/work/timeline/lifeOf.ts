import type { Forecast } from '../../forecast/forecast.types';
import { traitsOf } from '../../flow';
import type { Step } from '../../steps';
import { sayDuration } from '../../units';
import { layOut, type LaidStep } from './layOut';
import { marksOf, type LifeMark } from './marksOf';
import { STATIONS } from './stations';
import type { Station } from '../../flow';

/** A station's stretch of the clock, in the order in which this cake comes to them; empty where nothing of it takes time of its own. */
export interface LifeSegment {
  readonly station: Station;
  readonly fromS: number;
  readonly toS: number;
}

/** A stretch in which hands work, or nobody has to; they do not overlap and leave no gap. */
export interface LifeStretch {
  readonly is: 'hands' | 'wait';
  readonly fromS: number;
  readonly toS: number;
}

/** The whole life of a cake on one clock, s from the first step to the plate. */
export interface Life {
  readonly spanS: number;
  readonly laid: readonly LaidStep[];
  readonly segments: readonly LifeSegment[];
  readonly stretches: readonly LifeStretch[];
  readonly marks: readonly LifeMark[];
}

/** What is done beside the cake while it waits: it moves no station on. */
export const isBeside = (step: Pick<Step, 'op'>): boolean => traitsOf(step.op).beside === true;

/**
 * Each station from where its first step of the cake begins to where the next one's does. What is cooked in a pot comes to its vessel after the
 * heat; a station without a step keeps its place behind the one before it.
 */
function segmentsOf(laid: readonly LaidStep[], spanS: number): readonly LifeSegment[] {
  let last = 0;
  const begun = STATIONS.map((station, i) => {
    const first = laid.find((l) => l.step.station === station && !isBeside(l.step));
    last = i === 0 ? 0 : (first?.fromS ?? last);
    return { station, fromS: first || i === 0 ? last : undefined, orderS: last };
  }).sort((a, b) => a.orderS - b.orderS);
  let next = spanS;
  const segments: LifeSegment[] = [];
  for (const { station, fromS: own } of begun.reverse()) {
    const fromS = Math.min(own ?? next, next);
    segments.unshift({ station, fromS, toS: next });
    next = fromS;
  }
  return segments;
}

/** Hands at work or not, over the whole clock. */
function stretchesOf(laid: readonly LaidStep[], spanS: number): readonly LifeStretch[] {
  const out: LifeStretch[] = [];
  const add = (is: LifeStretch['is'], fromS: number, toS: number) => {
    const last = out.at(-1);
    if (toS <= fromS) return;
    if (last?.is === is) out[out.length - 1] = { ...last, toS };
    else out.push({ is, fromS, toS });
  };
  let at = 0;
  for (const l of laid) {
    add('wait', at, l.fromS);
    add('hands', Math.max(at, l.fromS), l.handsToS);
    at = Math.max(at, l.handsToS);
  }
  add('wait', at, spanS);
  return out;
}

/**
 * The life of a cake as its forecast tells it.
 * @param f a forecast; without heat the waits are those of the first evaluation
 */
export function lifeOf(f: Pick<Forecast, 'steps' | 'heat'>): Life {
  const laid = layOut(f.steps);
  const spanS = laid.reduce((most, l) => Math.max(most, l.toS), 0);
  return {
    spanS,
    laid,
    segments: segmentsOf(laid, spanS),
    stretches: stretchesOf(laid, spanS),
    marks: marksOf(laid, f),
  };
}

/** A moment of a life in words, "2 h 10 from the first step". @param atS s from the first step */
export const sayClock = (atS: number): string => `${sayDuration(Math.max(0, atS))} from the first step`;
