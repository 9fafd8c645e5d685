import { COOLING, DRIP_GUARD, EXTRA_STARCH, INTO_PAN, LINING, SERVE } from './schools';
import { formulaPlan, g } from './compose';
import { slab } from '../flow/builders';
import type { Family } from './family';

const CHOOSE = 'A taro heavy in the hand, dry skin, cut face flecked and white.';

export const taroSlab: Family = {
  id: 'taro-slab',
  name: 'Taro slab',
  about: 'Taro cubes in a part-cooked rice paste, steamed, chilled, cut in batons and seared.',
  teaches: 'A paste keeps its pieces where they are; raw taro is handled with gloves.',
  blend: { 'rice-flour-fine': [86, 95], tapioca: [0, 14], 'potato-starch': [0, 14] },
  liquidToDry: [1.9, 2.6],
  saltPct: [0.5, 1.1],
  addIn: { ingredients: ['taro'], ofDry: [1.8, 3] },
  cooked: 'steamed',
  depthMm: [25, 50],
  rise: 1.03,
  restInSteamerS: 300,
  noLaterFactor: 2.2,
  noSoonerThanS: 1800,
  tooLate: 'the taro goes mealy and the rim dries',
  releaseC: 30,
  cutC: 12,
  binderMin: 0.25,
  keepDays: 3,
  eatWithin: 'next day, seared',
  freezes: false,
  schools: {
    extraStarch: EXTRA_STARCH,
    intoPan: INTO_PAN('part-cooked'),
    dripGuard: DRIP_GUARD('cloth'),
    lining: LINING,
    cooling: COOLING,
    serve: SERVE('seared'),
  },
  usualSauces: ['soy-oyster', 'chilli-oil-mix', 'shallot-crisp'],
  cautions: ['taro', 'steam', 'hot-paste', 'hot-oil', 'cooling', 'allergens'],
  signs: {
    choose: CHOOSE,
    cooked: 'A pick comes out clean and the cubes give to it.',
  },
  pours: (s) =>
    s('intoPan') === 'raw'
      ? { word: 'milk', look: 'Runs like milk; stir up before the pan.' }
      : { word: 'thick batter that ribbons', look: 'Falls in a ribbon that lies on top and coats every cube.' },
  formula: () =>
    formulaPlan('taro-slab', 'Taro slab', {
      schools: { cooling: 'ice-bath' },
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [g('rice-flour-fine', 235), g('tapioca', 25), g('fine-salt', 10), g('white-pepper', 2), g('oil', 20)],
          wantedLiquidG: 590,
        },
      ],
      addIns: [
        g('taro', 600, { treatment: 'parboiled', keptBack: 0.15 }),
        g('dried-mushroom', 45, { treatment: 'fried' }),
        g('dried-shrimp', 35, { treatment: 'fried', keptBack: 0.25 }),
      ],
      accompaniments: [
        {
          id: 'oyster',
          name: 'Soy and oyster',
          role: 'sauce',
          amount: { by: 'head', grams: 14 },
          lines: [
            { ingredient: 'light-soy', parts: 2 },
            { ingredient: 'oyster-sauce', parts: 2 },
            { ingredient: 'water', parts: 2 },
            { ingredient: 'white-sugar', parts: 1 },
          ],
        },
      ],
      heat: 'strong',
      cooling: [
        { where: 'counter', timeS: 900 },
        { where: 'ice-bath', timeS: 10800 },
        { where: 'fridge', timeS: 14400 },
      ],
      cut: { shape: 'batons', by: { kind: 'size', sizeM: 0.06, otherM: 0.018 } },
      sear: { dial: 'medium-low', colour: 'golden', startC: 5, lid: true },
      guests: 8,
      role: 'side',
    }),
  build: (k) =>
    slab(k, {
      choose: CHOOSE,
      way: k.school('intoPan') === 'raw' ? 'raw' : 'thicken-then-fold',
      to: 'thick batter that ribbons',
      standS: 300,
    }),
};
