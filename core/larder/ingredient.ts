import type { Ingredient } from './ingredientSchema';

/** Flours, starches and grains: what hydration is reckoned on. */
export const isDryBlend = (i: Ingredient): boolean => i.kind === 'flour' || i.kind === 'starch' || i.kind === 'grain';
/** What counts whole in liquid : dry. */
export const isLiquid = (i: Ingredient): boolean => i.kind === 'liquid';
