import { COOLING, DRIP_GUARD, INTO_PAN, LINING } from './schools';
import { formulaPlan, g } from './compose';
import { slab } from '../flow/builders';
import type { Family } from './family';

export const savouryCoconutSlab: Family = {
  id: 'savoury-coconut-slab',
  name: 'Savoury coconut slab',
  about: 'Soft white slab, thickened on the hob and steamed under foil; a savoury topping goes on at the table.',
  teaches: 'Thickening on the hob: when a batter coats the spoon, it no longer settles.',
  blend: { 'rice-flour-fine': [70, 82], tapioca: [18, 30] },
  liquidToDry: [3.2, 4.4],
  saltPct: [0.3, 0.6],
  coconutOfLiquid: [20, 35],
  cooked: 'steamed',
  depthMm: [25, 50],
  rise: 1.03,
  restInSteamerS: 300,
  noLaterFactor: 2,
  noSoonerThanS: 1200,
  tooLate: 'it goes dull and rubbery at the rim',
  releaseC: 35,
  cutC: 25,
  keepDays: 3,
  eatWithin: 'the same day, or next day re-steamed',
  freezes: false,
  schools: { intoPan: INTO_PAN('part-cooked'), dripGuard: DRIP_GUARD('foil'), lining: LINING, cooling: COOLING },
  usualSauces: ['savoury-crumb', 'fish-sauce-dip', 'minced-topping', 'quick-pickle'],
  cautions: ['steam', 'hot-paste', 'cooling', 'allergens'],
  signs: { cooked: 'The middle trembles as one, and a pick comes out clean.' },
  pours: (s) =>
    s('intoPan') === 'raw'
      ? { word: 'thin milk', look: 'Runs like thin milk; no floury lumps.' }
      : {
          word: 'thick batter that ribbons',
          look: 'Falls from the spoon in a ribbon that lies on top; no floury lumps.',
        },
  formula: () =>
    formulaPlan('savoury-coconut-slab', 'Savoury coconut slab', {
      schools: { cooling: 'ice-bath' },
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [g('rice-flour-fine', 195), g('tapioca', 60), g('coconut-milk', 260), g('fine-salt', 6)],
          wantedLiquidG: 920,
        },
      ],
      accompaniments: [
        {
          id: 'topping',
          name: 'Shrimp and scallion topping',
          role: 'topping',
          method: 'fry',
          amount: { by: 'head', grams: 22 },
          lines: [
            { ingredient: 'dried-shrimp', parts: 4 },
            { ingredient: 'spring-onion', parts: 3 },
            { ingredient: 'oil', parts: 2 },
            { ingredient: 'fried-shallot', parts: 2 },
          ],
        },
      ],
      heat: 'medium',
      cooling: [
        { where: 'counter', timeS: 900 },
        { where: 'ice-bath', timeS: 7200 },
        { where: 'fridge', timeS: 7200 },
      ],
      cut: { shape: 'squares', by: { kind: 'count', pieces: 16 } },
      guests: 8,
      role: 'side',
    }),
  build: (k) =>
    slab(k, { way: k.school('intoPan') === 'raw' ? 'raw' : 'stream', to: 'thick batter that ribbons', standS: 300 }),
};
