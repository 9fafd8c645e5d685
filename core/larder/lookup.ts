import type { Ingredient } from './ingredientSchema';
import { INGREDIENT_TABLE } from './table';

/** Ingredients by id. A cook's own entry replaces the shipped one of the same id. */
export type Larder = ReadonlyMap<string, Ingredient>;

const SHIPPED: Larder = new Map(INGREDIENT_TABLE.map((i) => [i.id, i]));

/**
 * The larder: the shipped table with the cook's own entries laid over it.
 * @example larderOf([{ ...mine, id: 'tapioca' }]).get('tapioca') // the cook's
 */
export function larderOf(...own: readonly (readonly Ingredient[])[]): Larder {
  const all = own.flat();
  return all.length === 0 ? SHIPPED : new Map([...SHIPPED, ...all.map((i) => [i.id, i] as const)]);
}

const remembered = new WeakMap<readonly Ingredient[], WeakMap<readonly Ingredient[], Larder>>();

/** The larder of a kitchen and a plan; the same two lists give the same larder again, so that nothing downstream is made anew. */
export function larderFor(kitchen: readonly Ingredient[], plan: readonly Ingredient[]): Larder {
  let byPlan = remembered.get(kitchen);
  if (!byPlan) remembered.set(kitchen, (byPlan = new WeakMap()));
  let larder = byPlan.get(plan);
  if (!larder) byPlan.set(plan, (larder = larderOf(kitchen, plan)));
  return larder;
}
