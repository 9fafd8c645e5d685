/** Household measures by volume, ml. Cups and tablespoons differ by region; a cook picks theirs once. */
export const CUP_ML = { small: 200, customary: 236.6, legal: 240, metric: 250, riceCooker: 180 } as const;
export const TABLESPOON_ML = { customary: 14.8, metric: 15, large: 17.7, wide: 20 } as const;
export const TEASPOON_ML = 5;
export const GRAMS_PER_OUNCE = 28.349523125;

export type CupKind = keyof typeof CUP_ML;
export type TablespoonKind = keyof typeof TABLESPOON_ML;

/** How a dry measure was filled: spooned in lightly, or scooped from the bag. */
export type Filling = 'spooned' | 'scooped';

export interface BulkFacts {
  /** Spooned bulk density, g/ml. */
  readonly bulkDensityGPerMl: number;
  /** Scooped ÷ spooned. */
  readonly dipFactor: number;
}

/**
 * Grams in a volume of an ingredient: volume × ρb × (dip factor if scooped).
 * @param volumeMl volume, ml
 * @returns grams
 * @example gramsFromVolume(250, { bulkDensityGPerMl: 0.5, dipFactor: 1.18 }, 'scooped') // 147.5
 */
export function gramsFromVolume(volumeMl: number, facts: BulkFacts, filling: Filling = 'spooned'): number {
  return volumeMl * facts.bulkDensityGPerMl * (filling === 'scooped' ? facts.dipFactor : 1);
}

/** Inverse of {@link gramsFromVolume}, ml. */
export function volumeFromGrams(massG: number, facts: BulkFacts, filling: Filling = 'spooned'): number {
  return massG / (facts.bulkDensityGPerMl * (filling === 'scooped' ? facts.dipFactor : 1));
}

/**
 * The spread a cook works with when measuring by volume: grams spooned and grams scooped.
 * @example spoonScoopSpread(250, { bulkDensityGPerMl: 0.5, dipFactor: 1.18 }) // { spoonedG: 125, scoopedG: 147.5, spread: 0.18 }
 */
export function spoonScoopSpread(volumeMl: number, facts: BulkFacts) {
  const spoonedG = gramsFromVolume(volumeMl, facts, 'spooned');
  const scoopedG = gramsFromVolume(volumeMl, facts, 'scooped');
  return { spoonedG, scoopedG, spread: scoopedG / spoonedG - 1 };
}
