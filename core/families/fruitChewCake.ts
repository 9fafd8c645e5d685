import { COOLING, DRIP_GUARD, LINING } from './schools';
import { formulaPlan, g } from './compose';
import { slab } from '../flow/builders';
import type { Family } from './family';

const CHOOSE = 'Fruit just ripe: yellow, still firm at the stalk.';

export const fruitChewCake: Family = {
  id: 'fruit-chew-cake',
  name: 'Fruit chew cake',
  about: 'Sugared ripe fruit in a scalded tapioca batter, springy and clear, under thickened coconut sauce.',
  teaches: 'Scalding: boiling water on tapioca makes the chew.',
  blend: { tapioca: [90, 100], 'rice-flour-fine': [0, 10] },
  liquidToDry: [1.9, 2.9],
  addIn: { ingredients: ['banana'], ofDry: [3.4, 6.5] },
  cooked: 'steamed',
  depthMm: [15, 35],
  rise: 1.1,
  restInSteamerS: 300,
  noLaterFactor: 2.2,
  noSoonerThanS: 1200,
  tooLate: 'the fruit browns and weeps',
  releaseC: 30,
  cutC: 12,
  keepDays: 2,
  eatWithin: 'the same day, or chilled the next',
  freezes: false,
  schools: { dripGuard: DRIP_GUARD('cloth'), lining: LINING, cooling: COOLING },
  usualSauces: ['coconut-sauce', 'coconut-pearls', 'peanut-crush'],
  cautions: ['hot-paste', 'steam', 'choking', 'cooling', 'allergens'],
  signs: {
    choose: CHOOSE,
    cooked: 'Clear between the fruit, no white core.',
  },
  pours: () => ({
    word: 'soft mash',
    look: 'Turns to a soft mash, half glassy, as the boiling water goes in.',
  }),
  formula: () =>
    formulaPlan('fruit-chew-cake', 'Fruit chew cake', {
      schools: { cooling: 'ice-bath' },
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('tapioca', 152),
            g('rice-flour-fine', 8),
            g('white-sugar', 34),
            g('fine-salt', 2),
            g('water', 300, { treatment: 'boiling' }),
          ],
        },
      ],
      addIns: [g('banana', 620, { treatment: 'sugared' })],
      accompaniments: [
        {
          id: 'coconut',
          name: 'Thickened coconut sauce',
          role: 'sauce',
          method: 'thicken',
          amount: { by: 'head', grams: 40 },
          lines: [
            { ingredient: 'coconut-milk', parts: 20 },
            { ingredient: 'white-sugar', parts: 2 },
            { ingredient: 'tapioca', parts: 1 },
          ],
        },
      ],
      heat: 'strong',
      cooling: [
        { where: 'counter', timeS: 1200 },
        { where: 'ice-bath', timeS: 7200 },
        { where: 'fridge', timeS: 7200 },
      ],
      cut: { shape: 'diamonds', by: { kind: 'size', sizeM: 0.045 } },
      guests: 8,
      role: 'side',
    }),
  build: (k) =>
    slab(k, { choose: CHOOSE, way: 'raw', mix: { juiceLater: true }, standS: 300, paste: true, apart: 'oil' }),
};
