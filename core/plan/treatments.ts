import { isSoaked, yeastStrength, type Ingredient } from '../larder';
import type { Treatment } from './kinds';

const JUICY: readonly Treatment[] = [
  'as-is',
  'wilted',
  'squeezed-by-hand',
  'squeezed-hard',
  'drained',
  'squeezed-boiled',
  'parboiled',
  'fried',
  'boiled-down',
  'mashed',
];
const ROOT: readonly Treatment[] = ['as-is', 'parboiled', 'fried', 'boiled-down', 'mashed'];
const DRY_BITS: readonly Treatment[] = ['as-is', 'fried', 'boiled-down'];
const LEAFY: readonly Treatment[] = ['as-is', 'parboiled', 'fried'];
/** What is there for its scent: cut small, raw or fried; nobody draws its juice. */
const AROMATIC = new Set(['onion', 'shallot', 'garlic', 'ginger', 'chilli']);
/** Looser than this cut up, it is leaves, stalks or sprouts, g/ml; salted more than this, it is pickled already, %. */
const LEAFY_BELOW = 0.4;
const PICKLED_SALT = 2;
/** Juicy enough to draw: water above, starch below, %. */
const JUICY_WATER = 80;
const ROOT_STARCH = 8;
/** Leaves that are steeped for their colour and scent. */
const LEAVES = new Set(['pandan-leaf']);
/** Beans and pearls that are ready cooked. */
const COOKED = (i: Ingredient) => i.uptake?.as === 'cooked';

/** The ways an ingredient can sensibly go in; its present one is always among them. */
export function treatmentsFor(i: Ingredient, present?: Treatment): readonly Treatment[] {
  const list = usual(i);
  return present === undefined || list.includes(present) ? list : [...list, present];
}

function usual(i: Ingredient): readonly Treatment[] {
  switch (i.kind) {
    case 'flour':
      return ['as-is', 'roux'];
    case 'starch':
    case 'salt':
    case 'alkali':
      return ['as-is'];
    case 'grain':
      return ['soaked', 'soaked-alkali', 'as-is'];
    case 'liquid':
      return ['as-is', 'boiling', 'syrup', 'soaking-liquid', 'to-the-mark'];
    case 'sugar':
      return ['as-is', 'syrup', 'boiling'];
    case 'fat':
      return ['as-is', 'frying'];
    case 'raising':
      return yeastStrength(i.id) > 0 ? ['as-is', 'bloomed'] : ['as-is'];
    case 'coconut':
    case 'seasoning':
      return ['as-is'];
    case 'fruit':
      return isSoaked(i) ? DRY_BITS : ['as-is', 'sugared', 'fried', 'mashed'];
    case 'protein':
      return COOKED(i) ? ['as-is', 'mashed', 'fried'] : DRY_BITS;
    case 'vegetable':
      if (LEAVES.has(i.id)) return ['infused', 'as-is'];
      if (isSoaked(i) || i.per100.water < JUICY_WATER - 20) return DRY_BITS;
      if (AROMATIC.has(i.id) || i.per100.salt > PICKLED_SALT) return DRY_BITS;
      if (i.bulkDensityGPerMl < LEAFY_BELOW) return LEAFY;
      return i.per100.water >= JUICY_WATER && i.per100.starch < ROOT_STARCH ? JUICY : ROOT;
  }
}

/** Grain that is soaked and then ground, in water or in lime. */
export const isSoakedGrain = (t: Treatment): boolean => t === 'soaked' || t === 'soaked-alkali';

/** How each treatment is said. */
export const TREATMENT_WORDS: Readonly<Record<Treatment, string>> = {
  'as-is': 'as it is',
  boiling: 'boiling',
  syrup: 'in syrup',
  'squeezed-hard': 'salted, squeezed hard in a cloth',
  'squeezed-by-hand': 'salted, squeezed by hand',
  drained: 'salted, drained only',
  'squeezed-boiled': 'squeezed unsalted, boiled in its juice',
  wilted: 'wilted, juice kept',
  parboiled: 'parboiled',
  fried: 'fried',
  'boiled-down': 'fried, then boiled down',
  mashed: 'mashed',
  infused: 'steeped, blended, strained',
  soaked: 'soaked',
  'soaked-alkali': 'soaked with lime',
  'soaking-liquid': 'soaking liquid',
  roux: 'part cooked to a paste',
  sugared: 'sugared',
  bloomed: 'bloomed',
  'to-the-mark': 'to the mark',
  frying: 'to fry in',
};
