import type { CakeOperation } from '../../flow';
import type { SchoolQuestion } from '../../plan';
import { leftoverOf } from '../../kitchen';
import { layerBatters } from '../../cake/layers';
import { preheatOf, sayTimes, type LayerPour } from '../../model/steam';
import { listWords, plural, sayC, sayDuration, sayGrams, sayMm, sayWater, sentenceCase, there } from '../../units';
import { carriedNames, saidFigure, saidWait, type SentenceTable, type StepContext } from '../context';
import { leftoverWords } from '../ring';
import type { StepMoment } from '../step';
import { PICK, read, say, WHERE } from '../answers';
import { slot } from '../slots';
import { coverIn, filmIn, loadsIn, overWater, pourSteam, stackIn, vesselOf } from '../../stations/steam';

const LID_ON = {
  cloth: 'the lid wrapped in a cloth',
  woven: 'the woven lid on',
  loose: 'the lid left loose',
  tight: 'the lid on',
} as const;
const school = (c: StepContext, q: SchoolQuestion) => c.light.resolved.plan.schools[q];
/** How it is closed: "foil over the pan and the lid on". */
const guard = (c: StepContext): string => {
  const cover = coverIn(c.light);
  return slot('guard', '', cover.foil ? `foil over the pan and ${LID_ON[cover.lid]}` : LID_ON[cover.lid]);
};
/** When each kind of vessel comes out, where there are several. */
const liftOuts = (c: StepContext): StepMoment[] =>
  (pourSteam(c.heat)?.vessels ?? [])
    .flatMap((v) => (v.times ? [{ ...v, atS: v.times.planForS }] : []))
    .sort((a, b) => a.atS - b.atS)
    .map((v) => ({
      atS: v.atS,
      words: `Lift out ${v.count > 1 ? `the ${v.count} of ${vesselOf(c.light, v)}` : vesselOf(c.light, v)}${c.light.resolved.steamer.tiers > 1 ? `, ${tierWords(v.tier)}` : ''}: ${sayMm(v.depthM)} deep`,
    }));
const tierWords = (tier: number): string => (tier === 0 ? 'bottom tier' : 'upper tier');
const times = (c: StepContext) => overWater(c.heat)?.times;
const count = (c: StepContext): number => c.light.resolved.plan.vesselCount;
/** Grams in each of the plan's vessels. */
const each = (c: StepContext): number => {
  const elsewhere = c.light.fill.others.reduce((a, x) => a + x.massEachG * x.count, 0);
  return Math.max(0, c.light.balance.massG - elsewhere) / count(c);
};
/** Moments at which the water is topped up while it steams. */
const topUps = (c: StepContext): StepMoment[] => {
  const water = overWater(c.heat)?.water;
  return (water?.timesS ?? []).map((atS) => ({
    atS,
    words: `Top up with ${sayWater(water?.topUpMl ?? 0)} of boiling water`,
  }));
};
/** What is topped up at a time; undefined where the water lasts. */
const topUpMl = (c: StepContext): number | undefined => {
  const water = overWater(c.heat)?.water;
  return water?.firstTopUpS === undefined ? undefined : water.topUpMl;
};
const inOrder = (moments: readonly StepMoment[]): StepMoment[] => [...moments].sort((a, b) => a.atS - b.atS);

/** What comes after a pour. */
function afterIt(p: LayerPour, last: boolean): string {
  const wait = sayDuration(p.waitS);
  if (last) return `set right through after ${wait}`;
  return p.waitsFor === 'blotting' ? `set after ${wait}, then blot its wet top` : `tacky after ${wait}`;
}

function pourTable(c: StepContext): StepMoment[] {
  const batters = layerBatters(c.light);
  return (stackIn(c.heat)?.pours ?? []).map((p, i, all) => ({
    atS: p.atS,
    turn: { is: 'pour', number: i + 1 } as const,
    words: `Pour ${i + 1}: ${there(batters[p.batter]).name.toLowerCase()}, ${sayGrams(p.grams)} (a ladle of ${Math.round(p.ladleMl)} ml)${p.stirFirst ? ', stirred first' : ''}; ${afterIt(p, i === all.length - 1)}`,
  }));
}

/** When each load goes in and comes out, from when the first one is filled; empty moulds were heated before. */
function loadTable(c: StepContext, thing: string): StepMoment[] {
  const loads = loadsIn(c.heat);
  if (!loads) return [];
  const heated = preheatOf(loads)?.toS ?? 0;
  const which = (k: number) => (loads.together > 1 || count(c) === 1 ? `load ${k}` : `${thing} ${k}`);
  return loads.bars
    .filter((b) => b.what === 'steam')
    .sort((a, b) => a.fromS - b.fromS)
    .flatMap(
      (b, i) =>
        [
          {
            atS: Math.max(0, b.fromS - heated),
            words: `${sentenceCase(which(i + 1))} in`,
            turn: { is: 'in', number: i + 1 },
          },
          { atS: b.toS - heated, words: `${sentenceCase(which(i + 1))} out`, turn: { is: 'out', number: i + 1 } },
        ] as const,
    );
}

/** Said in place of a time that the heat has not given. */
const NOT_YET = 'its minutes come once the heat is worked out';

/** Changes of heat in words: "strong for 10 min, then gentle"; the one heat where there are none. */
function heatWords(c: StepContext): string {
  const { plan } = c.light.resolved;
  if (plan.heatPhases.length === 0) return `on ${plan.heat} heat`;
  return listWords(
    plan.heatPhases.map(({ heat, timeS }, i) => {
      const word = heat === 'off' ? 'with the fire off' : `on ${heat} heat`;
      return `${i > 0 ? 'then ' : ''}${word}${timeS === undefined ? '' : ` for ${sayDuration(timeS)}`}`;
    }),
  );
}

/** Loads, what one takes, and all of them. */
const loadWords = (c: StepContext, ofWhat: string): string => {
  const loads = loadsIn(c.heat);
  if (!loads) return '';
  const turns =
    loads.together > 1
      ? ` in ${plural(loads.loads, 'turn')} of up to ${loads.together}`
      : count(c) > 1
        ? ', one after another'
        : '';
  return `: ${plural(count(c), ofWhat)}${turns}, all done in ${sayDuration(loads.finishS)}`;
};

/** Raw fillings: laid on the set sheet, and back into the steam until they are safe. */
const againWords = (c: StepContext): string =>
  (loadsIn(c.heat)?.again ?? [])
    .flatMap((g) => c.light.resolved.plan.fillings.flatMap((f) => (f.id === g.filling ? [[g, f] as const] : [])))
    .map(([g, filling]) => {
      return ` Lay the ${filling.name.toLowerCase()} on ${g.pieces === 1 ? 'one set sheet' : `${g.pieces} of the set sheets`} and steam ${g.pieces === 1 ? 'it' : 'each'} ${sayDuration(g.steamS)} more, until the filling has come to ${sayC(filling.safeC)}.`;
    })
    .join('');

/** Empty moulds that are hot sooner than this are not told to be heated, s. */
const TOLD_S = 20;

type Steaming = 'boil-up' | 'preheat' | 'layer' | 'fill' | 'film' | 'steam' | 'check' | 'stand';

/** What is said of everything between the boil and the pan coming out of the steamer. */
export const STEAM_SENTENCES: Pick<SentenceTable<CakeOperation>, Steaming> = {
  'boil-up': (n, c) => {
    const water = overWater(c.heat)?.water;
    if (!water)
      return {
        verb: 'Boil',
        sentence: 'Bring the water to the boil in the steamer; keep it under the rack.',
        lookFor: 'Steam all round the lid.',
        answers: [read('waterMl')],
      };
    const kettle =
      water.boilUpS - water.fromKettleS > 120 ? `; hot from the kettle, ${sayDuration(water.fromKettleS)}` : '';
    const top =
      water.firstTopUpS === undefined
        ? ''
        : ` Top up with ${sayWater(water.topUpMl)} of boiling water after ${sayDuration(water.firstTopUpS)}${water.topUps > 1 ? `, and each time again, ${water.topUps} times in all` : ''}.`;
    return {
      verb: 'Boil',
      sentence: `Bring ${sayWater(water.startMl)} of water to the boil in the steamer, about ${saidFigure('heat.steam.water.boilUpS', sayDuration(n.waitS))} from the tap${kettle}; keep it under the rack.${top}`,
      lookFor: 'Steam all round the lid.',
      answers: [read('waterMl', water.startMl)],
    };
  },
  preheat: (n, c) => {
    const trays = n.node.settings.what === 'trays';
    const one = trays && count(c) === 1;
    const what = one ? 'tray' : trays ? 'trays' : 'moulds';
    const greased = school(c, 'release') === 'water' ? 'wet' : 'oil';
    const told = n.openS !== undefined || n.waitS >= TOLD_S;
    const heated =
      n.openS === undefined ? `for ${sayDuration(n.waitS)}` : `until ${one ? 'it is' : 'they are'} hot (${NOT_YET})`;
    return {
      verb: told ? 'Preheat' : 'Oil',
      sentence: told
        ? `Set the empty ${what} in the steam ${heated}, then ${greased} ${one ? 'it' : 'them'}.`
        : `${greased === 'wet' ? 'Wet' : 'Oil'} the empty ${what}: what is so thin is hot as soon as it is filled.`,
      caution: 'steam',
    };
  },
  layer: (n, c) => {
    const layers = stackIn(c.heat);
    const by = layerBatters(c.light).map((b) => b.name.toLowerCase());
    return {
      verb: 'Layer',
      sentence: layers
        ? `Pour ${slot('layers', '', plural(layers.pours.length, 'layer'))} by turns, ${listWords(by)}, ${heatWords(c)}, ${guard(c)}, each when the last is tacky. ${layers.words}`
        : `Pour ${plural(n.node.settings.order.length, 'layer')} by turns, ${listWords(by)}, each when the last is tacky; ${NOT_YET}.`,
      lookFor: 'Tacky to the finger, no longer wet.',
      caution: 'steam',
      answers: [
        say('wet', 'Lid on, a minute more, then touch it again.'),
        say('tacky', 'Now: pour the next one.'),
        say('dry', 'Scratch its top with a fork and wet it, or the next one will not hold.'),
        { kind: 'top-up', words: 'topped up', expectedMl: topUpMl(c) },
        { kind: 'turn', words: 'heat turned' },
        read('tempC', there(n.figures.tempC).value),
      ],
      seconds: true,
      timeline: inOrder([...pourTable(c), ...topUps(c)]),
    };
  },
  fill: (n, c) => {
    const t = times(c);
    const sheetsOf = n.node.settings.what === 'sheets';
    const planS = t?.planForS;
    return {
      verb: sheetsOf ? 'Steam sheets' : 'Steam cups',
      sentence: sheetsOf
        ? `Stir, pour ${sayGrams(each(c))} of ${carriedNames(n, c, false)} a sheet, tilt to level at ${sayMm(c.light.fill.depthM)}, and steam each ${planS === undefined ? `until set (${NOT_YET})` : `for ${sayDuration(planS)}`}${loadWords(c, 'sheet')}.${againWords(c)}${school(c, 'release') === 'cool' ? ' Let each cool a minute before it is peeled.' : ''}`
        : `Stir and fill each mould with ${sayGrams(each(c))} of ${carriedNames(n, c, false)}, ${sayMm(c.light.fill.depthM)} deep, and steam ${planS === undefined ? `until set (${NOT_YET})` : `for ${sayDuration(planS)} a turn`}, ${guard(c)}${loadWords(c, 'cup')}. Stir the batter before each turn.`,
      lookFor: c.light.family.signs.cooked,
      caution: 'steam',
      seconds: (planS ?? 600) < 300,
      timeline: inOrder(loadTable(c, sheetsOf ? 'sheet' : 'cup')),
      answers: [
        ...PICK,
        { kind: 'top-up', words: 'topped up', expectedMl: topUpMl(c) },
        { kind: 'turn', words: 'heat turned' },
        read('tempC', there(n.figures.tempC).value),
        read('depthMm', 1000 * c.light.fill.depthM),
      ],
    };
  },
  film: (n, c) => {
    const film = filmIn(c.heat);
    const lid = film?.lid === false ? 'leave it open' : 'cover';
    return {
      verb: 'Pan films',
      sentence: `Swirl ${sayGrams(each(c))} of ${carriedNames(n, c, false)} into the oiled pan${film ? ` (${sayGrams(film.oilFirstG)} of oil for the first, then wiped)` : ''}, ${lid} ${film?.filmS === undefined ? `until it is set (${NOT_YET})` : `for ${sayDuration(film.filmS)}`}, and turn it out on ${school(c, 'release') === 'water' ? 'a wet' : 'an oiled'} board: ${plural(count(c), 'film')}${film ? `, ${sayDuration(film.totalS)} in all` : ''}.${school(c, 'release') === 'cool' ? ' Let each cool a minute before it is lifted.' : ''}`,
      lookFor: c.light.family.signs.cooked,
      caution: 'hot-oil',
      seconds: true,
      answers: [say('sticks', 'More oil, wiped thin, and a hotter pan.'), say('comes free')],
    };
  },
  steam: (n, c) => {
    const t = times(c);
    const steam = overWater(c.heat);
    const pressure = pourSteam(c.heat)?.pressure;
    const loads = loadsIn(c.heat);
    const more = loads ? ` ${plural(count(c), 'pan')} in turn: ${sayDuration(loads.steamerS)} of steam in all.` : '';
    return {
      verb: 'Steam',
      sentence: !t
        ? steam
          ? sentenceCase(steam.words)
          : `Steam ${heatWords(c)}, ${guard(c)}, until the middle is set; ${NOT_YET}.`
        : pressure
          ? `Lock the lid with the maker's minimum of water under a trivet. ${steam?.words} Nothing can be looked at before it is open.`
          : `Steam ${heatWords(c)}, ${guard(c)}. Check at ${saidFigure('heat.steam.times.checkAtS', sayDuration(t.checkAtS))}; ${sayTimes(t)}.${more}`,
      caution: pressure ? 'pressure' : 'steam',
      answers: [
        ...(pressure ? [] : [{ kind: 'top-up', words: 'topped up', expectedMl: topUpMl(c) } as const]),
        { kind: 'turn', words: 'heat turned' },
      ],
      seconds: n.waitS < 300,
      ...(liftOuts(c).length > 1 || topUps(c).length > 0
        ? { timeline: inOrder([...(liftOuts(c).length > 1 ? liftOuts(c) : []), ...topUps(c)]) }
        : {}),
    };
  },
  check: (_n, c) => ({
    verb: 'Check',
    sentence: 'Push a pick to the bottom, in the middle. It should come out clean.',
    lookFor: c.light.family.signs.cooked,
    answers: [...PICK, ...WHERE, { kind: 'turn', words: 'heat turned' }],
  }),
  stand: (n, c) => {
    if (pourSteam(c.heat)?.pressure)
      return { verb: 'Stand', sentence: 'It has stood while the pressure fell: open the lid away from you.' };
    const leftover = leftoverOf(c.light.resolved.ring) > 0 ? leftoverWords(c) : '';
    return {
      verb: 'Stand',
      sentence: `Heat off.${leftover} Let it stand in the steamer with the lid ajar for ${saidWait(n, n.waitS)}.`,
    };
  },
};
