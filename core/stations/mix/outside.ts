import type { Band } from '../../units';
import type { Grade } from './advice.types';

/** Within this of an edge nothing is said: scales and cups are no finer, share of the edge. */
const SLACK = 0.03;
/** Further out than this is something to mind, share of the edge. */
const FAR = 0.25;

export interface Outside {
  readonly side: 'low' | 'high';
  readonly grade: Grade;
  readonly edge: number;
  /** Just inside the band: what a fix aims at. */
  readonly aim: number;
}

/** Where a value lies outside a band, and what would be just inside; undefined where it lies in it. */
export function outside(value: number, [low, high]: Band, slack = SLACK): Outside | undefined {
  const width = high - low;
  const inward = Math.min(width / 2, Math.max(0.02 * high, 0.1 * width));
  if (value < low * (1 - slack))
    return { side: 'low', grade: value < low * (1 - FAR) ? 'spoils' : 'better', edge: low, aim: low + inward };
  if (value > high * (1 + slack) + 1e-9)
    return { side: 'high', grade: value > high * (1 + FAR) ? 'spoils' : 'better', edge: high, aim: high - inward };
  return undefined;
}

const figure = (x: number): string => String(Number(x.toFixed(x < 2 ? 2 : x < 10 ? 1 : 0)));
/** "0.45 to 0.6": a band as it is said. */
export const sayBand = ([low, high]: Band): string =>
  low === high ? figure(low) : `${figure(low)} to ${figure(high)}`;
