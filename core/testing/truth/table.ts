import { forecastOf, round, type Cake } from './cases';
import { CLEAN, TRUTH, type TruthRow } from './rows';
import type { Band } from '../../units';

/** How far a forecast may lie outside a band, which is wide already. */
export const WIDENED = 1.2;

export interface TruthResult {
  readonly row: TruthRow;
  /** Least and greatest forecast, min; undefined where one never comes. */
  readonly low: number | undefined;
  readonly high: number | undefined;
  /** In its band, in its band widened, or outside it. */
  readonly verdict: 'in' | 'near' | 'out';
}

const verdictOf = (low: number, high: number, [from, to]: Band): TruthResult['verdict'] =>
  low >= from && high <= to ? 'in' : low >= from / WIDENED && high <= to * WIDENED ? 'near' : 'out';

/** Forecasts of every cake of a row against its band. */
export function resultOf(row: TruthRow): TruthResult {
  const all = row.cakes.flatMap((c) => row.ask(forecastOf(c)));
  if (all.length === 0 || all.some((m) => m === undefined))
    return { row, low: undefined, high: undefined, verdict: 'out' };
  const known = all as number[];
  const low = Math.min(...known);
  const high = Math.max(...known);
  return { row, low, high, verdict: verdictOf(low, high, row.minutes) };
}

export const truthTable = (): readonly TruthResult[] => TRUTH.map(resultOf);

interface Ratio {
  readonly what: string;
  readonly band: Band;
  readonly one: Partial<Cake>;
  readonly other: Partial<Cake>;
}
const tin = (material: 'steel' | 'glass' | 'ceramic') => ({ vessel: round(0.2, material) });
const RATIOS: readonly Ratio[] = [
  { what: 'Glass ÷ steel', band: [1.15, 1.5], one: tin('glass'), other: tin('steel') },
  { what: 'Ceramic ÷ steel', band: [1.15, 1.5], one: tin('ceramic'), other: tin('steel') },
  {
    what: 'Foil over the pan ÷ cloth-wrapped lid',
    band: [1.05, 1.3],
    one: { schools: { dripGuard: 'foil' } },
    other: {},
  },
  { what: 'Gentle ÷ strong', band: [1.1, 1.5], one: { heat: 'gentle' }, other: { heat: 'strong' } },
];
/** Cakes that the ratios are taken of. */
const OF: readonly Omit<Cake, 'vessel'>[] = [
  { family: 'radish-slab', depthMm: 40, heat: 'medium' },
  { family: 'taro-slab', depthMm: 35, heat: 'medium' },
  { family: 'squash-slab', depthMm: 30, heat: 'medium' },
  { family: 'yeast-sponge', depthMm: 28, heat: 'medium' },
];

export interface RatioResult extends Ratio {
  readonly low: number;
  readonly high: number;
  readonly verdict: TruthResult['verdict'];
}

export function ratioTable(): readonly RatioResult[] {
  const clean = (c: Cake) => CLEAN(forecastOf(c))[0] ?? NaN;
  return RATIOS.map((r) => {
    const all = OF.map(
      (c) => clean({ ...tin('steel'), ...c, ...r.one }) / clean({ ...tin('steel'), ...c, ...r.other }),
    );
    const low = Math.min(...all);
    const high = Math.max(...all);
    return { ...r, low, high, verdict: verdictOf(low, high, r.band) };
  });
}

const WORDS = { in: 'in', near: 'within × 1.2', out: '**outside**' } as const;
const say = (x: number | undefined): string => (x === undefined ? 'never' : x.toFixed(1));

/** The page: what home steaming usually takes beside what is forecast. */
export function truthPage(rows: readonly TruthResult[], ratios: readonly RatioResult[]): string {
  const count = (v: TruthResult['verdict']) => rows.filter((r) => r.verdict === v).length;
  const misses = rows.filter((r) => r.verdict === 'out');
  return [
    '# What home steaming usually takes, and what is forecast',
    '',
    'Made by `npm run truth`. The bands are general cookery experience, wide on purpose; each is tried at both ends and the middle of its depths, in the vessels named (the larger tin at the middle), with the shipped formula of its family. No family has a physical constant of its own: what differs is the formula, the vessel, the heat, and what cooks of the sticky cake wait for besides (12 minutes to clear). Medium heat, 1.1 kW, is taken as the full boil of a home ring unless a row says otherwise; sheets are cooked on the strongest.',
    '',
    `${count('in')} rows lie in their bands, ${count('near')} within them widened by 1.2, ${count('out')} outside.`,
    '',
    '| cake | depth, mm | typical vessel and heat | minutes | forecast | |',
    '| --- | --- | --- | --- | --- | --- |',
    ...rows.map(
      ({ row, low, high, verdict }) =>
        `| ${row.cake} | ${row.depth} | ${row.typical} | ${row.minutes.join('–')} | ${say(low)}–${say(high)} | ${WORDS[verdict]} |`,
    ),
    '',
    '## Ratios',
    '',
    'Of a radish, a taro and a squash slab and a sponge, in a tin of 20 cm.',
    '',
    '| | usual | forecast | |',
    '| --- | --- | --- | --- |',
    ...ratios.map(
      (r) => `| ${r.what} | ${r.band.join('–')} | ${r.low.toFixed(2)}–${r.high.toFixed(2)} | ${WORDS[r.verdict]} |`,
    ),
    '',
    '## Left outside, and why',
    '',
    ...misses.map(
      ({ row }) => `- **${row.cake}**${row.depth ? ` (${row.depth} mm)` : ''}: ${row.misses ?? 'not explained'}`,
    ),
    '',
  ].join('\n');
}
