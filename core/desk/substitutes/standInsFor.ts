import type { Composition, Ingredient, Larder } from '../../larder';
import { STAND_INS, type StandIn } from './ingredients.data';

const PARTS = ['water', 'starch', 'sugars', 'fat', 'protein', 'fibreAsh'] as const;
/** What an ingredient is used for, by kind: the part that a stand-in must bring as much of. */
const MEASURE: Partial<Readonly<Record<Ingredient['kind'], keyof Composition>>> = {
  flour: 'starch',
  starch: 'starch',
  grain: 'starch',
  sugar: 'sugars',
  salt: 'salt',
  fat: 'fat',
};
const MOST = 6;
const GENERAL = 3;

const distance = (a: Composition, b: Composition): number =>
  Math.sqrt(PARTS.reduce((s, k) => s + (a[k] - b[k]) ** 2, 0) + 4 * (a.salt - b.salt) ** 2);

/**
 * The nearest of what is used for the same part, where nobody has written down a better one: a cook's own flour or sugar. What is used for
 * its taste or bite has no nearest by composition.
 */
function general(i: Ingredient, larder: Larder): StandIn[] {
  const by = MEASURE[i.kind];
  if (!by || i.per100[by] <= 1) return [];
  return [...larder.values()]
    .filter((o) => o.kind === i.kind && o.id !== i.id && o.per100[by] > 1 && o.starchKind === i.starchKind)
    .map((o) => ({ o, d: distance(i.per100, o.per100) }))
    .filter(({ d }) => d < 45)
    .sort((a, b) => a.d - b.d)
    .slice(0, GENERAL)
    .map(({ o }) => ({
      from: i.id,
      to: o.id,
      factor: i.per100[by] / o.per100[by],
      changes: `The nearest ${i.kind} in the larder; taste and bite are its own.`,
    }));
}

/** What can stand in for an ingredient: what we know, else the nearest of its kind; nothing where only itself will do. */
export function standInsFor(i: Ingredient, larder: Larder): readonly StandIn[] {
  const known = STAND_INS.filter((s) => s.from === i.id && larder.has(s.to));
  return (known.length > 0 ? known : general(i, larder)).slice(0, MOST);
}
