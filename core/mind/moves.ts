import { HEATS } from '../kitchen';
import type { Look } from './lookAt';

/** What a fix moves, and which way: more of it or less. */
export type Moves = ReadonlyMap<string, 1 | -1>;

/** Under this share nothing has moved. */
const STILL = 0.004;

/** Amounts of a look that a fix can turn up or down. */
function amounts(look: Look): ReadonlyMap<string, number> {
  const { plan, light } = look;
  const lines = [...plan.batters.flatMap((b) => b.lines), ...plan.addIns, ...plan.fillings.flatMap((f) => f.lines)];
  const cooled = (where: string) => plan.cooling.reduce((s, x) => s + (x.where === where ? x.timeS : 0), 0);
  return new Map<string, number>([
    ...lines.map((l) => [`line ${l.ingredient}`, l.massG] as const),
    ['vessels', plan.vesselCount],
    ['layers', plan.layers ?? 0],
    ['heat', HEATS.indexOf(plan.heat) + 1],
    ['counter', cooled('counter')],
    ['ice', cooled('ice-bath')],
    ['fridge', cooled('fridge')],
    ...(light
      ? ([
          ['whole', light.balance.massG],
          ['depth', light.fill.depthM],
          ['hydration', light.balance.batters[0]?.liquidToDry ?? 0],
        ] as const)
      : []),
  ]);
}

/** What is more, and what is less, in one look than in another. */
export function movesOf(from: Look, to: Look): Moves {
  const was = amounts(from);
  const is = amounts(to);
  const moves = new Map<string, 1 | -1>();
  for (const key of new Set([...was.keys(), ...is.keys()])) {
    const [a, b] = [was.get(key) ?? 0, is.get(key) ?? 0];
    if (Math.abs(b - a) > STILL * Math.max(Math.abs(a), Math.abs(b))) moves.set(key, b > a ? 1 : -1);
  }
  return moves;
}

/** True where one takes back what the other gives: what both move, they all move against each other. */
export function opposed(a: Moves, b: Moves): boolean {
  const both = [...a.keys()].filter((k) => b.has(k));
  return both.length > 0 && both.every((k) => a.get(k) !== b.get(k));
}
