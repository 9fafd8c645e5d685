import type { Ingredient } from '../../larder';
import {
  ingredientOf,
  type BatterInForce,
  type LineInForce,
  type PlanInForce,
  type ResolvedPlan,
  type SchoolQuestion,
} from '../../plan';
import { flowBuilder, type FlowBuilder, type Handle, type Input } from '../builder';
import type { FlowLine, FlowResource, Take } from '../flow';
import { flowLines } from '../lines';
import { inSentence, shortName } from '../../units';

export const BOWL: readonly FlowResource[] = ['hands', 'bowl'];
export const RING: readonly FlowResource[] = ['hands', 'ring'];

/** What dry thing it was, and what it has become. */
export interface Softened {
  readonly piece: Handle;
  readonly name: string;
}

/** What a family's builder works with. */
export interface Kit {
  readonly b: FlowBuilder;
  readonly plan: PlanInForce;
  readonly resolved: ResolvedPlan;
  readonly lines: readonly FlowLine[];
  /** The cook's choice where there is one, else the family's usual. */
  readonly school: (q: SchoolQuestion) => string | undefined;
  readonly ingredient: (l: Pick<LineInForce, 'ingredient'>) => Ingredient;
  /** Lines that have been soaked or boiled soft, by id. */
  readonly softened: Map<string, Softened>;
}

export function newKit(resolved: ResolvedPlan, pieces: number | undefined): Kit {
  const lines = flowLines(resolved, pieces);
  return {
    b: flowBuilder(lines),
    plan: resolved.plan,
    resolved,
    lines,
    school: (q) => resolved.plan.schools[q],
    ingredient: (l) => ingredientOf(resolved.larder, l),
    softened: new Map(),
  };
}

/** Lines of one batter made ready, sorted by how they go in. */
export interface Ready {
  readonly batter: BatterInForce;
  /** Flours, starches and unsoaked grain. */
  readonly dry: Take[];
  /** Soaked grain. */
  readonly grain: Handle[];
  /** Flour to be cooked to a paste first. */
  readonly roux: Take[];
  /** Sugar that goes in dry, salt, spices, oil. */
  readonly season: Take[];
  readonly cold: Take[];
  readonly boiling: Take[];
  readonly syrup: Take[];
  /** Liquid worked in last, to the mark. */
  readonly last: Take[];
  readonly yeast: Take[];
  readonly powder: Take[];
  /** What flows with the batter: mashed roots, grated coconut, whisked egg. */
  readonly pulp: Input[];
  readonly juice: Handle[];
  /** Pieces to fold in, and those kept for the top. */
  readonly pieces: Input[];
  readonly top: Handle[];
}

export const newReady = (batter: BatterInForce): Ready => ({
  batter,
  dry: [],
  grain: [],
  roux: [],
  season: [],
  cold: [],
  boiling: [],
  syrup: [],
  last: [],
  yeast: [],
  powder: [],
  pulp: [],
  juice: [],
  pieces: [],
  top: [],
});

/** An ingredient's name as it stands in the middle of a sentence. */
export const lowerName = (name: string): string => inSentence(shortName(name));

/** Grams of takes, g. */
export const massOfTakes = (k: Kit, takes: readonly Take[]): number =>
  takes.reduce((a, t) => a + k.lines[t.line].massG * t.share, 0);

/** Salt written for the drawing or the frying of a line, as far as it is not yet used. */
export const saltLeft = (k: Kit, l: LineInForce): Take[] =>
  ['draw', 'fry'].map((s) => `${l.id}/${s}`).flatMap((id) => (k.b.has(id) ? [k.b.take(id)] : []));
