import type { Forecast } from '../../forecast/forecast.types';
import { opOf } from '../../steps/step';
import { coolStartS, steamStartS } from './marksOf';
import { isBeside, type Life } from './lifeOf';
import type { LaidStep } from './layOut';

/** What the cake is at a moment of its life, with the clock of that state, s. */
export type CakeState =
  | { readonly is: 'mix' | 'pour' | 'cut' | 'plate'; readonly step: LaidStep }
  /** A batter that stands in its bowl: settling, or rising to so much of its way, 0–1. */
  | { readonly is: 'bowl'; readonly step: LaidStep; readonly forS: number; readonly way: number }
  | { readonly is: 'steam' | 'stand'; readonly step: LaidStep; readonly timeS: number }
  | { readonly is: 'pot' | 'film' | 'loads'; readonly step: LaidStep; readonly timeS: number }
  | { readonly is: 'cool'; readonly step: LaidStep; readonly timeS: number; readonly stage: number }
  | { readonly is: 'sear'; readonly step: LaidStep; readonly timeS: number }
  | { readonly is: 'roll'; readonly step: LaidStep; readonly timeS: number };

const STANDS: ReadonlySet<string> = new Set(['rest', 'ferment']);
/** What is told by the steam's own clock. */
const BY_STEAM: ReadonlySet<string> = new Set(['steam', 'layer', 'check', 'stand']);
/** Once it lies in its vessel, a step of the vessel's station is the pour. */
const POURED: ReadonlySet<string> = new Set(['pour', 'top']);

/** The step of the cake that runs at a moment: the last one begun, what is done beside it left out. */
function stepAt(laid: readonly LaidStep[], atS: number): LaidStep {
  const own = laid.filter((l) => !isBeside(l.step.id));
  const list = own.length > 0 ? own : laid;
  return list.reduce((best, l) => (l.fromS <= atS + 1e-6 && l.fromS >= best.fromS ? l : best), list[0]);
}

/**
 * What the cake is at a moment.
 * @param atS s from the first step
 */
export function cakeAt(life: Life, f: Pick<Forecast, 'light' | 'heat'>, atS: number): CakeState | undefined {
  if (life.laid.length === 0) return undefined;
  const l = stepAt(life.laid, atS);
  const op = opOf(l.step.id);
  const sinceS = Math.max(0, atS - l.fromS);
  if (STANDS.has(op))
    return {
      is: 'bowl',
      step: l,
      forS: Math.max(0, atS - l.handsToS),
      way: l.toS > l.handsToS ? Math.min(1, Math.max(0, (atS - l.handsToS) / (l.toS - l.handsToS))) : 1,
    };
  if (POURED.has(op)) return { is: 'pour', step: l };
  if (BY_STEAM.has(op)) {
    const timeS = Math.max(0, atS - (steamStartS(life.laid) ?? l.fromS));
    return { is: op === 'stand' ? 'stand' : 'steam', step: l, timeS };
  }
  if (op === 'fill') return { is: 'loads', step: l, timeS: sinceS };
  if (op === 'film') return { is: 'film', step: l, timeS: sinceS };
  if (op === 'cook-through') return { is: 'pot', step: l, timeS: sinceS };
  if (op === 'assemble') return { is: 'roll', step: l, timeS: sinceS };
  if (op === 'cool' || op === 'unmould') {
    const timeS = Math.max(0, atS - (coolStartS(life.laid) ?? l.fromS));
    const starts = f.heat?.rest?.stageStartsS ?? [0];
    return { is: 'cool', step: l, timeS, stage: Math.max(0, starts.filter((s) => s <= timeS).length - 1) };
  }
  if (op === 'sear' || op === 'dip') return { is: 'sear', step: l, timeS: op === 'sear' ? sinceS : 0 };
  if (op === 'cut' || op === 'keep-apart') return { is: 'cut', step: l };
  return { is: l.step.station === 'serve' ? 'plate' : 'mix', step: l };
}

/** Operations in which it is cooked. */
const COOKED: ReadonlySet<string> = new Set(['steam', 'layer', 'fill', 'film', 'cook-through']);
const middle = (from: number, to: number): number => (from + to) / 2;

/** The moment at which the needle stands when a station is opened: where its cake says most. */
export function momentOf(life: Life, station: string): number {
  const seg = life.segments.find((s) => s.station === station);
  if (!seg) return 0;
  const mark = (kind: string) => life.marks.find((m) => m.kind === kind)?.atS;
  const last = (ops: (op: string) => boolean) => life.laid.filter((l) => ops(opOf(l.step.id))).at(-1);
  switch (station) {
    case 'mix': {
      // Mixed, before anything is folded in or it stands.
      const mixed = last((op) => op === 'mix' || op === 'grind' || op === 'scald');
      return mixed ? mixed.toS - 1 : seg.fromS;
    }
    case 'steam': {
      const cooked = last((op) => COOKED.has(op));
      return mark('check') ?? (cooked ? middle(cooked.fromS, cooked.toS) : middle(seg.fromS, seg.toS));
    }
    case 'rest': {
      const cuts = mark('cuts');
      return cuts === undefined ? middle(seg.fromS, seg.toS) : Math.min(seg.toS, middle(seg.fromS, cuts));
    }
    default:
      return middle(seg.fromS, seg.toS);
  }
}
