import type { ConcernCode } from '../../units';
import type { LinePlace, Plan, SchoolQuestion } from '../../plan';

/**
 * How much it matters: it could be better; it spoils the cake; it cannot work as planned; it can hurt who makes or eats it. Advice never
 * blocks.
 */
export const GRADES = ['better', 'spoils', 'impossible', 'unsafe'] as const;
export type Grade = (typeof GRADES)[number];
export const gradeRank = (l: Grade): number => GRADES.indexOf(l);

/** One change of a fix: plain data, so that it can be shown, tried, taken and undone. */
export type Change =
  | { readonly what: 'line'; readonly place: LinePlace; readonly id: string; readonly massG: number }
  | { readonly what: 'add'; readonly place: LinePlace; readonly ingredient: string; readonly massG: number }
  | { readonly what: 'liquid'; readonly batter: number; readonly wantedG: number }
  /** Fields of the plan as they then are; one that is undefined is left out of the plan. */
  | { readonly what: 'plan'; readonly set: Partial<Plan> }
  | { readonly what: 'school'; readonly question: SchoolQuestion; readonly option: string }
  | { readonly what: 'filling'; readonly filling: number; readonly by: number }
  | { readonly what: 'scale'; readonly by: number };

export interface Fix {
  /** On the button: what it does, in grams or pieces. */
  readonly words: string;
  readonly changes: readonly Change[];
}

export interface Advice {
  /** What it is, and of what: a batter, a filling, a node; empty for the whole plan. */
  readonly code: ConcernCode;
  readonly about: string;
  /** What it is about and where: the same fault keeps its id while it is mended. */
  readonly id: string;
  readonly grade: Grade;
  readonly sentence: string;
  /** Proposed, best first; only trying one says whether it clears this and raises nothing worse. */
  readonly fixes: readonly Fix[];
}

/** What something to mind is called. */
export const named = (code: ConcernCode, about = ''): Pick<Advice, 'id' | 'code' | 'about'> => ({
  id: about === '' ? code : `${code}:${about}`,
  code,
  about,
});

/** Worst first; what matters alike keeps the order in which a cook works. */
export const worstFirst = (all: readonly Advice[]): readonly Advice[] =>
  all.toSorted((a, b) => gradeRank(b.grade) - gradeRank(a.grade));
