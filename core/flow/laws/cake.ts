import { figure, LATENT_STEAM } from '../../units';
import { driftedC } from '../../model/batter';
import type { LawInput, LawTable } from '../law';
import { cookedThrough, heldAt, waited } from '../kinetics';
import { setDegreeOf, viscosityOf } from '../look';
import type { CakeOperation, Operation } from '../operations';
import { atTemp, capacityOf, splitStream, streamMass, type Stream } from '../stream';

type Any = LawInput<Operation>;

/** Depths that a ruler can have shown, mm. */
export const DEPTH_READ_MM = [0.3, 200] as const;

/** What stays in the bowl: scraped slurry, and paste. */
const LEFT = { slurry: 0.01, paste: 0.025 } as const;
/** From the bowl to the pan: scraping, levelling, tapping out the air, s. */
const ON_THE_WAY_S = 180;
const COOLED_C = {
  counter: 'roomC',
  'lid-ajar': 'roomC',
  fan: 'roomC',
  fridge: 'fridgeC',
  'ice-bath': 'fridgeC',
  freezer: 'fridgeC',
} as const;
/** Share of the pan's oil that stays in the pan. */
const OIL_LEFT = 0.5;

/** What is scraped out of the bowl and what is left in it: read, or the usual share. */
function scraped(x: Any, s: Stream, share: number): Stream {
  const m = streamMass(s);
  const read = x.read('leftG', 0, m, 'g');
  const [left, out] = splitStream(s, m > 0 ? (read ?? share * m) / m : 0);
  x.lose('left', left);
  return out;
}
const pass = (handsS: number, waitS?: number) => (x: Any) => ({ outs: [x.all()], handsS, waitS });
const steamed = (x: Any): Stream => cookedThrough(x.all(), x.env.boilC - 3);
/** A wait that the heat says; until it is worked out it is only drawn, so long, s. */
const once = (waitS: number | undefined, openS: number) => (waitS === undefined ? { openS } : { waitS });
const idle = (handsS: number, waitS?: number) => () => ({ outs: [], handsS, waitS });

/** Lid up, pick in, lid down, s. */
const LOOK_S = 30;

export const CAKE_LAWS: LawTable<CakeOperation> = {
  'boil-up': (x) => {
    x.read('waterMl', 0, 40_000, 'ml');
    return { outs: [], handsS: 60, ...once(x.results.boilUpS, 600) };
  },
  prepare: idle(60),
  preheat: (x) => ({ outs: [], handsS: 60, ...once(x.results.preheatS, 120) }),
  pour: (x) => {
    const s = x.all();
    const paste = x.settings.paste || x.settings.pot;
    const drifted = waited(x.lines, s, x.env.roomC, ON_THE_WAY_S, false);
    const read = x.read('tempC', -5, 105, '°C');
    const out = scraped(
      x,
      read === undefined ? drifted : heldAt(x.lines, atTemp(s, read), read, 60),
      paste ? LEFT.paste : LEFT.slurry,
    );
    const eta = viscosityOf(x.lines, out);
    x.read('depthMm', ...DEPTH_READ_MM, 'mm');
    return {
      outs: [out],
      handsS: 90,
      figures: {
        tempC: figure(out.tempC, read === undefined ? 'default' : 'measured', read === undefined ? 3 : 1),
        set: figure(setDegreeOf(x.lines, out), 'default', 0.1),
        ...(eta === undefined ? {} : { viscosityMPas: figure(eta, 'default', 0.4 * eta) }),
      },
    };
  },
  top: pass(60),
  layer: (x) => {
    const outs = x.merge(x.carried.map((s) => waited(x.lines, s, x.env.roomC, 600, true)));
    const read = x.read('tempC', -5, 105, '°C');
    const s = scraped(x, read === undefined ? outs : atTemp(outs, read), LEFT.slurry);
    return {
      outs: [s],
      handsS: 45 * x.settings.order.length,
      ...once(x.results.layersS, 3000),
      // Pours and open lids are in it.
      timedS: x.results.layersS,
      figures: { tempC: figure(s.tempC, read === undefined ? 'default' : 'measured', 2) },
    };
  },
  fill: (x) => {
    const read = x.read('tempC', -5, 105, '°C');
    const s = waited(x.lines, x.all(), x.env.roomC, 300, true);
    const out = scraped(x, read === undefined ? s : atTemp(s, read), LEFT.slurry);
    x.read('depthMm', ...DEPTH_READ_MM, 'mm');
    return {
      outs: [out],
      handsS: x.results.loadsHandsS ?? 0,
      ...once(x.results.loadsS, 60 * (x.results.loads ?? 1) + 480),
      timedS:
        x.results.loadsHandsS === undefined || x.results.loadsS === undefined
          ? undefined
          : x.results.loadsHandsS + x.results.loadsS,
      figures: {
        tempC: figure(out.tempC, read === undefined ? 'default' : 'measured', 2),
        set: figure(setDegreeOf(x.lines, out)),
      },
    };
  },
  film: (x) => {
    const read = x.read('tempC', -5, 105, '°C');
    const s = waited(x.lines, x.all(), x.env.roomC, 300, true);
    const out = scraped(x, read === undefined ? s : atTemp(s, read), LEFT.slurry);
    return {
      outs: [out],
      handsS: x.results.loadsHandsS ?? 0,
      openS: x.results.loadsHandsS === undefined ? 75 : undefined,
      figures: {
        tempC: figure(out.tempC, read === undefined ? 'default' : 'measured', 2),
        set: figure(setDegreeOf(x.lines, out)),
      },
    };
  },
  steam: (x) => ({
    outs: [steamed(x)],
    handsS: 60,
    ...once(x.results.checkAtS, 1800),
    figures: { cleanS: x.results.clean },
  }),
  // It steams on while the pick is in it.
  check: (x) => ({
    outs: [x.all()],
    handsS: LOOK_S,
    ...once(x.results.afterCheckS, 300),
    timedS: x.results.afterCheckS === undefined ? undefined : Math.max(LOOK_S, x.results.afterCheckS),
  }),
  stand: (x) => {
    const waitS = x.wait(x.settings.forS);
    const standS = x.results.standS ?? waitS;
    return { outs: [x.all()], handsS: 15, waitS: standS, timedS: Math.max(15, standS) };
  },
  cool: (x) => {
    const s = x.all();
    const { stage, index } = x.settings;
    const waitS = x.results.coolS?.[index] ?? x.wait(stage.timeS);
    const place = x.env[COOLED_C[stage.where]];
    return { outs: [atTemp(s, driftedC(s.tempC, place, waitS, streamMass(s), false))], handsS: 30, waitS };
  },
  unmould: (x) => ({ outs: [x.all()], handsS: 90, waitS: x.results.untilCutS ?? 0 }),
  cut: (x) => ({ outs: [x.all()], handsS: 60 + 5 * (x.results.pieces ?? 12) }),
  'keep-apart': pass(120),
  dip: (x) => {
    const s = x.all();
    const egg = x.results.sear?.eggG ?? 0;
    return {
      outs: [x.merge([s, x.draw('dip-egg', egg, x.env.roomC)])],
      handsS: 120,
      figures: { eggG: figure(egg, 'default', 0.3 * egg) },
    };
  },
  sear: (x) => {
    const s = x.all();
    const oil = x.results.sear?.oilG ?? 0;
    const [left, taken] = splitStream(x.draw('pan-oil', oil, x.env.roomC), OIL_LEFT);
    x.lose('left', left);
    return {
      outs: [atTemp(x.merge([s, taken]), 74)],
      handsS: x.results.sear?.totalS ?? 0,
      openS: x.results.sear ? undefined : 600,
      timedS: x.results.sear?.totalS,
      figures: { oilG: figure(oil, 'default', 0.3 * oil) },
    };
  },
  make: (x) => {
    const s = x.all();
    const { method, forS } = x.settings;
    const cold = method === 'stir' || method === 'pickle';
    const heats = cold ? 0 : (capacityOf(s) * Math.max(0, x.env.boilC - 10 - s.tempC)) / x.env.mediumW;
    const hot =
      method === 'simmer' || method === 'reduce' || method === 'thicken'
        ? cookedThrough(s, x.env.boilC - 10)
        : cold
          ? s
          : atTemp(s, 100);
    const eta = viscosityOf(x.lines, hot);
    const cooled = viscosityOf(x.lines, atTemp(hot, x.env.roomC));
    return {
      outs: [hot],
      handsS: cold ? 180 : 120 + heats + 0.5 * forS,
      waitS: method === 'stir' ? 0 : method === 'pickle' ? forS : 0.5 * forS,
      timedS: cold || method === 'reduce' || method === 'infuse-oil' ? undefined : forS,
      figures: {
        ...(eta === undefined ? {} : { viscosityMPas: figure(eta, 'default', 0.4 * eta) }),
        ...(cooled === undefined ? {} : { cooledMPas: figure(cooled, 'default', 0.4 * cooled) }),
      },
    };
  },
  reduce: (x) => {
    const s = x.all();
    const wanted = x.settings.toShare;
    const [pot, away] = [s, streamMass(s) * (1 - wanted)];
    const water = away;
    const [steam, rest] = splitWater(pot, water);
    x.lose('boiledAway', steam);
    return {
      outs: [atTemp(rest, x.env.boilC)],
      handsS: 60,
      waitS: (streamMass(steam) * (LATENT_STEAM / 1000)) / x.env.mediumW + x.settings.forS,
      figures: { boiledG: figure(streamMass(steam)) },
    };
  },
  assemble: (x) => ({ outs: [x.all()], handsS: 60 + 45 * (x.results.pieces ?? 8) }),
  serve: (x) => {
    const s = x.all();
    return { outs: [s], handsS: 240, figures: { servedG: figure(streamMass(s)) } };
  },
};

/** Water boiled off a stream, g: what leaves as steam, and the rest. */
function splitWater(s: Stream, waterG: number): readonly [Stream, Stream] {
  const g = new Float64Array(s.g.length);
  const rest = s.g.slice();
  let all = 0;
  for (let i = 0; i < s.g.length; i += 7) all += s.g[i];
  const x = all > 0 ? Math.min(0.9, Math.max(0, waterG / all)) : 0;
  for (let i = 0; i < s.g.length; i += 7) {
    g[i] = s.g[i] * x;
    rest[i] = s.g[i] - g[i];
  }
  return [
    { ...s, g, gasMl: 0 },
    { ...s, g: rest },
  ];
}
