import { DRIP_GUARD } from './schools';
import { formulaPlan, g } from './compose';
import { cups } from '../flow/builders';
import type { Family } from './family';

const CHOOSE = 'A coconut heavy with water that sloshes.';

export const groundGrainCups: Family = {
  id: 'ground-grain-cups',
  name: 'Ground-grain cups',
  about: 'Soaked rice ground with fresh coconut, fermented overnight, steamed in half-full bowls.',
  teaches: 'Grinding soaked rice, and a slow rise overnight.',
  blend: { 'long-grain-rice': [100, 100] },
  liquidToDry: [0.5, 0.8],
  sugarOfDry: [6, 45],
  yeastPct: [0.6, 1.6],
  cooked: 'cups',
  depthMm: [15, 25],
  rise: 1.5,
  restInSteamerS: 0,
  noLaterFactor: 1.8,
  noSoonerThanS: 480,
  tooLate: 'they sink',
  releaseC: 50,
  cutC: 45,
  keepDays: 1,
  eatWithin: 'warm, the same morning',
  freezes: false,
  schools: { dripGuard: DRIP_GUARD('cloth') },
  usualSauces: ['coconut-rain', 'peanut-crush'],
  cautions: ['coconut', 'ferment', 'steam', 'cooling', 'allergens'],
  signs: {
    choose: CHOOSE,
    cooked: 'Domed and dry to the pick.',
  },
  pours: () => ({ word: 'single cream', look: 'Like single cream, no grit between finger and thumb.' }),
  formula: () =>
    formulaPlan('ground-grain-cups', 'Ground-grain cups', {
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('long-grain-rice', 400, { treatment: 'soaked' }),
            g('coconut-grated', 130),
            g('white-sugar', 90),
            g('fine-salt', 4),
            g('dry-yeast', 3),
          ],
          wantedLiquidG: 270,
        },
      ],
      heat: 'strong',
      cooling: [],
      guests: 8,
      role: 'side',
      vessel: {
        id: 'small-bowls',
        name: 'Small steel bowls, 90 mm',
        shape: 'bowl',
        material: 'steel',
        diameterM: 0.09,
        heightM: 0.045,
        count: 12,
        provenance: 'default',
      },
      vesselCount: 12,
    }),
  build: (k) => cups(k, { choose: CHOOSE, rise: 1.5, groundGrain: true, mix: { grind: true } }),
};
