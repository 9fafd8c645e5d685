import { COOLING, DRIP_GUARD, LINING, SERVE } from './schools';
import { formulaPlan, g } from './compose';
import type { Family } from './family';

export const crispBitJelly: Family = {
id: 'crisp-bit-jelly', name: 'Crisp-bit jelly',
  about: 'Clear jelly of water chestnut starch with crisp dice, half slurry into half hot syrup, then steamed.',
  blend: { 'water-chestnut-starch': [90, 100], tapioca: [0, 10] },
  liquidToDry: [4.4, 6], sugarOfDry: [60, 110], addIn: { ingredients: ['water-chestnut', 'yam-bean'], ofDry: [0.35, 0.6] },
  cooked: 'steamed', depthMm: [28, 45], rise: 1.03, gasShare: 0, foilUsual: false,
  restInSteamerS: 300, noLaterFactor: 2, tooLate: 'it clouds and weeps',
  releaseC: 25, cutC: 12, keepDays: 3, eatWithin: 'cold, or seared the next day', freezes: false,
  schools: { dripGuard: DRIP_GUARD('cloth'), lining: LINING, cooling: COOLING, serve: SERVE('both') },
  usualSauces: [], cautions: ['hot-paste', 'steam', 'choking', 'hot-oil', 'cooling', 'allergens'],
  signs: { choose: 'Hard, heavy water chestnuts with no soft eye.', batter: 'Thick enough that the dice hang in it.', cooked: 'Clear right through, the dice visible.' },
  formula: () => formulaPlan('crisp-bit-jelly', 'Crisp-bit jelly', {
    schools: { serve: 'both' },
    batters: [{ id: 'batter', name: 'Batter', lines: [g('water-chestnut-starch', 200), g('slab-sugar', 165, { treatment: 'syrup', tempC: 98 }), g('water', 540, { treatment: 'boiling' })], wantedLiquidG: 1020 }],
    addIns: [g('water-chestnut', 100)],
    heat: 'medium', cooling: [{ where: 'counter', timeS: 1200 }, { where: 'ice-bath', timeS: 7200 }, { where: 'fridge', timeS: 14400 }],
    cut: { shape: 'rectangles', by: { kind: 'size', sizeM: 0.05, otherM: 0.015 } }, sear: { dial: 'medium-low', colour: 'pale', startC: 5 }, guests: 8, role: 'side',
  }),
  outline: (s) => ['choose', 'weigh', 'syrup', 'mix-boiling', 'thicken', 'fold-in', 'water-on', 'prepare-pan', 'pour', 'steam', 'check', 'stand', 'cool', 'unmould', 'cut', ...(s.serve === 'plain' ? [] : ['sear' as const]), 'serve'],
};
