/** Grams a head by role. */
export const GRAMS_A_HEAD = { taste: 70, side: 120, breakfast: 180, meal: 260 } as const;
