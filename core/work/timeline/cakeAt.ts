import { there } from '../../units';
import type { Forecast } from '../../forecast/forecast.types';
import { traitsOf, type Operation } from '../../flow';
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

/** The step of the cake that runs at a moment: the last one begun, what is done beside it left out. */
function stepAt(laid: readonly LaidStep[], atS: number): LaidStep {
  const own = laid.filter((l) => !isBeside(l.step));
  const list = own.length > 0 ? own : laid;
  return list.reduce((best, l) => (l.fromS <= atS + 1e-6 && l.fromS >= best.fromS ? l : best), there(list[0]));
}

/**
 * What the cake is at a moment.
 * @param atS s from the first step
 */
export function cakeAt(life: Life, f: Pick<Forecast, 'light' | 'heat'>, atS: number): CakeState | undefined {
  if (life.laid.length === 0) return undefined;
  const l = stepAt(life.laid, atS);
  const { op } = l.step;
  const sinceS = Math.max(0, atS - l.fromS);
  const { shows } = traitsOf(op);
  switch (shows) {
    case 'bowl':
      return {
        is: 'bowl',
        step: l,
        forS: Math.max(0, atS - l.handsToS),
        way: l.toS > l.handsToS ? Math.min(1, Math.max(0, (atS - l.handsToS) / (l.toS - l.handsToS))) : 1,
      };
    case 'steam':
    case 'stand':
      return { is: shows, step: l, timeS: Math.max(0, atS - (steamStartS(life.laid) ?? l.fromS)) };
    case 'cool': {
      const timeS = Math.max(0, atS - (coolStartS(life.laid) ?? l.fromS));
      const starts = f.heat?.rest?.stageStartsS ?? [0];
      return { is: 'cool', step: l, timeS, stage: Math.max(0, starts.filter((s) => s <= timeS).length - 1) };
    }
    case 'sear':
      return { is: 'sear', step: l, timeS: op === 'sear' ? sinceS : 0 };
    case 'loads':
    case 'film':
    case 'pot':
    case 'roll':
      return { is: shows, step: l, timeS: sinceS };
    case 'pour':
    case 'cut':
      return { is: shows, step: l };
    case undefined:
      return { is: l.step.station === 'serve' ? 'plate' : 'mix', step: l };
  }
}

const middle = (from: number, to: number): number => (from + to) / 2;

/** The moment at which the needle stands when a station is opened: where its cake says most. */
export function momentOf(life: Life, station: string): number {
  const seg = life.segments.find((s) => s.station === station);
  if (!seg) return 0;
  const mark = (kind: string) => life.marks.find((m) => m.kind === kind)?.atS;
  const last = (ops: (op: Operation | undefined) => boolean) => life.laid.filter((l) => ops(l.step.op)).at(-1);
  switch (station) {
    case 'mix': {
      // Mixed, before anything is folded in or it stands.
      const mixed = last((op) => op === 'mix' || op === 'grind' || op === 'scald');
      return mixed ? mixed.toS - 1 : seg.fromS;
    }
    case 'steam': {
      const cooked = last((op) => traitsOf(op).cooks === true);
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
