import { COOLING } from './schools';
import { formulaPlan, g } from './compose';
import { slab } from '../flow/builders';
import type { Family } from './family';

export const stirredSetPudding: Family = {
  id: 'stirred-set-pudding',
  name: 'Stirred set pudding',
  about: 'Cooked through in the pot with pandan and coconut, poured and left to set; no steaming.',
  teaches: 'Cooking starch through in the pot: the taste of raw and of done.',
  blend: { 'rice-flour-fine': [30, 55], tapioca: [45, 70] },
  liquidToDry: [3.6, 5.2],
  sugarOfDry: [35, 60],
  cooked: 'pot',
  depthMm: [20, 35],
  rise: 1,
  restInSteamerS: 0,
  noLaterFactor: 1.5,
  noSoonerThanS: 120,
  tooLate: 'it catches on the pot',
  releaseC: 25,
  cutC: 12,
  keepDays: 3,
  eatWithin: 'chilled, the next day',
  freezes: false,
  schools: { cooling: COOLING },
  usualSauces: ['coconut-sauce', 'palm-syrup'],
  cautions: ['hot-paste', 'cooling', 'allergens'],
  signs: { cooked: 'Glassy, pulls from the side of the pot, a cooled drop is elastic.' },
  pours: () => ({
    word: 'paste that holds a trail',
    look: 'Glassy; the spoon leaves a trail that stays, and it pulls from the side.',
  }),
  formula: () =>
    formulaPlan('stirred-set-pudding', 'Stirred set pudding', {
      schools: { cooling: 'ice-bath' },
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          colour: 'pandan',
          lines: [
            g('rice-flour-fine', 78),
            g('tapioca', 104),
            g('pandan-juice', 105),
            g('coconut-milk', 215),
            g('white-sugar', 86),
            g('fine-salt', 2),
          ],
          wantedLiquidG: 795,
        },
      ],
      heat: 'medium',
      cooling: [
        { where: 'counter', timeS: 1200 },
        { where: 'ice-bath', timeS: 5400 },
        { where: 'fridge', timeS: 7200 },
      ],
      cut: { shape: 'diamonds', by: { kind: 'size', sizeM: 0.045 } },
      guests: 8,
      role: 'side',
    }),
  build: (k) => slab(k, { way: 'raw', pot: true }),
};
