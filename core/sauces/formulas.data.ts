import type { Accompaniment } from '../plan';

/** A sauce or topping of our own, by parts, and the cakes it usually goes with. */
export interface SauceFormula {
  readonly id: string;
  readonly name: string;
  readonly role: Accompaniment['role'];
  readonly method: Accompaniment['method'];
  readonly timeS?: number;
  readonly gramsAHead: number;
  readonly parts: readonly (readonly [ingredient: string, parts: number])[];
  /** One line for the chooser. */
  readonly about: string;
}

const f = (
  id: string,
  name: string,
  role: SauceFormula['role'],
  method: SauceFormula['method'],
  gramsAHead: number,
  about: string,
  parts: SauceFormula['parts'],
  timeS?: number,
): SauceFormula => ({ id, name, role, method, gramsAHead, about, parts, ...(timeS === undefined ? {} : { timeS }) });

/** Sauces and toppings for all families. Parts by weight. */
export const SAUCES: readonly SauceFormula[] = [
  f('fish-sauce-dip', 'Fish-sauce dip', 'sauce', 'stir', 35, 'Salty, sweet and sour, thinned.', [
    ['fish-sauce', 2],
    ['white-sugar', 2],
    ['water', 6],
    ['lime-juice', 1],
  ]),
  f('fish-sauce-dip-plain', 'Fish-sauce dip, no sour', 'sauce', 'simmer', 30, 'Simmered clear; keeps longer.', [
    ['fish-sauce', 2],
    ['white-sugar', 2],
    ['water', 7],
  ]),
  f('sweetened-soy', 'Sweetened soy', 'sauce', 'stir', 15, 'Light soy, sweetened and thinned.', [
    ['light-soy', 4],
    ['water', 3],
    ['white-sugar', 2],
  ]),
  f('soy-oyster', 'Soy and oyster', 'sauce', 'simmer', 18, 'Round and brown; simmered to coat.', [
    ['oyster-sauce', 3],
    ['light-soy', 2],
    ['water', 4],
    ['white-sugar', 1],
  ]),
  f('soy-mushroom', 'Soy and mushroom sauce', 'sauce', 'simmer', 18, 'The same without shellfish.', [
    ['mushroom-sauce', 3],
    ['light-soy', 2],
    ['water', 4],
    ['white-sugar', 1],
  ]),
  f('chilli-oil-mix', 'Chilli oil mix', 'sauce', 'stir', 12, 'Hot, sour and salty.', [
    ['chilli-oil', 2],
    ['light-soy', 3],
    ['rice-vinegar', 2],
    ['white-sugar', 1],
  ]),
  f('bean-garlic', 'Bean and garlic dip', 'sauce', 'simmer', 18, 'Thick, sweet, for rolls and slabs.', [
    ['hoisin', 4],
    ['water', 3],
    ['rice-vinegar', 1],
    ['sesame-oil', 0.4],
  ]),
  f('sesame-dip', 'Sesame dip', 'sauce', 'stir', 18, 'Nutty, for plain sheets.', [
    ['sesame-paste', 3],
    ['light-soy', 2],
    ['water', 3],
    ['white-sugar', 1],
  ]),
  f('scallion-oil', 'Scallion oil', 'topping', 'infuse-oil', 8, 'Hot oil over cut green onion.', [
    ['spring-onion', 3],
    ['oil', 4],
    ['fine-salt', 0.1],
  ]),
  f('garlic-oil', 'Garlic oil', 'topping', 'infuse-oil', 6, 'Hot oil over cut garlic.', [
    ['garlic', 2],
    ['oil', 4],
  ]),
  f(
    'shallot-crisp',
    'Fried shallot',
    'topping',
    'fry',
    8,
    'Sliced thin and fried crisp; drain well.',
    [
      ['shallot', 5],
      ['oil', 2],
    ],
    600,
  ),
  f('shrimp-crumb', 'Shrimp crumb', 'topping', 'fry', 10, 'Dried shrimp and crumb, toasted.', [
    ['dried-shrimp', 3],
    ['crumb', 2],
  ]),
  f('savoury-crumb', 'Savoury crumb', 'topping', 'fry', 10, 'Crumb, shallot and sesame, toasted.', [
    ['crumb', 4],
    ['fried-shallot', 2],
    ['sesame-seed', 1],
    ['oil', 1],
    ['fine-salt', 0.15],
  ]),
  f(
    'minced-topping',
    'Minced pork topping',
    'topping',
    'fry',
    25,
    'Fried through with onion and pepper.',
    [
      ['minced-pork', 8],
      ['onion', 2],
      ['light-soy', 1],
      ['black-pepper', 0.05],
      ['oil', 0.6],
    ],
    480,
  ),
  f('coconut-sauce', 'Thickened coconut sauce', 'sauce', 'thicken', 30, 'Salty-sweet coconut, just thickened.', [
    ['coconut-milk', 20],
    ['white-sugar', 2],
    ['tapioca', 1],
    ['fine-salt', 0.15],
  ]),
  f('coconut-pearls', 'Coconut sauce with pearls', 'sauce', 'thicken', 40, 'The same with boiled tapioca pearls.', [
    ['coconut-milk', 18],
    ['tapioca-pearls', 8],
    ['white-sugar', 2],
    ['tapioca', 0.6],
    ['fine-salt', 0.15],
  ]),
  f('palm-syrup', 'Palm sugar syrup', 'sauce', 'simmer', 20, 'Boiled to coat a spoon.', [
    ['palm-sugar', 5],
    ['water', 3],
  ]),
  f('ginger-syrup', 'Ginger syrup', 'sauce', 'simmer', 20, 'Slab sugar and ginger.', [
    ['slab-sugar', 5],
    ['water', 5],
    ['ginger', 1],
  ]),
  f('coconut-rain', 'Salted coconut', 'topping', 'stir', 12, 'Fresh coconut with a pinch of salt.', [
    ['coconut-grated', 10],
    ['fine-salt', 0.1],
  ]),
  f('sesame-sugar', 'Sesame sugar', 'topping', 'stir', 8, 'For sticky cakes and sponges.', [
    ['sesame-seed', 3],
    ['white-sugar', 2],
    ['fine-salt', 0.05],
  ]),
  f('peanut-crush', 'Crushed peanuts', 'topping', 'stir', 8, 'With sugar and salt.', [
    ['peanuts', 6],
    ['white-sugar', 2],
    ['fine-salt', 0.1],
  ]),
  f(
    'quick-pickle',
    'Quick pickle',
    'topping',
    'pickle',
    30,
    'Carrot and radish in sweet vinegar, half an hour at the least.',
    [
      ['carrot', 4],
      ['radish', 4],
      ['rice-vinegar', 3],
      ['water', 3],
      ['white-sugar', 1.5],
      ['fine-salt', 0.25],
    ],
    1800,
  ),
  f(
    'blanched-sprouts',
    'Blanched bean sprouts',
    'topping',
    'blanch',
    30,
    'A minute in boiling water.',
    [['bean-sprouts', 1]],
    60,
  ),
];

/** A formula by its id. */
export const sauceById = (id: string): SauceFormula | undefined => SAUCES.find((s) => s.id === id);
