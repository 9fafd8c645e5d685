import { coarsenessOf, larderOf, type Ingredient } from '../larder';
import type { BatterBalance } from './balance.types';
import type { SolverInput, SolverStarch } from '../model/batter';
import type { Band } from '../units';

/**
 * What the blend solver needs of a batter: the ticked starches with their bounds, and what else the batter carries per gram of dry blend.
 * @param allowed ingredients to blend; `stockG` bounds their share of this batter's dry blend
 * @param bands the family's shares, %, as bounds where `keepBands` is set
 */
export function solverInputFor(
  balance: BatterBalance,
  allowed: readonly Ingredient[],
  target: SolverInput['target'],
  weights: SolverInput['weights'],
  { bands, keepBands, hydration }: { bands: Readonly<Record<string, Band>>; keepBands: boolean; hydration: Band },
): SolverInput {
  const dry = Math.max(balance.dryBlendG, 1);
  const starches: SolverStarch[] = allowed.flatMap((i) => {
    if (!i.starchKind) return [];
    const band = bands[i.id];
    const inFamily = keepBands
      ? band
        ? { min: band[0] / 100, max: band[1] / 100 }
        : { min: 0, max: 0 }
      : { min: 0, max: 1 };
    const stock = i.stockG === undefined ? 1 : Math.min(1, i.stockG / dry);
    const max = Math.min(inFamily.max, stock);
    return [
      {
        id: i.id,
        name: i.name,
        kind: i.starchKind,
        starch: i.per100.starch / 100,
        water: i.per100.water / 100,
        protein: i.per100.protein / 100,
        coarse: coarsenessOf(i, larderOf()),
        min: Math.min(keepBands ? 0 : inFamily.min, max),
        max,
      },
    ];
  });
  // Sugar, fat and protein of the dry blend itself are small; what is counted here is the rest of the batter's.
  return {
    starches,
    target,
    weights,
    hydration,
    perDry: {
      sugar: balance.parts.sugar / dry,
      fat: balance.parts.fat / dry,
      protein: 0,
      other: balance.parts.fibreAsh / dry,
    },
    from: starches.map((s) => balance.shares[s.id] ?? 0),
  };
}
