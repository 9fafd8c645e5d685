import { COOLING, DRIP_GUARD, LINING, SERVE } from './schools';
import { formulaPlan, g } from './compose';
import { slab } from '../flow/builders';
import type { Family } from './family';

export const stickySweetCake: Family = {
  id: 'sticky-sweet-cake',
  name: 'Sticky sweet cake',
  about: 'Glutinous flour and slab sugar, steamed long; a day or two old it is sliced and seared in egg.',
  teaches: 'Sugar slows setting: why a sweet cake steams for hours and rests a day.',
  blend: { 'glutinous-flour': [88, 100], 'rice-flour-fine': [0, 12], 'wheat-starch': [0, 12] },
  liquidToDry: [1.1, 1.7],
  sugarOfDry: [65, 100],
  cooked: 'steamed',
  depthMm: [35, 60],
  rise: 1.03,
  moreS: 720,
  restInSteamerS: 600,
  noLaterFactor: 2.5,
  noSoonerThanS: 3600,
  tooLate: 'the top cracks and the sugar darkens',
  releaseC: 30,
  cutC: 12,
  keepDays: 4,
  eatWithin: 'from the next day on, seared',
  freezes: true,
  schools: {
    dripGuard: DRIP_GUARD('foil'),
    lining: { ...LINING, usual: 'paper' },
    cooling: COOLING,
    serve: SERVE('seared'),
  },
  usualSauces: ['sesame-sugar', 'coconut-rain'],
  cautions: ['hot-paste', 'steam', 'choking', 'hot-oil', 'cooling', 'allergens'],
  signs: { cooked: 'Dark and glossy to the middle, no milky streak on the pick.' },
  pours: () => ({ word: 'double cream', look: 'Falls like double cream, and the fold lies a moment on top.' }),
  formula: () =>
    formulaPlan('sticky-sweet-cake', 'Sticky sweet cake', {
      schools: { cooling: 'ice-bath' },
      paper: true,
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('glutinous-flour', 430),
            g('wheat-starch', 34),
            g('slab-sugar', 365, { treatment: 'syrup' }),
            g('water', 345, { treatment: 'syrup' }),
            g('water', 195, { treatment: 'to-the-mark' }),
            g('oil', 15),
          ],
        },
      ],
      heat: 'medium',
      cooling: [
        { where: 'counter', timeS: 1800 },
        { where: 'ice-bath', timeS: 10800 },
        { where: 'fridge', timeS: 36000 },
      ],
      cut: { shape: 'rectangles', by: { kind: 'size', sizeM: 0.05, otherM: 0.01 } },
      sear: { dial: 'medium-low', colour: 'golden', startC: 5, dip: 'egg' },
      guests: 12,
      role: 'taste',
    }),
  build: (k) => slab(k, { way: 'raw', mix: { mark: 'double cream' }, standS: 600, apart: 'paper' }),
};
