import type { Ingredient } from './ingredientSchema';

export type { Composition, Ingredient } from './ingredientSchema';

export const STARCH_KINDS = [
  'rice',
  'glutinous',
  'tapioca',
  'potato',
  'maize',
  'wheat',
  'sweetPotato',
  'mungBean',
  'waterChestnut',
  'arrowroot',
] as const;
export type StarchKind = (typeof STARCH_KINDS)[number];

export const INGREDIENT_KINDS = [
  'flour',
  'starch',
  'grain',
  'liquid',
  'coconut',
  'sugar',
  'salt',
  'fat',
  'vegetable',
  'fruit',
  'protein',
  'raising',
  'alkali',
  'seasoning',
] as const;

export const ALLERGENS = [
  'crustacean',
  'mollusc',
  'fish',
  'egg',
  'peanut',
  'tree nut',
  'sesame',
  'soya',
  'wheat/gluten',
  'milk',
  'sulphites',
] as const;
export type Allergen = (typeof ALLERGENS)[number];

export const DIETS = ['vegetarian', 'vegan', 'no pork'] as const;

/** Flours, starches and grains: what hydration is reckoned on. */
export const isDryBlend = (i: Ingredient): boolean => i.kind === 'flour' || i.kind === 'starch' || i.kind === 'grain';
/** What counts whole in liquid : dry. */
export const isLiquid = (i: Ingredient): boolean => i.kind === 'liquid';
