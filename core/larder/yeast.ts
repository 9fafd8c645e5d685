/** What a gram of a yeast does beside a gram of active dry yeast: instant works in three quarters of the dose. */
const STRENGTH: Readonly<Record<string, number>> = { 'dry-yeast': 1, 'instant-yeast': 1 / 0.75 };

/** Active dry yeast that a gram of an ingredient stands for, g; 0 where it is no yeast. */
export const yeastStrength = (ingredient: string): number => STRENGTH[ingredient] ?? 0;
