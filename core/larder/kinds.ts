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
