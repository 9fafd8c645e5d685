import { RELEASE } from './schools';
import { formulaPlan, g, sauce, SHEET_TRAY, WIDE_STEAMER } from './compose';
import { sheets } from '../flow/builders';
import type { Family } from './family';

export const filledRolls: Family = {
  id: 'filled-rolls',
  name: 'Filled rolls',
  about: 'Thin tender sheets steamed in a tray, filled and rolled hot.',
  teaches: 'A thin even film, lifted and rolled while it is hot.',
  blend: { 'rice-flour-fine': [60, 75], 'potato-starch': [0, 34], tapioca: [0, 34], 'wheat-starch': [0, 16] },
  liquidToDry: [2.1, 4],
  saltPct: [0.2, 0.9],
  oil: { of: 'batter', band: [1, 2] },
  fillingG: [30, 60],
  cooked: 'sheets',
  depthMm: [1.5, 3],
  rise: 1.03,
  restInSteamerS: 0,
  noLaterFactor: 2,
  noSoonerThanS: 60,
  tooLate: 'the sheet toughens',
  releaseC: 90,
  cutC: 90,
  keepDays: 1,
  eatWithin: 'hot, as they are made',
  freezes: false,
  schools: { release: RELEASE },
  usualSauces: ['fish-sauce-dip', 'sweetened-soy', 'shallot-crisp', 'bean-garlic', 'blanched-sprouts'],
  cautions: ['steam', 'raw-fillings', 'wet-sheets', 'allergens'],
  signs: { cooked: 'Big bubbles lift it from the tray; no milky patch.' },
  pours: () => ({ word: 'thin milk', look: 'Thin as milk; stir before every sheet.' }),
  formula: () =>
    formulaPlan('filled-rolls', 'Filled rolls', {
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [g('rice-flour-fine', 200), g('tapioca', 66), g('wheat-starch', 34), g('fine-salt', 4), g('oil', 16)],
          wantedLiquidG: 750,
        },
      ],
      addIns: [],
      fillings: [
        {
          id: 'pork',
          name: 'Pork and wood ear',
          lines: [
            g('minced-pork', 240, { treatment: 'fried', drawS: 360, frySaltG: 3 }),
            g('wood-ear', 45, { treatment: 'fried' }),
            g('onion', 90, { treatment: 'fried' }),
          ],
        },
      ],
      accompaniments: [sauce('sweetened-soy', 'soy')],
      heat: 'strong',
      cooling: [],
      guests: 4,
      role: 'breakfast',
      steamer: WIDE_STEAMER,
      vessel: SHEET_TRAY,
      vesselCount: 9,
    }),
  build: (k) => sheets(k, { how: 'roll', mix: { sieve: true } }),
};
