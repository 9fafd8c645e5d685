import { COOLING, DRIP_GUARD } from './schools';
import { formulaPlan, g } from './compose';
import { layered } from '../flow/builders';
import type { Family } from './family';

export const twoToneLayers: Family = {
  id: 'two-tone-layers',
  name: 'Two-tone layers',
  about: 'Plain coconut layers and bean layers by turns, chewy and clear, cut in diamonds.',
  teaches: 'Pour when the last layer is tacky: sooner it bleeds, later it parts.',
  blend: { tapioca: [66, 78], 'glutinous-flour': [0, 34], 'rice-flour-fine': [0, 34] },
  variants: [
    {
      when: { ingredient: 'mung-beans-cooked' },
      bands: {
        blend: { tapioca: [60, 70], 'glutinous-flour': [0, 40], 'rice-flour-fine': [0, 40] },
        beanOfDry: [1.8, 2.4],
      },
    },
  ],
  liquidToDry: [2.3, 3.2],
  coconutOfLiquid: [45, 70],
  sugarOfDry: [45, 100],
  cooked: 'layers',
  depthMm: [20, 88],
  layers: [5, 11],
  usualLayers: 7,
  layerMm: [4, 8],
  rise: 1.03,
  restInSteamerS: 300,
  noLaterFactor: 3,
  noSoonerThanS: 1200,
  tooLate: 'the rim dries and toughens',
  releaseC: 30,
  cutC: 12,
  keepDays: 3,
  eatWithin: 'the same or the next day, at room temperature',
  freezes: false,
  schools: { dripGuard: DRIP_GUARD('cloth'), cooling: COOLING },
  usualSauces: ['coconut-sauce', 'sesame-sugar'],
  cautions: ['steam', 'hot-paste', 'choking', 'cooling', 'allergens'],
  signs: { cooked: 'Each layer tacky and clear before the next; the last one firm to the finger.' },
  pours: (_s, batter) =>
    batter === 'bean'
      ? { word: 'double cream', look: 'Like double cream; stir before each pour.' }
      : { word: 'single cream', look: 'Runs off the ladle like single cream; stir before each pour.' },
  formula: () =>
    formulaPlan('two-tone-layers', 'Two-tone layers', {
      schools: { cooling: 'ice-bath' },
      batters: [
        {
          id: 'plain',
          name: 'Plain coconut',
          colour: 'porcelain',
          lines: [
            g('tapioca', 180),
            g('glutinous-flour', 70),
            g('coconut-milk', 380),
            g('white-sugar', 140),
            g('fine-salt', 2),
            g('water', 300),
          ],
        },
        {
          id: 'bean',
          name: 'Bean',
          colour: 'bean',
          lines: [
            g('tapioca', 100),
            g('glutinous-flour', 50),
            g('mung-beans-cooked', 310, { treatment: 'mashed' }),
            g('coconut-milk', 230),
            g('white-sugar', 125),
            g('fine-salt', 1.5),
            g('water', 130),
          ],
        },
      ],
      layers: 7,
      heat: 'medium',
      cooling: [
        { where: 'counter', timeS: 900 },
        { where: 'ice-bath', timeS: 14400 },
        { where: 'fridge', timeS: 7200 },
      ],
      cut: { shape: 'diamonds', by: { kind: 'size', sizeM: 0.04 } },
      guests: 12,
      role: 'side',
    }),
  build: (k) => layered(k, { layers: k.plan.layers, standS: 300, apart: 'oil' }),
};
