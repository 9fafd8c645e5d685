/** Household measures by volume, ml. Cups and tablespoons differ by region; a cook picks theirs once. */
export const CUP_ML = { small: 200, customary: 236.6, legal: 240, metric: 250, riceCooker: 180 } as const;
export const TABLESPOON_ML = { customary: 14.8, metric: 15, large: 17.7, wide: 20 } as const;
export const TEASPOON_ML = 5;
export const GRAMS_PER_OUNCE = 28.349523125;
