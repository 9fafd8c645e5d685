import type { ResolvedPlan } from './resolve';
import { bad, good, problem, type Result } from '../units';

export interface Limit {
  readonly factor: number;
  readonly ingredient: string;
  readonly haveG: number;
  readonly needG: number;
}

/**
 * How far the cupboard goes: the largest factor on the plan at which no stocked ingredient runs out, and which one limits it.
 * Ingredients without a stock figure are taken as plenty. Errors: `no-stock`, `out-of`.
 */
export function limitingIngredient({ plan, larder }: ResolvedPlan): Result<Limit> {
  const need = new Map<string, number>();
  for (const l of [...plan.batters.flatMap((b) => b.lines), ...plan.addIns, ...plan.fillings.flatMap((f) => f.lines)])
    need.set(l.ingredient, (need.get(l.ingredient) ?? 0) + l.massG);
  let limit: Limit | undefined;
  for (const [id, needG] of need) {
    const i = larder.get(id);
    if (i?.stockG === undefined || needG <= 0) continue;
    if (i.stockG <= 0)
      return bad(
        problem(
          'out-of',
          'stock',
          `There is no ${i.name.toLowerCase()} in the cupboard: find a blend without it, or buy ${Math.round(needG)} g.`,
        ),
      );
    const factor = i.stockG / needG;
    if (!limit || factor < limit.factor) limit = { factor, ingredient: i.name, haveG: i.stockG, needG };
  }
  return limit
    ? good(limit)
    : bad(
        problem(
          'no-stock',
          'stock',
          'No ingredient of this plan has a stock figure; enter what is in the cupboard in the larder.',
        ),
      );
}
