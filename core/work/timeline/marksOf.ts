import type { Forecast } from '../../forecast/forecast.types';
import { crossing } from '../../model/rest';
import { traitsOf } from '../../flow';
import { COOLING, sayDuration } from '../../units';
import type { LaidStep } from './layOut';
import { overWater, stackIn, pourSteam } from '../../stations/steam';

export type MarkKind = 'check' | 'clean' | 'plan' | 'late' | 'pour' | 'turn' | 'safe' | 'unsafe' | 'leaves' | 'cuts';

/** A moment that matters, on the life's clock. */
export interface LifeMark {
  readonly kind: MarkKind;
  readonly atS: number;
  /** Where it is a range: its end. */
  readonly toS?: number;
  /** What it is, short, and its minutes on the clock of its station. */
  readonly words: string;
  readonly minutes: string;
}

/** When the steam's own clock begins: once the hands have closed the lid; of a stack, with its first pour. */
export function steamStartS(laid: readonly LaidStep[]): number | undefined {
  const l = laid.find(({ step }) => traitsOf(step.op).steamClock);
  return l && (l.step.op === 'layer' ? l.fromS : l.handsToS);
}
/** When the cooling's own clock begins. */
export const coolStartS = (laid: readonly LaidStep[]): number | undefined =>
  laid.find(({ step }) => step.op === 'cool')?.fromS;

function steamMarks(laid: readonly LaidStep[], { heat }: Pick<Forecast, 'heat'>): LifeMark[] {
  const from = steamStartS(laid);
  const steam = overWater(heat);
  if (from === undefined || !steam?.times) return [];
  const { times, spread } = steam;
  const clean = times.firstCleanPickS.value;
  const at = (kind: MarkKind, s: number, words: string): LifeMark => ({
    kind,
    atS: from + s,
    words,
    minutes: sayDuration(s),
  });
  const pours = (stackIn(heat)?.pours ?? []).slice(1).map((p, i) => at('pour', p.atS, `pour ${i + 2}`));
  if (pourSteam(heat)?.pressure)
    return [at('plan', times.planForS, 'let go'), at('late', times.noLaterThanS, 'no later')];
  return [
    ...pours,
    at('check', times.checkAtS, 'check'),
    spread && spread.high !== undefined
      ? {
          ...at('clean', spread.low, 'clean'),
          toS: from + spread.high,
          minutes: `${sayDuration(spread.low)} to ${sayDuration(spread.high)}`,
        }
      : at('clean', clean, 'clean'),
    at('plan', times.planForS, 'plan for'),
    at('late', times.noLaterThanS, 'no later'),
  ];
}

/** Where the middle passes the two ends of the stretch that food safety watches. */
function coolMarks(laid: readonly LaidStep[], { heat }: Pick<Forecast, 'heat'>): LifeMark[] {
  const from = coolStartS(laid);
  const rest = heat?.rest;
  if (from === undefined || !rest) return [];
  const at = (kind: MarkKind, s: number | undefined, words: string): LifeMark[] =>
    s === undefined ? [] : [{ kind, atS: from + s, words, minutes: sayDuration(s) }];
  const cold = rest.check.rule === 'two-stage' ? crossing(rest.curve, (p) => p.centreC, COOLING.lastC) : undefined;
  return [
    ...at('leaves', rest.unmouldAtS, 'leaves the pan'),
    ...at(rest.check.safe ? 'safe' : 'unsafe', cold, rest.check.safe ? 'cold, safe' : 'cold too late'),
    ...at('late', rest.check.eatByS, 'eat or chill by'),
    ...at('cuts', rest.cutReadyAtS, 'cuts clean'),
  ];
}

/** Loads into the pan. */
const turnMarks = (laid: readonly LaidStep[]): LifeMark[] =>
  laid.flatMap(({ step, fromS }) =>
    step.op === 'sear'
      ? (step.timeline ?? [])
          .filter((m) => m.atS > 0 && / in$/.test(m.words))
          .map((m) => ({ kind: 'turn' as const, atS: fromS + m.atS, words: 'next load', minutes: sayDuration(m.atS) }))
      : [],
  );

/** Every moment that matters, in order of the clock. */
export const marksOf = (laid: readonly LaidStep[], f: Pick<Forecast, 'heat'>): readonly LifeMark[] =>
  [...steamMarks(laid, f), ...coolMarks(laid, f), ...turnMarks(laid)].sort((a, b) => a.atS - b.atS);
