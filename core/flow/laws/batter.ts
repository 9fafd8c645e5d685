import { figure } from '../../units';
import { driftedC, thicknessWord, viscosityOfWord, waitToReachS, warmingCPerS } from '../../model/batter';
import type { LawTable } from '../law';
import { cookedThrough, heldAt, waited } from '../kinetics';
import { thickenTo } from '../thicken';
import { setDegreeOf, viscosityOf, watersOf } from '../look';
import type { BatterOperation } from '../operations';
import { asRead, thicknessFigures } from './reading';
import { scorchS } from './scorch';
import { STANDING_LAWS } from './standing';
import { coldBack, guardYeast } from './yeast';
import { atTemp, capacityOf, inPhase, mergeStreams, streamMass } from '../stream';

const BOWL_J_PER_G = { steel: 0.5, ceramic: 0.85, none: 0 } as const;
/** A thick paste is stirred this long in the pot before it can be handled, s. */
const OFF_THE_RING_S = 120;
/** What is not known of where it was taken off, °C: by its look, and by a thermometer. */
const BY_LOOK_C = 4;
const BY_PROBE_C = 1;
/** Stirring until no mealy taste, by thickness, s. */
const THROUGH_S = { least: 360, most: 720, atC: 93 } as const;

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
    const heats = Math.max(0, 88 - s.tempC) / warmingCPerS(capacityOf(s), x.env.gentleW);
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
        `It never gets as thick as ${x.settings.to}: at ${Math.round(done.tempC)} °C ${thicknessWord(done.viscosityMPas)} is all this blend gives. Less liquid or more starch would.`,
      );
    // A thermometer goes into the paste as it is taken off the ring.
    const read = x.read('tempC', -5, 105, '°C');
    const toC = read ?? done.tempC;
    const out = atTemp(done.stream, driftedC(toC, x.env.roomC, OFF_THE_RING_S, streamMass(s), false));
    return {
      outs: [out],
      handsS: 60 + done.timeS,
      figures: {
        toC: read === undefined ? figure(toC, 'default', BY_LOOK_C) : figure(toC, 'measured', BY_PROBE_C),
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
    const heats = Math.max(0, THROUGH_S.atC - s.tempC) / warmingCPerS(capacityOf(s), x.env.gentleW);
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
  ...STANDING_LAWS,
};
