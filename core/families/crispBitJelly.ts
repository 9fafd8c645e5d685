import { COOLING, DRIP_GUARD, LINING, SERVE } from './schools';
import { there } from '../units';
import { formulaPlan, g } from './compose';
import {
  accompaniments,
  choose,
  finish,
  foldIn,
  mixBatter,
  readyBatter,
  readySteamer,
  slab,
  syrupOf,
  thicken,
  weigh,
  type Kit,
} from '../flow/builders';
import type { Family } from './family';

const CHOOSE = 'Hard, heavy water chestnuts with no soft eye.';

/** Half of the slurry into the hot syrup, thickened on low heat; the raw half and the dice stirred into that. */
function jelly(k: Kit): void {
  const hotLines = [...there(k.plan.batters[0]).lines, ...k.plan.addIns].some(
    (l) => (l.treatment === 'boiling' || l.treatment === 'syrup') && k.ingredient(l).kind === 'liquid',
  );
  if (!hotLines || k.plan.batters.length > 1)
    return slab(k, { choose: CHOOSE, way: 'thicken-then-fold', to: 'double cream', standS: 300 });
  choose(k, CHOOSE);
  weigh(k);
  const r = readyBatter(k, 0);
  const slurry = mixBatter(k, r, { syrup: false, scald: false });
  const boiling = [...r.boiling];
  r.boiling.length = 0;
  const hot = syrupOf(k, r, boiling);
  const sauces = accompaniments(k);
  readySteamer(k);
  const [half, other] = k.b.node(
    'split',
    r.batter.id,
    { names: ['first half', 'second half'], shares: [0.5, 0.5] },
    [slurry],
    ['first half of the slurry', 'second half of the slurry'],
    { resources: ['bowl'] },
  );
  const [thin] = k.b.node(
    'stream-in',
    r.batter.id,
    { liquidC: 98 },
    [...(hot ? [hot] : []), half],
    ['hot syrup batter'],
    {
      resources: ['hands', 'ring'],
    },
  );
  const thick = thicken(k, r.batter.id, 'double cream', thin);
  const [whole] = k.b.node('fold-in', `${r.batter.id}-halves`, {}, [thick, other], ['batter'], {
    resources: ['hands', 'bowl'],
  });
  finish(k, foldIn(k, r, whole), r.top, { paste: true, standS: 300 }, sauces);
}

export const crispBitJelly: Family = {
  id: 'crisp-bit-jelly',
  name: 'Crisp-bit jelly',
  about: 'Clear jelly of water chestnut starch with crisp dice, half slurry into half hot syrup, then steamed.',
  teaches: 'Half cooked, half raw: how a hot syrup holds a slurry up.',
  blend: { 'water-chestnut-starch': [90, 100], tapioca: [0, 10] },
  liquidToDry: [4.4, 6],
  sugarOfDry: [60, 110],
  addIn: { ingredients: ['water-chestnut', 'yam-bean'], ofDry: [0.35, 0.7] },
  cooked: 'steamed',
  depthMm: [28, 45],
  rise: 1.03,
  restInSteamerS: 300,
  noLaterFactor: 2,
  noSoonerThanS: 900,
  tooLate: 'it clouds and weeps',
  releaseC: 25,
  cutC: 12,
  keepDays: 3,
  eatWithin: 'cold, or seared the next day',
  freezes: false,
  schools: { dripGuard: DRIP_GUARD('cloth'), lining: LINING, cooling: COOLING, serve: SERVE('both') },
  usualSauces: ['ginger-syrup'],
  cautions: ['hot-paste', 'steam', 'choking', 'hot-oil', 'cooling', 'allergens'],
  signs: {
    choose: CHOOSE,
    cooked: 'Clear right through, the dice visible.',
  },
  pours: () => ({ word: 'double cream', look: 'Clear at the rim and like double cream; the dice hang in it.' }),
  formula: () =>
    formulaPlan('crisp-bit-jelly', 'Crisp-bit jelly', {
      schools: { cooling: 'ice-bath', serve: 'both' },
      batters: [
        {
          id: 'batter',
          name: 'Batter',
          lines: [
            g('water-chestnut-starch', 200),
            g('slab-sugar', 165, { treatment: 'syrup', tempC: 98 }),
            g('water', 540, { treatment: 'boiling' }),
          ],
          wantedLiquidG: 1020,
        },
      ],
      addIns: [g('water-chestnut', 100)],
      heat: 'medium',
      cooling: [
        { where: 'counter', timeS: 1200 },
        { where: 'ice-bath', timeS: 10800 },
        { where: 'fridge', timeS: 14400 },
      ],
      cut: { shape: 'rectangles', by: { kind: 'size', sizeM: 0.05, otherM: 0.015 } },
      sear: { dial: 'medium-low', colour: 'pale', startC: 5, lid: true },
      guests: 8,
      role: 'side',
    }),
  build: (k) => jelly(k),
};
