import { COOLING, DRIP_GUARD, LINING, YEAST } from './schools';
import { formulaPlan, g } from './compose';
import { slab } from '../flow/builders';
import type { Family } from './family';

export const yeastSponge: Family = {
  id: 'yeast-sponge',
  name: 'Yeast sponge',
  about: 'White sponge with a honeycomb of tall holes, from a cooled syrup and a foaming ferment.',
  teaches: 'Syrup cool enough for yeast, and how a foaming batter looks.',
  blend: { 'rice-flour-fine': [92, 100], tapioca: [0, 8] },
  liquidToDry: [1.35, 1.7],
  sugarOfDry: [45, 75],
  yeastPct: [0.8, 1.5],
  cooked: 'steamed',
  depthMm: [20, 35],
  rise: 1.5,
  restInSteamerS: 180,
  noLaterFactor: 1.8,
  noSoonerThanS: 600,
  tooLate: 'the holes collapse and it shrinks',
  releaseC: 35,
  cutC: 30,
  keepDays: 2,
  eatWithin: 'the same day',
  freezes: false,
  schools: { yeast: YEAST, dripGuard: DRIP_GUARD('cloth'), lining: LINING, cooling: COOLING },
  usualSauces: ['sesame-sugar', 'coconut-rain'],
  cautions: ['hot-paste', 'ferment', 'steam', 'cooling', 'allergens'],
  signs: { cooked: 'Springs back; a pick comes out dry.' },
  pours: () => ({ word: 'single cream', look: 'Runs like single cream, no lump.' }),
  formula: () =>
    formulaPlan('yeast-sponge', 'Yeast sponge', {
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('rice-flour-fine', 285),
            g('tapioca', 15),
            g('white-sugar', 170, { treatment: 'syrup', tempC: 58 }),
            g('water', 250, { treatment: 'syrup', tempC: 58 }),
            g('water', 200),
            g('dry-yeast', 3.3, { treatment: 'bloomed' }),
            g('oil', 6),
          ],
        },
      ],
      heat: 'strong',
      cooling: [{ where: 'counter', timeS: 5400 }],
      cut: { shape: 'wedges', by: { kind: 'count', pieces: 8 } },
      guests: 8,
      role: 'taste',
    }),
  build: (k) => slab(k, { way: 'raw', rise: 1.5, standS: 180 }),
};
