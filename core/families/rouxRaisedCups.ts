import { DRIP_GUARD, YEAST } from './schools';
import { formulaPlan, g } from './compose';
import { cups } from '../flow/builders';
import type { Family } from './family';

export const rouxRaisedCups: Family = {
  id: 'roux-raised-cups',
  name: 'Roux-raised cups',
  about: 'Cups that burst into a smile: part of the flour cooked to a paste, yeast first, baking powder last.',
  teaches: 'Full steam at once: cups burst only in a hot, hard boil.',
  blend: { 'rice-flour-fine': [100, 100] },
  liquidToDry: [1.6, 2.2],
  sugarOfDry: [70, 110],
  yeastPct: [0.7, 1.1],
  powderPct: [1, 1.6],
  cooked: 'cups',
  depthMm: [15, 30],
  rise: 1.4,
  restInSteamerS: 0,
  noLaterFactor: 1.8,
  noSoonerThanS: 480,
  tooLate: 'they sink and shrink',
  releaseC: 45,
  cutC: 40,
  keepDays: 2,
  eatWithin: 'warm, the same day',
  freezes: true,
  schools: { yeast: YEAST, dripGuard: DRIP_GUARD('cloth') },
  usualSauces: ['sesame-sugar'],
  cautions: ['hot-paste', 'ferment', 'steam', 'cooling', 'allergens'],
  signs: { cooked: 'Burst open in three or four, dry to the pick.' },
  pours: () => ({ word: 'pancake batter', look: 'Loose as pancake batter, and smooth.' }),
  formula: () =>
    formulaPlan('roux-raised-cups', 'Roux-raised cups', {
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('rice-flour-fine', 300, { treatment: 'roux', share: 0.15 }),
            g('white-sugar', 230),
            g('water', 560),
            g('dry-yeast', 2.7, { treatment: 'bloomed' }),
            g('baking-powder', 4),
          ],
        },
      ],
      heat: 'strong',
      cooling: [],
      guests: 10,
      role: 'taste',
      vessel: {
        id: 'muffin-cups',
        name: 'Foil cups, 60 mm',
        shape: 'round',
        material: 'foil',
        diameterM: 0.06,
        baseDiameterM: 0.045,
        heightM: 0.045,
        count: 24,
        provenance: 'default',
      },
      vesselCount: 18,
    }),
  build: (k) => cups(k, { rise: 1.4 }),
};
