import type { Ingredient } from './ingredient';
import { INGREDIENT_TABLE } from './table.data';

/** Ingredients by id. A cook's own entry replaces the shipped one of the same id. */
export type Larder = ReadonlyMap<string, Ingredient>;

const SHIPPED: Larder = new Map(INGREDIENT_TABLE.map((i) => [i.id, i]));

/**
 * The larder: the shipped table with the cook's own entries laid over it.
 * @example larderOf([{ ...mine, id: 'tapioca' }]).get('tapioca') // the cook's
 */
export function larderOf(own: readonly Ingredient[] = []): Larder {
  return own.length === 0 ? SHIPPED : new Map([...SHIPPED, ...own.map((i) => [i.id, i] as const)]);
}
