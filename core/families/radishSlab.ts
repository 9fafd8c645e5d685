import { COOLING, DRIP_GUARD, EXTRA_STARCH, INTO_PAN, JUICE, LINING, SERVE } from './schools';
import { formulaPlan, g, sauce } from './compose';
import { slab } from '../flow/builders';
import type { Family } from './family';

const CHOOSE = 'A radish heavy for its size, skin tight, no soft spots.';

export const radishSlab: Family = {
  id: 'radish-slab',
  name: 'Radish slab',
  about: 'Shredded white radish bound with rice flour, steamed, chilled, sliced and seared.',
  teaches: 'Juice is liquid too: weigh what the radish gives before water goes in.',
  blend: { 'rice-flour-fine': [58, 92], 'maize-starch': [0, 18], tapioca: [0, 18] },
  liquidToDry: [1.7, 2.6],
  saltPct: [0.5, 1.1],
  addIn: { ingredients: ['radish'], ofDry: [3.5, 5.5] },
  bitsOfDry: 0.8,
  variants: [
    {
      when: { school: ['juice', 'squeeze-boil'] },
      bands: {
        liquidToDry: [1.7, 3.5],
        blend: { 'rice-flour-fine': [58, 92], 'maize-starch': [0, 42], tapioca: [0, 18] },
      },
    },
  ],
  cooked: 'steamed',
  depthMm: [22, 55],
  rise: 1.03,
  restInSteamerS: 300,
  noLaterFactor: 2.2,
  noSoonerThanS: 1800,
  tooLate: 'the radish goes sulphurous and the rim dries',
  releaseC: 30,
  cutC: 12,
  binderMin: 0.2,
  keepDays: 3,
  eatWithin: 'next day, seared',
  freezes: false,
  schools: {
    juice: JUICE,
    extraStarch: { ...EXTRA_STARCH, usual: 'maize' },
    intoPan: INTO_PAN('raw'),
    dripGuard: DRIP_GUARD('cloth'),
    lining: LINING,
    cooling: COOLING,
    serve: SERVE('seared'),
  },
  usualSauces: ['sweetened-soy', 'chilli-oil-mix', 'soy-oyster', 'scallion-oil'],
  cautions: ['steam', 'hot-oil', 'salted-hands', 'grater', 'cooling', 'allergens'],
  signs: {
    choose: CHOOSE,
    cooked: 'Set to the middle: a pick comes out clean, the top springs back.',
  },
  pours: (s) =>
    s('intoPan') === 'part-cooked'
      ? { word: 'thick batter that ribbons', look: 'Falls in a ribbon and carries every shred.' }
      : { word: 'milk', look: 'Runs like milk between the shreds.' },
  formula: () =>
    formulaPlan('radish-slab', 'Radish slab', {
      schools: { cooling: 'ice-bath', juice: 'wilt-keep' },
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('rice-flour-fine', 226),
            g('maize-starch', 34),
            g('fine-salt', 8),
            g('white-sugar', 8),
            g('white-pepper', 2),
            g('oil', 18),
          ],
          wantedLiquidG: 550,
        },
      ],
      addIns: [
        g('radish', 1050, { treatment: 'wilted', drawS: 720 }),
        g('dried-mushroom', 60, { treatment: 'fried' }),
        g('dried-shrimp', 40, { treatment: 'fried' }),
        g('cured-sausage', 60, { treatment: 'fried', keptBack: 0.25 }),
      ],
      accompaniments: [sauce('sweetened-soy', 'soy')],
      heat: 'strong',
      cooling: [
        { where: 'counter', timeS: 600 },
        { where: 'ice-bath', timeS: 14400 },
        { where: 'fridge', timeS: 14400 },
      ],
      cut: { shape: 'rectangles', by: { kind: 'size', sizeM: 0.06, otherM: 0.015 } },
      sear: { dial: 'medium-low', colour: 'golden', startC: 5 },
      guests: 10,
      role: 'breakfast',
    }),
  build: (k) =>
    slab(k, {
      choose: CHOOSE,
      way: k.school('intoPan') === 'part-cooked' ? 'fold-then-thicken' : 'raw',
      to: 'thick batter that ribbons',
      standS: 300,
    }),
};
