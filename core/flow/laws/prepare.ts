import { figure, LATENT_STEAM, sayDuration } from '../../units';
import { boilsAway } from './boiling';
import { DRAW_SPREAD, driftedC, squeezedShare, sugaredShare, wiltedShare } from '../../model/batter';
import type { LawInput, LawTable } from '../law';
import type { PrepareOperation, Operation } from '../operations';
import { pressed, serumOf } from './pressed';
import {
  atTemp,
  capacityOf,
  divideStream,
  FIBRE_ASH,
  inPhase,
  PART_COUNT,
  splitStream,
  streamMass,
  WATER,
  WIDTH,
  type Stream,
} from '../stream';

/** Grams a pair of hands peels and grates in a second, by cut. */
const KNIFE_G_PER_S = 2.5;
/** How long what comes off the ring stands in a bowl while the next thing is weighed, s. */
const STANDS_S = 600;
const FRIED_STANDS_S = 300;
/** What the cloth holds: about the fibre of the leaves times this. */
const CLOTH_HOLDS = 4;

type Any = LawInput<Operation>;

const standing = (x: Any, s: Stream, fromC: number, forS: number): Stream =>
  atTemp(s, driftedC(fromC, x.env.roomC, forS, streamMass(s), false));

const juice = (x: Any, s: Stream, estimateG: number) => {
  const most = serumOf(s);
  const weighed = x.read('juiceG', 0, most, 'g');
  const g = Math.min(most, weighed ?? estimateG);
  return figure(g, weighed === undefined ? 'default' : 'measured', weighed === undefined ? DRAW_SPREAD * g : 1);
};

/** Water taken up after a soak, g a gram of dry. */
const soakedUp = ({ uptake, tauS }: { uptake: number; tauS: number }, waitS: number): number =>
  uptake * (1 - Math.exp(-waitS / tauS));

const handsFor = (s: Stream): number => 30 + streamMass(s) / KNIFE_G_PER_S;

export const PREPARE_LAWS: LawTable<PrepareOperation> = {
  choose: () => ({ outs: [], handsS: 60 }),
  weigh: (x) => ({
    outs: [],
    handsS: 25 * x.lines.filter((l) => l.role !== 'source' && l.role !== 'accompaniment').length,
  }),
  soak: (x) => {
    const s = x.all();
    const m = streamMass(s);
    const waitS = x.wait(x.settings.forS);
    const taken = soakedUp(x.settings, waitS);
    if (x.settings.toWeight) {
      // The plan gives the soaked weight: less soaking takes more of the dry.
      const dry = m / (1 + taken);
      return { outs: [s], handsS: 90, waitS, figures: { dryG: figure(dry, 'default', 0.15 * dry) } };
    }
    const read = x.read('uptakeG', 0, 3 * m, 'g');
    const uptake = read ?? m * taken;
    const wet = x.merge([s, x.draw('soak-water', uptake, x.env.roomC)]);
    return {
      outs: [wet],
      handsS: 240,
      waitS,
      figures: {
        uptakeG: figure(uptake, read === undefined ? 'default' : 'measured', read === undefined ? 0.1 * uptake : 1),
      },
    };
  },
  'boil-tender': (x) => {
    const s = x.all();
    const dry = streamMass(s) / (1 + x.settings.uptake);
    return {
      outs: [s],
      handsS: 120,
      waitS: x.wait(x.settings.forS),
      figures: { dryG: figure(dry, 'default', 0.08 * dry) },
    };
  },
  slake: (x) => {
    // Lime water: the lime stays in it until the grain is rinsed.
    const s = x.all();
    const [lime, grain] = divideStream(s, (line) => (x.settings.drops.includes(line) ? 1 : 0));
    const m = streamMass(grain);
    const waitS = x.wait(x.settings.forS);
    const read = x.read('uptakeG', 0, 3 * m, 'g');
    const uptake = read ?? m * soakedUp(x.settings, waitS);
    return {
      outs: [x.merge([grain, lime, x.draw('soak-water', uptake, x.env.roomC)])],
      handsS: 300,
      waitS,
      figures: {
        uptakeG: figure(uptake, read === undefined ? 'default' : 'measured', read === undefined ? 0.1 * uptake : 1),
        limeG: figure(streamMass(lime)),
      },
    };
  },
  rinse: (x) => {
    const [away, kept] = divideStream(x.all(), (line) => (x.settings.drops.includes(line) ? 1 : 0));
    x.lose('pouredOff', away);
    return { outs: [kept], handsS: 90 * x.settings.waters };
  },
  infuse: (x) => ({ outs: [x.all()], handsS: 60, waitS: x.wait(x.settings.forS) }),
  'blend-strain': (x) => {
    const s = x.all();
    let fibre = 0;
    for (let l = 0; l < x.lines.length; l++)
      if (x.lines[l].juicy) fibre += s.g[l * WIDTH + FIBRE_ASH] + s.g[l * WIDTH + PART_COUNT + FIBRE_ASH];
    const flows = serumOf(s);
    const read = x.read('yieldG', 0, flows, 'g');
    const held = Math.min(flows, CLOTH_HOLDS * fibre);
    const [cloth, liquid] = pressed(s, read ?? flows - held);
    x.lose('left', cloth);
    return {
      outs: [liquid],
      handsS: 240,
      figures: {
        yieldG: figure(
          streamMass(liquid),
          read === undefined ? 'default' : 'measured',
          read === undefined ? 0.08 * streamMass(liquid) : 1,
        ),
      },
    };
  },
  sieve: (x) => ({ outs: [x.all()], handsS: 60 }),
  grate: (x) => {
    const s = inPhase(x.all(), 'piece');
    return {
      outs: [s],
      handsS: handsFor(s) * (x.settings.form === 'whole' ? 0.3 : x.settings.form === 'cubes' ? 1.2 : 1),
    };
  },
  draw: (x) => ({ outs: [x.all()], handsS: 60, waitS: x.wait(x.settings.forS) }),
  squeeze: (x) => {
    const s = x.all();
    const { how, form, drawnS, salted } = x.settings;
    const drawn = x.earlier(`draw:${x.node.about}`)?.waitS ?? drawnS;
    const flesh = streamMass(s) - saltOf(x, s);
    const g = juice(x, s, flesh * squeezedShare(how, form, drawn, salted));
    const [pieces, out] = pressed(s, g.value);
    if (!x.settings.keep) x.lose('drawn', out);
    return {
      outs: x.settings.keep ? [pieces, out] : [pieces],
      handsS: how === 'drained' ? 60 : 60 + streamMass(s) / 8,
      figures: { juiceG: g },
    };
  },
  sugar: (x) => {
    const s = x.all();
    const forS = x.wait(x.settings.forS);
    const g = juice(x, s, fleshOf(x, s) * sugaredShare(forS));
    const [pieces, out] = pressed(s, g.value);
    return { outs: [pieces, out], handsS: 60, waitS: forS, figures: { juiceG: g } };
  },
  wilt: (x) => {
    const s = x.all();
    const forS = x.wait(x.settings.forS);
    const boiled = x.settings.lid
      ? 0
      : Math.min(
          0.3 * serumOf(s),
          ((x.env.mediumW * Math.max(0, forS - (capacityOf(s) * (x.env.boilC - s.tempC)) / x.env.mediumW)) /
            (LATENT_STEAM / 1000)) *
            0.5,
        );
    const [steamed, rest] =
      boiled > 0 ? divideStream(s, (_l, _p, part) => (part === WATER ? boiled / waterOf(s) : 0)) : [undefined, s];
    if (steamed) x.lose('boiledAway', steamed);
    const g = juice(x, rest, Math.max(0, fleshOf(x, s) * wiltedShare(forS) - boiled));
    const [pieces, out] = pressed(rest, g.value);
    return {
      outs: [standing(x, pieces, 95, STANDS_S), standing(x, out, 95, STANDS_S)],
      handsS: 0.4 * forS,
      waitS: 0.6 * forS,
      timedS: forS,
      figures: { juiceG: g },
    };
  },
  parboil: (x) => {
    const s = x.all();
    const forS = x.wait(x.settings.forS);
    const waterG = Math.max(300, 2 * streamMass(s));
    const away = boilsAway(x, waterG, forS);
    if (forS >= away.dryS.value)
      x.warn(
        'parboils-dry',
        `The water boils away in ${sayDuration(away.dryS.value)}: take more of it, or boil for less long.`,
      );
    return {
      outs: [standing(x, s, 92, FRIED_STANDS_S)],
      handsS: 120,
      waitS: forS,
      figures: {
        waterG: figure(waterG),
        boilsAwayG: away.boiledG,
        leftG: away.leftG,
        dryS: away.dryS,
      },
    };
  },
  simmer: (x) => {
    const s = x.all();
    const [pieces, free] = divideStream(s, (_l, phase) => (phase === 'piece' ? 1 : 0));
    return {
      outs: [standing(x, pieces, 95, FRIED_STANDS_S), standing(x, free, 95, FRIED_STANDS_S)],
      handsS: 120,
      waitS: x.wait(x.settings.forS),
    };
  },
  'boil-down': (x) => {
    const s = x.all();
    const forS = x.wait(x.settings.forS);
    const free = freeWater(s);
    const away = boilsAway(x, free, forS);
    const boiled = away.boiledG.value;
    const [steamed, rest] = divideStream(s, (_l, phase, part) =>
      phase === 'free' && part === WATER && free > 0 ? boiled / free : 0,
    );
    x.lose('boiledAway', steamed);
    return {
      outs: [standing(x, inPhase(rest, 'piece'), 100, FRIED_STANDS_S)],
      handsS: 120,
      waitS: forS,
      figures: { ...away },
    };
  },
  fry: (x) => {
    // Things go in one after another and come out as they went in, each with its salt; the oil is shared by mass.
    // The additions enter first, whatever they are; what is taken after them is the pan's oil and salt.
    const raw = x.settings.additions.length - x.carried.length;
    const streams = [...x.carried, ...x.fresh.slice(0, raw)];
    const oil = x.fresh.slice(raw);
    const total = streams.reduce((a, s) => a + streamMass(s), 0);
    let left = oil.length > 0 ? x.merge(oil) : undefined;
    let rest = total;
    const outs = streams.map((s) => {
      const m = streamMass(s);
      if (!left) return inPhase(s, 'piece');
      const [mine, others] = splitStream(left, rest > 0 ? m / rest : 1);
      left = others;
      rest -= m;
      return inPhase(x.merge([s, inPhase(mine, 'piece')]), 'piece');
    });
    const forS = x.settings.additions.reduce((a, y) => a + y.forS, 0);
    return {
      outs: outs.map((s) => standing(x, s, 100, FRIED_STANDS_S)),
      handsS: 120 + forS,
      waitS: FRIED_STANDS_S,
      timedS: forS + FRIED_STANDS_S,
    };
  },
  reuse: (x) => ({ outs: [x.all()], handsS: 30 }),
  paste: (x) => {
    const s = x.all();
    return {
      outs: [standing(x, inPhase(s, 'free'), 90, STANDS_S)],
      handsS: handsFor(s),
      waitS: x.wait(x.settings.forS),
    };
  },
  'keep-back': (x) => {
    const [back, rest] = splitStream(x.all(), x.settings.share);
    return { outs: [rest, back], handsS: 15 };
  },
};

const waterOf = (s: Stream): number => {
  let w = 0;
  for (let i = s.from * WIDTH; i < s.to * WIDTH; i += PART_COUNT) w += s.g[i + WATER];
  return Math.max(w, 1e-9);
};
const freeWater = (s: Stream): number => {
  let w = 0;
  for (let i = s.from * WIDTH; i < s.to * WIDTH; i += WIDTH) w += s.g[i + WATER];
  return w;
};
/** Grams of added salt lines in a stream. */
const saltOf = (x: Any, s: Stream): number => massWhere(x, s, (l) => l.kind === 'salt');
/** Grams of the vegetable or fruit itself: neither the salt nor the sugar strewn on it. */
const fleshOf = (x: Any, s: Stream): number => massWhere(x, s, (l) => l.juicy);
const massWhere = (x: Any, s: Stream, wanted: (l: Any['lines'][number]) => boolean): number => {
  let m = 0;
  for (let l = s.from; l < s.to; l++)
    if (wanted(x.lines[l])) for (let k = 0; k < 6; k++) m += s.g[l * WIDTH + k] + s.g[l * WIDTH + PART_COUNT + k];
  return m;
};
