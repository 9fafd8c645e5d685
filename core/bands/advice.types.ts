import type { LinePlace } from '../plan';

/** How much it matters: a matter of degree, something to mind, or harm. Advice never blocks. */
export const ADVICE_LEVELS = ['better', 'mind', 'must'] as const;
export type AdviceLevel = (typeof ADVICE_LEVELS)[number];
export const levelRank = (l: AdviceLevel): number => ADVICE_LEVELS.indexOf(l);

/** One change of a fix: plain data, so that it can be shown, tried, taken and undone. */
export type Change =
  | { readonly what: 'line'; readonly place: LinePlace; readonly id: string; readonly massG: number }
  | { readonly what: 'add'; readonly place: LinePlace; readonly ingredient: string; readonly massG: number }
  | { readonly what: 'liquid'; readonly batter: number; readonly wantedG: number }
  | { readonly what: 'vessels'; readonly count: number }
  | { readonly what: 'vessel'; readonly id: string; readonly count: number }
  | { readonly what: 'layers'; readonly layers: number }
  | { readonly what: 'filling'; readonly filling: number; readonly by: number }
  | { readonly what: 'scale'; readonly by: number };

export interface Fix {
  /** On the button: what it does, in grams or pieces. */
  readonly words: string;
  readonly changes: readonly Change[];
}

export interface Advice {
  /** What it is about and where: the same fault keeps its id while it is mended. */
  readonly id: string;
  readonly level: AdviceLevel;
  readonly sentence: string;
  /** Proposed; {@link tryFix} says whether it clears this and raises nothing worse. */
  readonly fix?: Fix;
}

/** Worst first; what matters alike keeps the order in which a cook works. */
export const worstFirst = (all: readonly Advice[]): readonly Advice[] =>
  all.toSorted((a, b) => levelRank(b.level) - levelRank(a.level));
