import { DRIP_GUARD, REST_BATTER } from './schools';
import { formulaPlan, g, sauce } from './compose';
import { cups } from '../flow/builders';
import type { Family } from './family';

export const dimpledCups: Family = {
  id: 'dimpled-cups',
  name: 'Dimpled cups',
  about: 'Thin tender cups from small hot moulds, a dimple in each for topping and scallion oil; many loads.',
  teaches: 'Hot moulds and a thin batter: the dimple comes by itself.',
  blend: { 'rice-flour-fine': [58, 75], tapioca: [18, 30], 'maize-starch': [0, 15] },
  liquidToDry: [2.5, 3.3],
  saltPct: [0.3, 0.7],
  cooked: 'cups',
  depthMm: [5, 12],
  rise: 1.03,
  restInSteamerS: 0,
  noLaterFactor: 2.5,
  noSoonerThanS: 240,
  tooLate: 'the dimple fills with water and the rim toughens',
  releaseC: 60,
  cutC: 60,
  keepDays: 1,
  eatWithin: 'warm, within two hours',
  freezes: false,
  schools: { rest: REST_BATTER('yes'), dripGuard: DRIP_GUARD('cloth') },
  usualSauces: ['fish-sauce-dip', 'scallion-oil', 'shrimp-crumb', 'quick-pickle'],
  cautions: ['steam', 'cooling', 'allergens'],
  signs: { cooked: 'White turns half-clear, a dimple in the middle.' },
  pours: () => ({ word: 'thin milk', look: 'Coats a spoon as thinly as milk; no lumps through a sieve.' }),
  formula: () =>
    formulaPlan('dimpled-cups', 'Dimpled cups', {
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('rice-flour-fine', 200),
            g('tapioca', 72),
            g('maize-starch', 28),
            g('fine-salt', 5),
            g('oil', 10),
            g('water', 420, { treatment: 'boiling' }),
          ],
          wantedLiquidG: 870,
        },
      ],
      accompaniments: [
        sauce('fish-sauce-dip', 'dip'),
        {
          id: 'scallion',
          name: 'Scallion oil',
          role: 'topping',
          method: 'infuse-oil',
          amount: { by: 'head', grams: 8 },
          lines: [
            { ingredient: 'spring-onion', parts: 3 },
            { ingredient: 'oil', parts: 4 },
          ],
        },
        sauce('shrimp-crumb', 'crumb'),
      ],
      heat: 'strong',
      cooling: [],
      guests: 6,
      role: 'side',
      vessel: {
        id: 'small-dishes',
        name: 'Small dishes, 65 mm',
        shape: 'round',
        material: 'ceramic',
        diameterM: 0.065,
        baseDiameterM: 0.05,
        heightM: 0.02,
        count: 12,
        provenance: 'default',
      },
      vesselCount: 48,
    }),
  build: (k) => cups(k, { mix: { sieve: true } }),
};
