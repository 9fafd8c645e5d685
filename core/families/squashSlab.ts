import { COOLING, DRIP_GUARD, LINING, SERVE } from './schools';
import { formulaPlan, g } from './compose';
import type { Family } from './family';

export const squashSlab: Family = {
id: 'squash-slab', name: 'Squash slab',
  about: 'Mashed winter squash carries the water; a raw batter, chilled and seared.',
  blend: { 'rice-flour-fine': [80, 92], tapioca: [8, 20] },
  liquidToDry: [0.9, 1.6], saltPct: [0.5, 1.1], addIn: { ingredients: ['winter-squash'], ofDry: [2, 3] },
  cooked: 'steamed', depthMm: [22, 45], rise: 1.03, gasShare: 0, foilUsual: false,
  restInSteamerS: 300, noLaterFactor: 2.2, tooLate: 'the colour dulls and the rim dries',
  releaseC: 30, cutC: 12, keepDays: 3, eatWithin: 'next day, seared', freezes: false,
  schools: { dripGuard: DRIP_GUARD('cloth'), lining: LINING, cooling: COOLING, serve: SERVE('seared') },
  usualSauces: ['sweetened soy'], cautions: ['steam', 'hot-oil', 'cooling', 'allergens'],
  signs: { choose: 'A dense squash with a dry stem and deep orange flesh.', batter: 'Falls from the spoon in slow folds.', cooked: 'Springs back in the middle, pick clean.' },
  formula: () => formulaPlan('squash-slab', 'Squash slab', {
    batters: [{ id: 'batter', name: 'Batter', lines: [g('rice-flour-fine', 240), g('tapioca', 40), g('winter-squash', 680, { treatment: 'mashed' }), g('fine-salt', 10), g('white-sugar', 10)], wantedLiquidG: 350 }],
    addIns: [g('dried-mushroom', 40, { treatment: 'fried' }), g('spring-onion', 30)],
    sauces: [{ id: 'soy', name: 'Sweetened soy', role: 'sauce', gramsAHead: 12, lines: [{ ingredient: 'light-soy', parts: 4 }, { ingredient: 'water', parts: 3 }, { ingredient: 'white-sugar', parts: 2 }] }],
    heat: 'strong', cooling: [{ where: 'counter', timeS: 900 }, { where: 'ice-bath', timeS: 7200 }, { where: 'fridge', timeS: 14400 }],
    cut: { shape: 'rectangles', by: { kind: 'size', sizeM: 0.06, otherM: 0.018 } }, sear: { dial: 'medium-low', colour: 'golden', startC: 5 }, guests: 8, role: 'side',
  }),
  outline: (s) => ['choose', 'weigh', 'soak-dried', 'grate', 'fry-add-ins', 'mix', 'fold-in', 'sauces', 'water-on', 'prepare-pan', 'pour', 'steam', 'check', 'stand', 'cool', 'unmould', 'cut', ...(s.serve === 'plain' ? [] : ['sear' as const]), 'serve'],
};
