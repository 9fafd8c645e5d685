import { figure } from '../../units';
import {
  driftedC,
  fermentTimeS,
  KNOCKED_OUT,
  POWDER_AT_ONCE,
  POWDER_GAS_ML_PER_G,
  thicknessWord,
  viscosityOfWord,
  waitToReachS,
} from '../../mix';
import type { LawInput, LawTable } from '../law';
import { cookedThrough, heldAt, thickenTo, waited } from '../kinetics';
import { setDegreeOf, sugarPhaseOf, viscosityOf, volumeOf, watersOf } from '../look';
import type { BatterOperation, Operation } from '../operations';
import { scorchS } from './scorch';
import { coldBack, guardYeast, yeastIn } from './yeast';
import {
  atTemp,
  capacityOf,
  divideStream,
  FIBRE_ASH,
  inPhase,
  mergeStreams,
  partsOfStream,
  SALT,
  splitStream,
  streamMass,
  SUGAR,
  WATER,
  WIDTH,
  type Stream,
} from '../stream';

type Any = LawInput<Operation>;

const BOWL_J_PER_G = { steel: 0.5, ceramic: 0.85, none: 0 } as const;
/** Where a yeast batter is kept, °C; the room as it is. */
const PLACES_C = { 'warm-box': 32, 'oven-lamp': 30 } as const;
/** A thick paste is stirred this long in the pot before it can be handled, s. */
const OFF_THE_RING_S = 120;
/** Stirring until no mealy taste, by thickness, s. */
const THROUGH_S = { least: 360, most: 720, atC: 93 } as const;

const gramsOf = (x: Any, s: Stream, ingredient: string): number => {
  let m = 0;
  for (let l = s.from; l < s.to; l++)
    if (x.lines[l].ingredient === ingredient) for (let k = 0; k < 6; k++) m += s.g[l * WIDTH + k];
  return m;
};

const thicknessFigures = (x: Any, s: Stream) => {
  const eta = viscosityOf(x.lines, s);
  return {
    ...(eta === undefined ? {} : { viscosityMPas: figure(eta, 'default', 0.4 * eta) }),
    tempC: figure(s.tempC, 'default', 3),
    set: figure(setDegreeOf(x.lines, s)),
  };
};

/** A measured temperature replaces the computed one from here on. */
const asRead = (x: Any, s: Stream): Stream => {
  const read = x.read('tempC', -5, 105, '°C');
  return read === undefined ? s : atTemp(s, read);
};

export const BATTER_LAWS: LawTable<BatterOperation> = {
  melt: (x) => {
    const s = x.all();
    const heats = (capacityOf(s) * Math.max(0, x.env.boilC - 5 - s.tempC)) / x.env.mediumW;
    const stands =
      x.settings.toC >= x.env.boilC - 5
        ? 0
        : (waitToReachS(x.env.boilC - 5, x.settings.toC, x.env.roomC, streamMass(s), false) ?? 0);
    return {
      outs: [asRead(x, atTemp(s, Math.min(x.settings.toC, x.env.boilC)))],
      handsS: Math.max(120, heats),
      waitS: x.wait(stands),
    };
  },
  wait: (x) => {
    const s = x.all();
    const usual = waitToReachS(s.tempC, x.settings.toC, x.env.roomC, streamMass(s), x.settings.covered) ?? 0;
    const forS = x.wait(usual);
    return { outs: [asRead(x, waited(x.lines, s, x.env.roomC, forS, x.settings.covered))], handsS: 15, waitS: forS };
  },
  bloom: (x) => {
    const s = x.all();
    guardYeast(x, s);
    return { outs: [s], handsS: 60, waitS: x.wait(x.settings.forS), figures: { tempC: figure(s.tempC, 'default', 2) } };
  },
  roux: (x) => {
    const s = x.all();
    const heats = (capacityOf(s) * Math.max(0, 88 - s.tempC)) / x.env.gentleW;
    const hot = cookedThrough(s, 88);
    const stands = waitToReachS(88, 45, x.env.roomC, streamMass(s), false) ?? 900;
    const forS = x.wait(stands);
    return {
      outs: [asRead(x, atTemp(hot, driftedC(88, x.env.roomC, forS, streamMass(s), false)))],
      handsS: Math.max(150, heats),
      waitS: forS,
      figures: thicknessFigures(x, hot),
    };
  },
  'top-up': (x) => {
    const s = x.all();
    const besides = x.settings.besides.reduce((a, l) => a + x.lines[l].massG, 0);
    const here = watersOf(x.lines, s).liquidG + besides;
    const open = x.settings.wantedG - here;
    const read = x.read('waterG', 0, 50_000, 'g');
    const g = read ?? Math.max(0, open);
    return {
      outs: [x.merge([s, x.draw('tap', g, x.env.roomC)])],
      handsS: 30,
      figures: { waterG: figure(g, read === undefined ? 'default' : 'measured'), liquidG: figure(here + g) },
    };
  },
  mix: (x) => {
    const { bowl, bowlG } = x.settings;
    const s =
      bowl === 'none'
        ? x.all()
        : mergeStreams(x.lines, [...x.fresh, ...x.carried], {
            capacity: bowlG * BOWL_J_PER_G[bowl],
            tempC: x.env.roomC,
          });
    guardYeast(x, s);
    const cold = coldBack(x);
    const mixed = asRead(x, s.tempC > 45 ? heldAt(x.lines, s, s.tempC, 60) : s);
    return {
      outs: [mixed],
      handsS: 240,
      figures: {
        ...thicknessFigures(x, mixed),
        ...(cold === undefined ? {} : { holdBackG: figure(cold, 'default', 0.15 * cold) }),
      },
    };
  },
  scald: (x) => {
    const s = x.all();
    const hot = asRead(x, heldAt(x.lines, s, s.tempC, x.settings.forS));
    return { outs: [hot], handsS: 180 + x.settings.forS, figures: thicknessFigures(x, hot) };
  },
  'stream-in': (x) => {
    const s = x.all();
    const hot = asRead(x, heldAt(x.lines, s, s.tempC, 45));
    return { outs: [hot], handsS: 150, figures: thicknessFigures(x, hot) };
  },
  thicken: (x) => {
    const s = x.all();
    const done = thickenTo(x.lines, s, viscosityOfWord(x.settings.to), x.env.gentleW, x.env.boilC);
    if (!done.reached && thicknessWord(done.viscosityMPas) !== x.settings.to)
      x.warn(
        'never-thick',
        `It never gets as thick as ${x.settings.to}: ${thicknessWord(done.viscosityMPas)} is all this blend gives. Less liquid or more starch would.`,
      );
    const out = asRead(x, atTemp(done.stream, driftedC(done.tempC, x.env.roomC, OFF_THE_RING_S, streamMass(s), false)));
    return {
      outs: [out],
      handsS: 60 + done.timeS,
      figures: {
        toC: figure(done.tempC, 'default', 2),
        stirS: figure(done.timeS, 'default', 0.25 * done.timeS),
        ...(done.viscosityMPas === undefined
          ? {}
          : { viscosityMPas: figure(done.viscosityMPas, 'default', 0.4 * done.viscosityMPas) }),
        set: figure(setDegreeOf(x.lines, out), 'default', 0.1),
      },
    };
  },
  'cook-through': (x) => {
    const s = x.all();
    const heats = (capacityOf(s) * Math.max(0, THROUGH_S.atC - s.tempC)) / x.env.gentleW;
    const done = cookedThrough(s, Math.min(THROUGH_S.atC, x.env.boilC - 2));
    const eta = viscosityOf(x.lines, done) ?? 1e6;
    const through =
      THROUGH_S.least + (THROUGH_S.most - THROUGH_S.least) * Math.min(1, Math.max(0, (Math.log10(eta) - 3) / 2));
    const stirS = x.wait(through);
    return {
      outs: [asRead(x, done)],
      handsS: heats + stirS,
      timedS: heats + stirS,
      figures: {
        ...thicknessFigures(x, done),
        heatS: figure(heats),
        stirS: figure(stirS, 'default', 0.2 * stirS),
        scorchS: figure(scorchS(eta, x.env.gentleW, x.env.boilC), 'default', 300),
      },
    };
  },
  'to-the-mark': (x) => {
    const s = x.all();
    return { outs: [s], handsS: 300, figures: thicknessFigures(x, s) };
  },
  grind: (x) => {
    const s = inPhase(x.all(), 'free');
    guardYeast(x, s);
    return { outs: [s], handsS: 480, figures: thicknessFigures(x, s) };
  },
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
