import type { ThicknessWord } from '../../model/batter';
import type { Handle, Input } from '../builder';
import { foldIn, joined, mixBatter, raise, restBatter, thicken, type MixOptions } from './batter';
import {
  accompaniments,
  choose,
  coolDown,
  cutAndSear,
  pourAndSteam,
  readyPan,
  readySteamer,
  serve,
  weigh,
  type CakeOptions,
} from './cake';
import type { Kit, Ready } from './kit';
import { readyBatter } from './ready';

export interface SlabOptions extends CakeOptions {
  readonly choose?: string;
  /** Raw and thin; streamed into boiling liquid and thickened; thickened before the pieces, or with them. */
  readonly way: 'raw' | 'stream' | 'thicken-then-fold' | 'fold-then-thicken';
  readonly to?: ThicknessWord;
  readonly mix?: MixOptions;
  /** Raised by yeast or powder to so many times its height. */
  readonly rise?: number;
  /** Cooked through in the pot, not steamed. */
  readonly pot?: boolean;
  readonly grind?: boolean;
}

/** A cake of one pour, from weighing to the plate. */
export function slab(k: Kit, o: SlabOptions): void {
  if (o.choose) choose(k, o.choose);
  weigh(k);
  const readies = k.plan.batters.map((_, i) => readyBatter(k, i));
  let sauces: Handle[] = [];
  let meant = false;
  const meanwhile = () => {
    if (meant) return;
    meant = true;
    sauces = accompaniments(k);
    if (o.pot) readyPan(k);
    else readySteamer(k);
  };
  const top: Input[] = readies.flatMap((r) => r.top);
  const hot = o.way !== 'raw' || o.pot;
  const batters = readies.map((r, i) => {
    const last = i === readies.length - 1;
    let out = mixBatter(k, r, {
      ...o.mix,
      grind: o.grind,
      powderLater: o.rise !== undefined,
      boiled: o.way === 'stream' ? 0.5 : undefined,
      meanwhile: hot && last && o.rise === undefined ? meanwhile : undefined,
    });
    out = restBatter(k, r, out);
    if (o.rise !== undefined) out = raise(k, r, out, o.rise);
    if (o.way === 'stream' || o.way === 'thicken-then-fold')
      out = thicken(k, r.batter.id, o.to ?? 'thick batter that ribbons', out);
    if (o.pot) {
      [out] = k.b.node('cook-through', r.batter.id, {}, [foldIn(k, r, out)], ['cooked batter'], {
        station: 'steam',
        resources: ['hands', 'ring'],
      });
      return out;
    }
    out = foldIn(k, r, out);
    if (o.way === 'fold-then-thicken') out = thicken(k, r.batter.id, o.to ?? 'thick batter that ribbons', out);
    return out;
  });
  meanwhile();
  const cake = joined(k, batters);
  const paste = o.paste ?? o.way !== 'raw';
  finish(k, cake, top, { ...o, paste }, sauces);
}

/** Poured, steamed, cooled, cut, seared, served. */
export function finish(k: Kit, cake: Handle, top: readonly Input[], o: CakeOptions, sauces: readonly Handle[]): void {
  const steamed = pourAndSteam(k, cake, top, o);
  serve(k, cutAndSear(k, coolDown(k, steamed), o), sauces);
}

/** Batters made ready and mixed, for cakes that are poured in layers, cups or sheets. */
export function mixedBatters(k: Kit, make: (r: Ready) => Handle): Handle[] {
  return k.plan.batters.map((_, i) => {
    const r = readyBatter(k, i);
    const out = make(r);
    const more = [...r.top];
    r.top.length = 0;
    return foldIn(k, r, out, more);
  });
}
