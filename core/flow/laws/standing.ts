import { figure } from '../../units';
import { driftedC, fermentTimeS, KNOCKED_OUT, POWDER_AT_ONCE, POWDER_GAS_ML_PER_G } from '../../model/batter';
import { heldAt, waited } from '../kinetics';
import type { LawInput, LawTable } from '../law';
import { sugarPhaseOf, volumeOf, watersOf } from '../look';
import type { Operation } from '../operations';
import {
  atTemp,
  divideStream,
  FIBRE_ASH,
  partsOfStream,
  SALT,
  splitStream,
  streamMass,
  SUGAR,
  WATER,
  WIDTH,
  type Stream,
} from '../stream';
import { asRead, thicknessFigures } from './reading';
import { guardYeast, yeastIn } from './yeast';

/** Where a yeast batter is kept, °C; the room as it is. */
const PLACES_C = { 'warm-box': 32, 'oven-lamp': 30 } as const;
const gramsOf = (x: LawInput<Operation>, s: Stream, ingredient: string): number => {
  let m = 0;
  for (let l = s.from; l < s.to; l++)
    if (x.lines[l].ingredient === ingredient) for (let k = 0; k < 6; k++) m += s.g[l * WIDTH + k];
  return m;
};

/** What is done to a batter that has been mixed: it rises, rests, is seasoned, takes its pieces, is split and coloured. */
export const STANDING_LAWS: LawTable<
  'ferment' | 'knock-back' | 'add-powder' | 'rest' | 'pour-off' | 'season' | 'fold-in' | 'split' | 'colour'
> = {
  ferment: (x) => {
    const s = x.all();
    const { where, placeC, forS, groundGrain, rise } = x.settings;
    const place = placeC ?? (where === 'room' ? x.env.roomC : where === 'fridge' ? x.env.fridgeC : PLACES_C[where]);
    const yeastG = yeastIn(x, s);
    const dosePct = (100 * yeastG) / Math.max(watersOf(x.lines, s).dryG, 1e-9);
    const m = streamMass(s);
    const needs = fermentTimeS({
      dosePct,
      sugarPhase: sugarPhaseOf(partsOfStream(s, 'free')),
      groundGrain,
      tempC: (t) => driftedC(s.tempC, place, t, m, true),
    });
    if (yeastG > 0 && needs === undefined)
      x.warn(
        'no-rise',
        `It does not rise at ${Math.round(s.tempC)} °C kept at ${Math.round(place)} °C: yeast works from about 10 to 42 °C.`,
      );
    const waitS = yeastG <= 0 ? 0 : x.wait(forS ?? needs ?? 0);
    const gas =
      yeastG > 0 && needs !== undefined && needs > 0
        ? (rise - 1) * volumeOf(partsOfStream(s)) * Math.min(1.2, waitS / needs)
        : 0;
    return {
      outs: [{ ...asRead(x, atTemp(s, driftedC(s.tempC, place, waitS, m, true))), gasMl: s.gasMl + gas }],
      handsS: 30,
      waitS,
      figures: {
        dosePct: figure(dosePct),
        placeC: figure(place),
        startC: figure(s.tempC, 'default', 2),
        ...(needs === undefined ? {} : { needsS: figure(needs, 'default', 0.2 * needs) }),
      },
    };
  },
  'knock-back': (x) => {
    const s = x.all();
    return { outs: [{ ...s, gasMl: s.gasMl * (1 - KNOCKED_OUT) }], handsS: 60 };
  },
  'add-powder': (x) => {
    const s = x.all();
    const gas = gramsOf(x, s, 'baking-powder') * POWDER_GAS_ML_PER_G * POWDER_AT_ONCE;
    return { outs: [{ ...s, gasMl: s.gasMl + gas }], handsS: 60, waitS: x.wait(x.settings.standS) };
  },
  rest: (x) => {
    const s = x.all();
    const waitS = x.wait(x.settings.usualS);
    return { outs: [asRead(x, waited(x.lines, s, x.env.roomC, waitS, true))], handsS: 20, waitS };
  },
  'pour-off': (x) => {
    const s = x.all();
    const free = watersOf(x.lines, s).addedWaterG;
    const read = x.read('pouredG', 0, free, 'g');
    const poured = Math.min(free, read ?? x.settings.pouredG);
    const share = free > 0 ? poured / free : 0;
    const [clear, bed] = divideStream(s, (line, phase, part) => {
      if (phase === 'piece') return 0;
      if (part === WATER) return x.lines[line].dry ? 0 : share;
      if (part === SUGAR || part === SALT) return share;
      const at = line * WIDTH;
      return part === FIBRE_ASH && s.g[at + FIBRE_ASH] > 0 ? (share * s.g[at + SALT]) / s.g[at + FIBRE_ASH] : 0;
    });
    x.lose('pouredOff', clear);
    const gone = partsOfStream(clear);
    return {
      outs: [x.merge([bed, x.draw('tap', poured, x.env.roomC)])],
      handsS: 120,
      figures: {
        pouredG: figure(poured, read === undefined ? 'default' : 'measured'),
        saltG: figure(gone.salt),
        sugarG: figure(gone.sugar),
      },
    };
  },
  season: (x) => {
    const s = x.all();
    const gone = x.earlier(`pour-off:${x.node.about}`)?.figures;
    const salt = gone?.saltG.value ?? 0;
    const lost = gone?.sugarG.value ?? 0;
    // A flour's own trace of sugar is not worth putting back.
    const sugar = lost > 0.5 ? lost : 0;
    return {
      outs: [x.merge([s, x.draw('season-salt', salt, s.tempC), x.draw('season-sugar', sugar, s.tempC)])],
      handsS: 45,
    };
  },
  'fold-in': (x) => {
    const s = x.all();
    guardYeast(x, s);
    const out = asRead(x, s.tempC > 45 ? heldAt(x.lines, s, s.tempC, 60) : s);
    return { outs: [out], handsS: 120, figures: thicknessFigures(x, out) };
  },
  split: (x) => {
    let rest = x.all();
    const n = x.settings.names.length;
    let left = 1;
    const outs = x.settings.shares.map((share, i) => {
      const [mine, others] = splitStream(rest, i === n - 1 ? 1 : left > 1e-9 ? Math.min(1, share / left) : 0);
      rest = others;
      left -= share;
      return mine;
    });
    return { outs, handsS: 60 * n };
  },
  colour: (x) => ({ outs: [x.all()], handsS: 45 }),
};
