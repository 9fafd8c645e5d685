import { RELEASE } from './schools';
import { formulaPlan, g, sauce } from './compose';
import { sheets } from '../flow/builders';
import type { Family } from './family';

export const panFilmSheets: Family = {
  id: 'pan-film-sheets',
  name: 'Pan-film sheets',
  about: 'Films cooked about a minute in a covered oiled pan, then filled and rolled.',
  teaches: 'A film needs no steamer: a covered pan does it in a minute.',
  blend: { 'rice-flour-fine': [45, 58], tapioca: [42, 55] },
  liquidToDry: [1.5, 3],
  saltPct: [0.2, 0.9],
  oil: { of: 'dry', band: [4, 11] },
  cooked: 'pan-film',
  depthMm: [0.7, 1.5],
  rise: 1.03,
  restInSteamerS: 0,
  noLaterFactor: 2,
  noSoonerThanS: 30,
  tooLate: 'the sheet toughens',
  releaseC: 90,
  cutC: 90,
  keepDays: 1,
  eatWithin: 'hot, as they are made',
  freezes: false,
  schools: { release: RELEASE },
  usualSauces: ['fish-sauce-dip', 'sweetened-soy', 'shallot-crisp', 'bean-garlic', 'blanched-sprouts', 'quick-pickle'],
  cautions: ['hot-oil', 'raw-fillings', 'wet-sheets', 'allergens'],
  signs: { cooked: 'It blisters and comes free at the edge.' },
  pours: () => ({ word: 'milk', look: 'Thin as milk; swirls over the pan in one turn.' }),
  formula: () =>
    formulaPlan('pan-film-sheets', 'Pan-film sheets', {
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('rice-flour-fine', 156),
            g('tapioca', 144),
            g('fine-salt', 4),
            g('oil', 16),
            g('water', 150, { treatment: 'boiling' }),
          ],
          wantedLiquidG: 600,
        },
      ],
      fillings: [
        {
          id: 'shrimp',
          name: 'Shrimp and onion',
          lines: [
            g('fresh-shrimp', 240, { treatment: 'fried', frySaltG: 2 }),
            g('spring-onion', 60, { treatment: 'fried' }),
          ],
        },
      ],
      accompaniments: [sauce('fish-sauce-dip', 'dip', 30)],
      heat: 'medium',
      cooling: [],
      guests: 4,
      role: 'breakfast',
      vesselCount: 20,
      vessel: {
        id: 'covered-pan',
        name: 'Covered pan, 22 cm base',
        shape: 'round',
        material: 'aluminium',
        diameterM: 0.22,
        heightM: 0.05,
        count: 1,
        provenance: 'default',
      },
    }),
  build: (k) => sheets(k, { how: 'roll', film: true }),
};
