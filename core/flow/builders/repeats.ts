import { layerOrder, layerShares } from '../../plan';
import type { Handle } from '../builder';
import type { FlowResource } from '../flow';
import { joined, mixBatter, raise, restBatter, type MixOptions } from './batter';
import {
  accompaniments,
  checkAndStand,
  choose,
  coolDown,
  cutAndSear,
  fillSheets,
  makeFillings,
  readySteamer,
  serve,
  weigh,
  type CakeOptions,
} from './cake';
import type { Kit } from './kit';
import { mixedBatters } from './slab';

const STEAMING: readonly FlowResource[] = ['hands', 'tier', 'ring'];

export interface LayersOptions extends CakeOptions {
  readonly layers: number;
}

/** One batter in colours, or several batters, poured by turns, each on the set one below. */
export function layered(k: Kit, o: LayersOptions): void {
  const { b, plan } = k;
  weigh(k);
  const batters = mixedBatters(k, (r) => mixBatter(k, r));
  let streams: Handle[] = batters;
  if (plan.colours.length > 1 && batters.length === 1) {
    b.mark('cake', batters[0]);
    const parts = b.node(
      'split',
      plan.batters[0].id,
      { names: plan.colours.map((c) => c.name), shares: layerShares(o.layers, plan.colours.length) },
      batters,
      plan.colours.map((c) => `${c.name.toLowerCase()} batter`),
      { resources: ['hands', 'bowl'] },
    );
    streams = plan.colours.map((c, i) => {
      const lines = c.lines.filter((l) => b.has(l.id));
      return lines.length === 0
        ? parts[i]
        : b.node(
            'colour',
            c.id,
            { name: c.name },
            [parts[i], ...lines.map((l) => b.take(l.id))],
            [`${c.name.toLowerCase()} batter`],
            { resources: ['hands', 'bowl'] },
          )[0];
    });
  } else streams = coloured(k, batters);
  const sauces = accompaniments(k);
  readySteamer(k);
  const order = layerOrder(o.layers, streams.length);
  const [out] = b.node('layer', 'cake', { order }, streams, ['cake'], {
    station: 'steam',
    resources: STEAMING,
    after: ['boil-up:steamer', 'prepare:pan'],
  });
  b.mark('pan', out);
  serve(k, cutAndSear(k, coolDown(k, checkAndStand(k, out, o.standS)), o), sauces);
}

/** Colour lines of a plan that splits nothing go into the first batter: none is lost. */
function coloured(k: Kit, batters: Handle[]): Handle[] {
  const { b, plan } = k;
  const lines = plan.colours.flatMap((c) => c.lines).filter((l) => b.has(l.id));
  if (lines.length === 0) return batters;
  const [first] = b.node(
    'colour',
    plan.colours[0].id,
    { name: plan.colours[0].name },
    [batters[0], ...lines.map((l) => b.take(l.id))],
    ['coloured batter'],
    { resources: ['hands', 'bowl'] },
  );
  return [first, ...batters.slice(1)];
}

export interface CupsOptions extends CakeOptions {
  readonly choose?: string;
  readonly mix?: MixOptions;
  readonly rise?: number;
  readonly groundGrain?: boolean;
}

/** Small moulds filled and steamed load after load. */
export function cups(k: Kit, o: CupsOptions): void {
  const { b } = k;
  if (o.choose) choose(k, o.choose);
  weigh(k);
  const batters = mixedBatters(k, (r) => {
    const mixed = restBatter(k, r, mixBatter(k, r, { ...o.mix, powderLater: o.rise !== undefined }));
    return o.rise === undefined ? mixed : raise(k, r, mixed, o.rise, o.groundGrain);
  });
  const cake = joined(k, coloured(k, batters));
  const sauces = accompaniments(k);
  readySteamer(k, 'moulds');
  b.mark('cake', cake);
  const [out] = b.node('fill', 'cake', { what: 'cups' }, [cake], ['steamed cups'], {
    station: 'steam',
    resources: STEAMING,
    after: ['boil-up:steamer', 'preheat:moulds'],
  });
  b.mark('pan', out);
  serve(k, coolDown(k, out), sauces);
}

export interface SheetsOptions {
  readonly choose?: string;
  readonly how: 'roll' | 'fold';
  /** Cooked in a covered pan instead of the steamer. */
  readonly film?: boolean;
  readonly mix?: MixOptions;
}

/** Thin sheets, one after another, filled and rolled or folded. */
export function sheets(k: Kit, o: SheetsOptions): void {
  const { b } = k;
  if (o.choose) choose(k, o.choose);
  weigh(k);
  const batters = mixedBatters(k, (r) => restBatter(k, r, mixBatter(k, r, o.mix)));
  const cake = joined(k, coloured(k, batters));
  const filled = makeFillings(k);
  const sauces = accompaniments(k);
  b.mark('cake', cake);
  let out: Handle;
  if (o.film)
    [out] = b.node('film', 'cake', {}, [cake], ['films'], { station: 'steam', resources: ['hands', 'pan', 'ring'] });
  else {
    readySteamer(k, 'trays');
    [out] = b.node('fill', 'cake', { what: 'sheets' }, [cake], ['sheets'], {
      station: 'steam',
      resources: STEAMING,
      after: ['boil-up:steamer', 'preheat:trays'],
    });
  }
  b.mark('pan', out);
  serve(k, coolDown(k, fillSheets(k, out, o.how, filled)), sauces);
}
