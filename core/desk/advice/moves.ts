import { familyOf } from '../../families';
import { HEATS } from '../../kitchen';
import { layersOf, type Plan } from '../../plan';

/** What a fix moves, and which way: more of it or less. */
export type Moves = ReadonlyMap<string, 1 | -1>;

/** Under this share nothing has moved. */
const STILL = 0.004;

/** Grams that a plan writes down, by line; what is wanted of liquid is one too. */
const grams = (plan: Plan): ReadonlyMap<string, number> =>
  new Map([
    ...plan.batters.flatMap((b) => [
      ...b.lines.map((l) => [`line ${l.id}`, l.massG] as const),
      [`liquid ${b.id}`, b.wantedLiquidG ?? 0] as const,
    ]),
    ...plan.addIns.map((l) => [`line ${l.id}`, l.massG] as const),
    ...plan.fillings.flatMap((f) => f.lines.map((l) => [`line ${l.id}`, l.massG] as const)),
  ]);
/** What else can be turned up or down. */
function settings(plan: Plan): ReadonlyMap<string, number> {
  const family = familyOf(plan.family);
  const cooled = (where: string) => plan.cooling.reduce((s, x) => s + (x.where === where ? x.timeS : 0), 0);
  return new Map<string, number>([
    ['vessels', plan.vesselCount],
    ['layers', family.ok ? layersOf(plan, family.value) : 1],
    ['heat', HEATS.indexOf(plan.heat) + 1],
    ['counter', cooled('counter')],
    ['ice', cooled('ice-bath')],
    ['fridge', cooled('fridge')],
  ]);
}

const middle = (xs: readonly number[]): number => xs.toSorted((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 1;

/**
 * What is more, and what is less, in one plan than in another. All brought up or down together is one thing that moves, and each line only where
 * it moves against the others.
 */
export function movesOf(from: Plan, to: Plan): Moves {
  const moves = new Map<string, 1 | -1>();
  const note = (key: string, was: number, is: number) => {
    if (Math.abs(is - was) > STILL * Math.max(Math.abs(was), Math.abs(is))) moves.set(key, is > was ? 1 : -1);
  };
  const [was, is] = [grams(from), grams(to)];
  const all = middle([...was].flatMap(([key, g]) => (g > 0 && is.has(key) ? [(is.get(key) ?? 0) / g] : [])));
  note('whole', 1, all);
  for (const key of new Set([...was.keys(), ...is.keys()])) note(key, all * (was.get(key) ?? 0), is.get(key) ?? 0);
  const [set, then] = [settings(from), settings(to)];
  for (const [key, value] of set) note(key, value, then.get(key) ?? 0);
  return moves;
}

/** True where one takes back what the other gives: what both move, they all move against each other. */
export function opposed(a: Moves, b: Moves): boolean {
  const both = [...a.keys()].filter((k) => b.has(k));
  return both.length > 0 && both.every((k) => a.get(k) !== b.get(k));
}
