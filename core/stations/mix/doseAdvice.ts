import type { FlowLine } from '../../flow';
import { yeastStrength } from '../../larder';
import { sayGrams, sentenceCase, type Band, type ConcernCode } from '../../units';
import { named, type Advice } from './advice.types';
import { beans, scaled, sugarBasis, sumOf, type BatterSeen } from './batterSeen';
import { outside, sayBand } from './outside';

interface Dosed {
  readonly what: string;
  readonly id: ConcernCode;
  readonly band: Band | undefined;
  readonly lines: readonly FlowLine[];
  readonly ingredient: string;
  /** Grams that count, a gram of the lines. */
  readonly strength?: number;
  readonly basisG: number;
  readonly basis: string;
  readonly fine?: boolean;
}

/** Something dosed by per cent of a basis, outside its band at either end. */
function dosed(b: BatterSeen, d: Dosed): readonly Advice[] {
  if (!d.band || d.basisG <= 0) return [];
  const strength = d.strength ?? 1;
  const pct = (100 * strength * sumOf(d.lines)) / d.basisG;
  const off = outside(pct, d.band);
  if (!off) return [];
  const toG = (off.aim * d.basisG) / 100 / strength;
  const by = toG - sumOf(d.lines);
  const grams = (g: number) => (d.fine ? `${g.toFixed(1)} g` : sayGrams(g));
  const words = `${by > 0 ? '+' : '−'}${grams(Math.abs(by))} ${d.what}`;
  return [
    {
      ...named(d.id, b.balance.id),
      grade: off.grade,
      sentence: `${b.named}${b.named ? d.what : sentenceCase(d.what)} is ${pct.toFixed(pct < 10 ? 1 : 0)} % of ${d.basis}; ${sayBand(d.band)} % is usual: ${by > 0 ? 'add' : 'take out'} ${grams(Math.abs(by))}.`,
      fixes: [{ words, changes: scaled(b, d.lines, toG, d.ingredient) }],
    },
  ];
}

/** Sugar, yeast, baking powder, oil and alkali, each on its basis. */
export function dosedAdvice(b: BatterSeen): readonly Advice[] {
  const { bands, balance } = b;
  const of = (test: (l: FlowLine) => boolean) => b.lines.filter(test);
  const yeast = of((l) => yeastStrength(l.ingredient) > 0);
  const works = yeast.reduce((a, l) => a + l.massG * yeastStrength(l.ingredient), 0);
  const instant = yeast.some((l) => yeastStrength(l.ingredient) > 1);
  const oilBasis = bands.oil?.of === 'batter' ? balance.massG : balance.dryBlendG;
  const withBeans = beans(b) > 0;
  return [
    ...dosed(b, {
      what: 'sugar',
      id: 'sugar',
      band: bands.sugarOfDry,
      lines: of((l) => l.kind === 'sugar'),
      ingredient: 'white-sugar',
      basisG: sugarBasis(b),
      basis: withBeans ? 'the dry blend and bean solids' : 'the dry blend',
    }),
    ...dosed(b, {
      what: instant ? 'instant yeast' : 'yeast',
      id: 'yeast',
      band: bands.yeastPct,
      lines: yeast,
      ingredient: 'dry-yeast',
      strength: works > 0 ? works / sumOf(yeast) : 1,
      basisG: balance.dryBlendG,
      basis: 'the dry blend',
      fine: true,
    }),
    ...dosed(b, {
      what: 'baking powder',
      id: 'powder',
      band: bands.powderPct,
      lines: of((l) => l.ingredient === 'baking-powder'),
      ingredient: 'baking-powder',
      basisG: balance.dryBlendG,
      basis: 'the dry blend',
      fine: true,
    }),
    ...dosed(b, {
      what: 'oil',
      id: 'oil',
      band: bands.oil?.band,
      lines: of((l) => l.kind === 'fat'),
      ingredient: 'oil',
      basisG: oilBasis,
      basis: bands.oil?.of === 'batter' ? 'the whole batter' : 'the dry blend',
    }),
    ...dosed(b, {
      what: 'calcium hydroxide',
      id: 'alkali',
      band: bands.alkaliPct,
      lines: of((l) => l.kind === 'alkali'),
      ingredient: 'calcium-hydroxide',
      basisG: balance.dryBlendG,
      basis: 'the grain',
      fine: true,
    }),
  ];
}
