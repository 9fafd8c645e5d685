import { COOLING, DRIP_GUARD } from './schools';
import { formulaPlan, g } from './compose';
import { layered } from '../flow/builders';
import type { Family } from './family';

export const rainbowLayers: Family = {
  id: 'rainbow-layers',
  name: 'Rainbow layers',
  about: 'One coconut batter split evenly into colours, each poured several times, peeled layer by layer.',
  teaches: 'Even layers by weight, and patience with a tapioca that clears late.',
  blend: { tapioca: [75, 92], 'rice-flour-fine': [8, 25] },
  liquidToDry: [2.2, 2.9],
  sugarOfDry: [40, 75],
  cooked: 'layers',
  depthMm: [18, 60],
  layers: [6, 12],
  usualLayers: 9,
  layerMm: [3, 6],
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
  usualSauces: ['coconut-sauce', 'coconut-rain'],
  cautions: ['steam', 'choking', 'cooling', 'allergens'],
  signs: { cooked: 'Tacky and clear before the next pour.' },
  pours: () => ({ word: 'single cream', look: 'Like single cream, the same height in every bowl.' }),
  formula: () =>
    formulaPlan('rainbow-layers', 'Rainbow layers', {
      schools: { cooling: 'ice-bath' },
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('tapioca', 300),
            g('rice-flour-fine', 55),
            g('coconut-milk', 450),
            g('white-sugar', 210),
            g('fine-salt', 2),
            g('water', 450),
          ],
        },
      ],
      colours: [
        { id: 'porcelain', name: 'Porcelain', colour: 'porcelain' },
        { id: 'pandan', name: 'Pandan', colour: 'pandan' },
        { id: 'rose', name: 'Rose', colour: 'rose' },
      ],
      layers: 9,
      heat: 'medium',
      cooling: [
        { where: 'counter', timeS: 3600 },
        { where: 'ice-bath', timeS: 7200 },
        { where: 'fridge', timeS: 14400 },
      ],
      cut: { shape: 'rectangles', by: { kind: 'size', sizeM: 0.06, otherM: 0.03 } },
      guests: 12,
      role: 'side',
    }),
  build: (k) => layered(k, { layers: k.plan.layers, standS: 300 }),
};
