import type { Ingredient, StarchKind } from './ingredient';

/**
 * The ingredient table as shipped: composition per 100 g, spooned bulk density, dip-and-sweep factor, amylose of the starch.
 * General food-composition figures; a cook overrides any of them. Columns:
 * id, name, kind, [water, starch, sugars, fat, protein, fibre+ash], ρb g/ml, dip ×.
 */
type Row = readonly [string, string, Ingredient['kind'], readonly [number, number, number, number, number, number], number, number, Partial<Ingredient>?];

const veg: Ingredient['diets'] = ['vegetarian', 'vegan', 'no pork'];
const eggy: Ingredient['diets'] = ['vegetarian', 'no pork'];
const fishy: Ingredient['diets'] = ['no pork'];

const flour = (starchKind: StarchKind, amylose: number, absorption: number, grainUm: number, pack?: number): Partial<Ingredient> => ({
  starchKind, amylose, absorption, grainUm, diets: veg, pack: { word: 'bag', massG: pack ?? 500 },
});

const ROWS: readonly Row[] = [
  ['rice-flour-fine', 'Rice flour, wet-milled fine', 'flour', [12, 79, 0.2, 1.0, 6.3, 1.5], 0.5, 1.18, flour('rice', 0.25, 1.25, 8)],
  ['rice-flour-coarse', 'Rice flour, dry-milled coarse', 'flour', [12, 78, 0.2, 1.4, 6.5, 1.9], 0.58, 1.2, flour('rice', 0.24, 1.55, 25)],
  ['glutinous-flour', 'Glutinous rice flour', 'flour', [12, 80, 0.3, 1.0, 6.0, 0.7], 0.53, 1.2, flour('glutinous', 0.01, 1.35, 8)],
  ['tapioca', 'Tapioca starch', 'starch', [12, 87, 0, 0, 0.2, 0.8], 0.5, 1.15, flour('tapioca', 0.17, 1.15, 15)],
  ['potato-starch', 'Potato starch', 'starch', [16, 83, 0, 0, 0.1, 0.9], 0.68, 1.15, flour('potato', 0.21, 1.15, 38)],
  ['maize-starch', 'Maize (corn) starch', 'starch', [11, 88, 0, 0.1, 0.3, 0.6], 0.53, 1.15, flour('maize', 0.26, 1.15, 15)],
  ['wheat-starch', 'Wheat starch', 'starch', [12, 86, 0, 0.2, 0.4, 1.4], 0.52, 1.15, { ...flour('wheat', 0.26, 1.15, 18), allergens: ['wheat/gluten'] }],
  ['sweet-potato-starch', 'Sweet potato starch', 'starch', [14, 84, 0, 0, 0.1, 1.9], 0.6, 1.15, flour('sweetPotato', 0.2, 1.15, 15)],
  ['mung-starch', 'Mung bean starch', 'starch', [13, 86, 0, 0, 0.3, 0.7], 0.58, 1.15, flour('mungBean', 0.34, 1.15, 14)],
  ['water-chestnut-starch', 'Water chestnut starch', 'starch', [12, 82, 2, 0.2, 2, 1.8], 0.58, 1.15, flour('waterChestnut', 0.27, 1.15, 15)],
  ['long-grain-rice', 'Long-grain rice, dry', 'grain', [12, 79, 0.1, 0.7, 7, 1.2], 0.8, 1, { ...flour('rice', 0.25, 1.55, 25, 1000), absorption: 1.55 }],
  ['mung-beans-dry', 'Split mung beans, dry', 'protein', [10, 46, 5, 1, 24, 14], 0.82, 1, { amylose: 0.35, diets: veg }],
  ['mung-beans-cooked', 'Split mung beans, cooked and drained', 'protein', [66, 17, 2, 0.4, 9, 5.6], 0.85, 1, { amylose: 0.35, diets: veg }],
  ['water', 'Water', 'liquid', [100, 0, 0, 0, 0, 0], 1, 1, { diets: veg }],
  ['coconut-milk', 'Coconut milk, full fat', 'liquid', [73, 0, 3, 21, 2, 1], 0.98, 1, { diets: veg, pack: { word: 'can', massG: 400 } }],
  ['coconut-milk-light', 'Coconut milk, light', 'liquid', [91, 0, 1.5, 6, 0.7, 0.8], 0.99, 1, { diets: veg, pack: { word: 'can', massG: 400 } }],
  ['coconut-cream', 'Coconut cream', 'liquid', [60, 0, 4, 31, 3, 2], 0.97, 1, { diets: veg, pack: { word: 'can', massG: 400 } }],
  ['coconut-water', 'Coconut water', 'liquid', [95, 0, 4, 0, 0.3, 0.7], 1.01, 1, { diets: veg }],
  ['coconut-grated', 'Coconut, fresh grated', 'coconut', [47, 0, 6, 33, 3, 11], 0.34, 1.2, { diets: veg }],
  ['pandan-juice', 'Pandan juice', 'liquid', [98, 0, 0.8, 0, 0.3, 0.9], 1, 1, { diets: veg }],
  ['white-sugar', 'White sugar', 'sugar', [0, 0, 100, 0, 0, 0], 0.85, 1, { diets: veg }],
  ['slab-sugar', 'Brown or slab cane sugar', 'sugar', [2, 0, 96, 0, 0, 2], 0.9, 1, { diets: veg }],
  ['palm-sugar', 'Palm sugar', 'sugar', [5, 0, 92, 0, 0.5, 2.5], 0.9, 1, { diets: veg }],
  ['fine-salt', 'Fine salt', 'salt', [0, 0, 0, 0, 0, 100], 1.22, 1, { diets: veg }],
  ['sea-salt', 'Medium sea salt', 'salt', [0, 0, 0, 0, 0, 100], 1.05, 1, { diets: veg }],
  ['flake-salt', 'Flake salt', 'salt', [0, 0, 0, 0, 0, 100], 0.58, 1, { diets: veg }],
  ['oil', 'Neutral oil', 'fat', [0, 0, 0, 100, 0, 0], 0.92, 1, { diets: veg }],
  ['radish', 'White radish, raw', 'vegetable', [94.5, 0, 2.6, 0.1, 0.7, 2.1], 0.55, 1, { diets: veg, pieceG: 900 }],
  ['taro', 'Taro, peeled', 'vegetable', [70, 23, 0.6, 0.2, 1.6, 4.6], 0.6, 1, { diets: veg, amylose: 0.2, pieceG: 700 }],
  ['winter-squash', 'Winter squash', 'vegetable', [88, 4, 4, 0.1, 1, 2.9], 0.6, 1, { diets: veg, amylose: 0.2, pieceG: 1200 }],
  ['carrot', 'Carrot', 'vegetable', [88.5, 1, 5, 0.2, 0.8, 4.5], 0.55, 1, { diets: veg, pieceG: 90 }],
  ['yam-bean', 'Yam bean', 'vegetable', [90, 2, 3, 0.2, 0.8, 4], 0.55, 1, { diets: veg, pieceG: 500 }],
  ['banana', 'Banana, just ripe', 'fruit', [75, 6, 13, 0.3, 1.1, 4.6], 0.65, 1, { diets: veg, amylose: 0.2, pieceG: 110 }],
  ['water-chestnut', 'Water chestnut, fresh', 'vegetable', [74, 17, 5, 0.1, 1.4, 2.5], 0.65, 1, { diets: veg, amylose: 0.25, pieceG: 18 }],
  ['sweetcorn', 'Sweetcorn kernels', 'vegetable', [76, 11, 6, 1.3, 3.3, 2.4], 0.65, 1, { diets: veg, amylose: 0.25 }],
  ['dried-mushroom', 'Dried mushroom, soaked and squeezed', 'vegetable', [80, 0, 3, 0.5, 4, 12.5], 0.5, 1, { diets: veg }],
  ['dried-shrimp', 'Dried shrimp, soaked and drained', 'protein', [58, 0, 0, 1.5, 37, 3.5], 0.5, 1, { allergens: ['crustacean'], diets: fishy }],
  ['cured-sausage', 'Cured pork sausage', 'protein', [26, 2, 12, 40, 18, 2], 0.6, 1, { allergens: ['sulphites', 'soya'] }],
  ['fresh-shrimp', 'Fresh shrimp', 'protein', [78, 0, 0, 0.7, 20, 1], 0.95, 1, { allergens: ['crustacean'], diets: fishy }],
  ['minced-pork', 'Minced pork', 'protein', [62, 0, 0, 18, 18, 1], 0.9, 1],
  ['egg', 'Egg', 'protein', [75, 0, 1, 10.5, 12.5, 1], 1.03, 1, { allergens: ['egg'], diets: eggy, pieceG: 50 }],
  ['spring-onion', 'Spring onion', 'vegetable', [90, 0.5, 3, 0.2, 1.8, 4.5], 0.3, 1, { diets: veg, pieceG: 15 }],
  ['dry-yeast', 'Dry yeast', 'raising', [6, 4, 8, 6, 42, 34], 0.62, 1, { diets: veg, source: 'house', pack: { word: 'sachet', massG: 7 } }],
  ['baking-powder', 'Baking powder', 'raising', [4, 28, 0, 0, 0, 68], 0.9, 1, { diets: veg, source: 'house' }],
  ['calcium-hydroxide', 'Calcium hydroxide, food grade', 'alkali', [1, 0, 0, 0, 0, 99], 0.5, 1, { diets: veg }],
  // Beyond the table: seasonings and toppings, the project's own round figures for ordinary kinds.
  ['white-pepper', 'White pepper, ground', 'seasoning', [11, 55, 2, 2, 10, 20], 0.48, 1, { diets: veg, source: 'house' }],
  ['fish-sauce', 'Fish sauce', 'seasoning', [68, 0, 3, 0, 7, 22], 1.2, 1, { diets: fishy, allergens: ['fish'], source: 'house' }],
  ['light-soy', 'Light soy sauce', 'seasoning', [66, 0, 3, 0, 11, 20], 1.18, 1, { diets: veg, allergens: ['soya', 'wheat/gluten'], source: 'house' }],
  ['oyster-sauce', 'Oyster sauce', 'seasoning', [62, 4, 18, 0, 4, 12], 1.2, 1, { diets: fishy, allergens: ['mollusc', 'wheat/gluten', 'soya'], source: 'house' }],
  ['rice-vinegar', 'Rice vinegar', 'seasoning', [94, 0, 4, 0, 0.3, 1.7], 1.01, 1, { diets: veg, source: 'house' }],
  ['lime-juice', 'Lime juice', 'seasoning', [91, 0, 2, 0.1, 0.4, 6.5], 1.02, 1, { diets: veg, source: 'house', pieceG: 25 }],
  ['chilli-oil', 'Chilli oil', 'seasoning', [3, 2, 1, 86, 3, 5], 0.93, 1, { diets: veg, source: 'house' }],
  ['hoisin', 'Bean and garlic sauce', 'seasoning', [45, 8, 30, 3, 4, 10], 1.2, 1, { diets: veg, allergens: ['soya', 'wheat/gluten', 'sesame'], source: 'house' }],
  ['fried-shallot', 'Fried shallot', 'vegetable', [5, 20, 18, 40, 8, 9], 0.28, 1, { diets: veg, source: 'house' }],
  ['sesame-seed', 'Sesame seed, toasted', 'seasoning', [3, 1, 1, 52, 20, 23], 0.6, 1, { diets: veg, allergens: ['sesame'], source: 'house' }],
  ['garlic', 'Garlic', 'vegetable', [60, 20, 10, 0.5, 6, 3.5], 0.6, 1, { diets: veg, source: 'house', pieceG: 5 }],
  ['chilli', 'Fresh chilli', 'vegetable', [88, 1, 5, 0.4, 2, 3.6], 0.5, 1, { diets: veg, source: 'house' }],
  ['crumb', 'Toasted crumb', 'seasoning', [6, 68, 5, 5, 12, 4], 0.35, 1, { diets: veg, allergens: ['wheat/gluten'], source: 'house' }],
];

const SALT_PER_100: Readonly<Record<string, number>> = {
  'fine-salt': 100, 'sea-salt': 100, 'flake-salt': 100, 'cured-sausage': 3, 'dried-shrimp': 3,
  'fish-sauce': 21, 'light-soy': 16, 'oyster-sauce': 10, hoisin: 5, 'baking-powder': 0, crumb: 1, 'chilli-oil': 2,
};

/** Every shipped ingredient, in the order of the table. */
export const INGREDIENT_TABLE: readonly Ingredient[] = ROWS.map(([id, name, kind, [water, starch, sugars, fat, protein, fibreAsh], density, dip, more]) => ({
  id, name, kind,
  per100: { water, starch, sugars, fat, protein, fibreAsh, salt: SALT_PER_100[id] ?? 0 },
  bulkDensityGPerMl: density, dipFactor: dip, allergens: [], diets: [], source: 'table' as const, ...more,
}));
