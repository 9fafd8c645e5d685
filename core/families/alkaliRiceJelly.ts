import { COOLING } from './schools';
import { formulaPlan, g, sauce } from './compose';
import { slab } from '../flow/builders';
import type { Family } from './family';

const CHOOSE = 'Aged long-grain rice; new rice stays soft.';

export const alkaliRiceJelly: Family = {
  id: 'alkali-rice-jelly',
  name: 'Alkali rice jelly',
  about: 'Old rice soaked with food-grade lime, rinsed clear, ground and stirred to a springy jelly; no steaming.',
  teaches: 'Working with lime: rinse until clear, never in aluminium.',
  blend: { 'long-grain-rice': [100, 100] },
  liquidToDry: [2.4, 7.5],
  alkaliPct: [0.6, 1.5],
  cooked: 'pot',
  depthMm: [30, 60],
  rise: 1,
  restInSteamerS: 0,
  noLaterFactor: 1.5,
  noSoonerThanS: 120,
  tooLate: 'it catches on the pot',
  releaseC: 25,
  cutC: 12,
  keepDays: 3,
  eatWithin: 'cold, the next day',
  freezes: false,
  schools: { cooling: COOLING },
  usualSauces: ['chilli-oil-mix', 'sweetened-soy', 'sesame-dip', 'ginger-syrup'],
  cautions: ['alkali', 'hot-paste', 'cooling', 'allergens'],
  signs: {
    choose: CHOOSE,
    cooked: 'No mealy taste, and it falls from the spoon in one lump.',
  },
  pours: () => ({
    word: 'thick batter that ribbons',
    look: 'Falls from the spoon in a thick ribbon and clears from the side; glassy, not milky.',
  }),
  formula: () =>
    formulaPlan('alkali-rice-jelly', 'Alkali rice jelly', {
      schools: { cooling: 'ice-bath' },
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [g('long-grain-rice', 300, { treatment: 'soaked-alkali' }), g('calcium-hydroxide', 3)],
          wantedLiquidG: 1150,
        },
      ],
      accompaniments: [sauce('chilli-oil-mix', 'chilli', 20)],
      heat: 'medium',
      cooling: [
        { where: 'counter', timeS: 900 },
        { where: 'ice-bath', timeS: 10800 },
        { where: 'fridge', timeS: 14400 },
      ],
      cut: { shape: 'batons', by: { kind: 'size', sizeM: 0.08, otherM: 0.015 } },
      guests: 8,
      role: 'side',
    }),
  build: (k) => slab(k, { choose: CHOOSE, way: 'raw', pot: true, grind: true }),
};
