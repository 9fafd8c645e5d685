import { RELEASE } from './schools';
import { formulaPlan, g, sauce, SHEET_TRAY, WIDE_STEAMER } from './compose';
import { sheets } from '../flow/builders';
import type { Family } from './family';

export const noodleSheets: Family = {
  id: 'noodle-sheets',
  name: 'Noodle sheets',
  about: 'Wide rice sheets, steamed thin, folded and cut to noodles; they keep three or four days chilled, and freeze.',
  teaches: 'The plainest cake there is: flour, water, a tray, two minutes.',
  blend: {
    'rice-flour-fine': [84, 93],
    'potato-starch': [0, 16],
    'sweet-potato-starch': [0, 16],
    'maize-starch': [0, 16],
  },
  liquidToDry: [1.3, 1.9],
  saltPct: [0.2, 0.9],
  cooked: 'sheets',
  depthMm: [2, 4],
  rise: 1.03,
  restInSteamerS: 0,
  noLaterFactor: 2,
  noSoonerThanS: 120,
  tooLate: 'the sheet toughens',
  releaseC: 90,
  cutC: 90,
  keepDays: 4,
  eatWithin: 'within the week, chilled; or frozen',
  freezes: true,
  schools: { release: RELEASE },
  usualSauces: ['fish-sauce-dip', 'sweetened-soy', 'sesame-dip', 'scallion-oil', 'blanched-sprouts'],
  cautions: ['steam', 'wet-sheets', 'allergens'],
  signs: { cooked: 'Peels in one piece with an oiled scraper.' },
  pours: () => ({ word: 'milk', look: 'Runs like milk; stir before every sheet.' }),
  formula: () =>
    formulaPlan('noodle-sheets', 'Noodle sheets', {
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [g('rice-flour-fine', 360), g('potato-starch', 40), g('fine-salt', 4), g('oil', 8)],
          wantedLiquidG: 660,
        },
      ],
      accompaniments: [sauce('sweetened-soy', 'soy')],
      heat: 'strong',
      cooling: [],
      guests: 4,
      role: 'meal',
      steamer: WIDE_STEAMER,
      vessel: SHEET_TRAY,
      vesselCount: 7,
    }),
  build: (k) => sheets(k, { how: 'fold' }),
};
