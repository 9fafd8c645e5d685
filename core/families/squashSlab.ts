import { COOLING, DRIP_GUARD, LINING, SERVE } from './schools';
import { formulaPlan, g, sauce } from './compose';
import { slab } from '../flow/builders';
import type { Family } from './family';

const CHOOSE = 'A dense squash with a dry stem and deep orange flesh.';

export const squashSlab: Family = {
  id: 'squash-slab',
  name: 'Squash slab',
  about: 'Mashed winter squash carries the water; a raw batter, chilled and seared.',
  teaches: 'A vegetable that brings the water itself: judge by the pour, not by the jug.',
  blend: { 'rice-flour-fine': [80, 92], tapioca: [8, 20] },
  liquidToDry: [0.9, 1.6],
  saltPct: [0.5, 1.1],
  addIn: { ingredients: ['winter-squash'], ofDry: [2, 3] },
  cooked: 'steamed',
  depthMm: [22, 45],
  rise: 1.03,
  restInSteamerS: 300,
  noLaterFactor: 2.2,
  noSoonerThanS: 1800,
  tooLate: 'the colour dulls and the rim dries',
  releaseC: 30,
  cutC: 12,
  keepDays: 3,
  eatWithin: 'next day, seared',
  freezes: false,
  schools: { dripGuard: DRIP_GUARD('cloth'), lining: LINING, cooling: COOLING, serve: SERVE('seared') },
  usualSauces: ['sweetened-soy', 'soy-mushroom', 'chilli-oil-mix'],
  cautions: ['steam', 'hot-oil', 'cooling', 'allergens'],
  signs: {
    choose: CHOOSE,
    cooked: 'Springs back in the middle, pick clean.',
  },
  pours: () => ({ word: 'double cream', look: 'Falls off the spoon like double cream, one even orange.' }),
  formula: () =>
    formulaPlan('squash-slab', 'Squash slab', {
      schools: { cooling: 'ice-bath' },
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('rice-flour-fine', 240),
            g('tapioca', 40),
            g('winter-squash', 680, { treatment: 'mashed' }),
            g('fine-salt', 10),
            g('white-sugar', 10),
          ],
          wantedLiquidG: 350,
        },
      ],
      addIns: [g('dried-mushroom', 40, { treatment: 'fried' }), g('spring-onion', 30)],
      accompaniments: [sauce('sweetened-soy', 'soy', 12)],
      heat: 'strong',
      cooling: [
        { where: 'counter', timeS: 900 },
        { where: 'ice-bath', timeS: 10800 },
        { where: 'fridge', timeS: 14400 },
      ],
      cut: { shape: 'rectangles', by: { kind: 'size', sizeM: 0.06, otherM: 0.018 } },
      sear: { dial: 'medium-low', colour: 'golden', startC: 5, lid: true },
      guests: 8,
      role: 'side',
    }),
  build: (k) => slab(k, { choose: CHOOSE, way: 'raw', standS: 300 }),
};
