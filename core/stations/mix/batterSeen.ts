import type { BatterBands, Family } from '../../families';
import type { BatterBalance, FlowLine } from '../../flow';
import type { Change } from './advice.types';

/** One batter as the bands see it. */
export interface BatterSeen {
  readonly family: Family;
  readonly bands: BatterBands;
  readonly balance: BatterBalance;
  readonly index: number;
  /** "Bean: " where there are several. */
  readonly named: string;
  /** Its own lines, strewn salts left out. */
  readonly lines: readonly FlowLine[];
  /** Liquid wanted in all, where the plan tops up. */
  readonly wantedG: number | undefined;
  readonly nameOf: (ingredient: string) => string;
}

export const sumOf = (lines: readonly FlowLine[]): number => lines.reduce((a, l) => a + l.massG, 0);
export const change = (place: number | 'addIns', l: FlowLine, massG: number): Change => ({
  what: 'line',
  place,
  id: l.id,
  massG: Math.max(0, massG),
});
/** Lines scaled together; a missing one is added. */
export const scaled = (b: BatterSeen, lines: readonly FlowLine[], toG: number, ingredient: string): Change[] => {
  const now = sumOf(lines);
  return now > 0
    ? lines.map((l) => change(b.index, l, (l.massG * toG) / now))
    : [{ what: 'add', place: b.index, ingredient, massG: toG }];
};
/** Beans' dry matter, share of the cooked bean. */
const BEAN_DRY = 0.34;
export const BEANS = new Set(['mung-beans-cooked', 'red-beans-cooked', 'black-beans-cooked']);
export const beans = (b: BatterSeen): number => sumOf(b.lines.filter((l) => BEANS.has(l.ingredient)));
/** What sugar is judged on: dry blend and the dry matter of its beans. */
export const sugarBasis = (b: BatterSeen): number => b.balance.dryBlendG + BEAN_DRY * beans(b);
