import type { Ingredient } from './ingredientSchema';
import { larderOf } from './lookup';

/** An entry told by how it differs from the shipped one of its id; one with no shipped one is whole. */
export interface LikeTable {
  readonly id: string;
  readonly own: Partial<Ingredient>;
  /** What the shipped entry has and this one has not. */
  readonly without?: readonly string[];
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);
type Fields = Readonly<Record<string, unknown>>;

/** A kitchen's entry as its difference from the shipped table: a few words instead of a page. */
export function likeTable(entry: Ingredient): LikeTable {
  const shipped = (larderOf().get(entry.id) ?? {}) as Fields;
  const mine = entry as unknown as Fields;
  const gone = Object.keys(shipped).filter((k) => shipped[k] !== undefined && mine[k] === undefined);
  return {
    id: entry.id,
    own: Object.fromEntries(Object.entries(mine).filter(([k, v]) => k !== 'id' && !same(v, shipped[k]))),
    ...(gone.length > 0 ? { without: gone } : {}),
  };
}

/** The entry that {@link likeTable} made short. */
export function fromTable({ id, own, without = [] }: LikeTable): Ingredient {
  const all: Fields = { ...larderOf().get(id), ...own, id };
  return Object.fromEntries(Object.entries(all).filter(([k]) => !without.includes(k))) as unknown as Ingredient;
}
