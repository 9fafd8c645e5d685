import type { CakeOperation, EvaluatedNode, FlowLine, Operation } from '../../flow';
import { plural, sayC, sayDuration, sayGrams, sayMm, sayWater, sentenceCase, listWords } from '../../units';
import { schoolOf } from '../../families';
import { STAGE_WORDS } from '../../rest';
import { liningFor, liningWords } from '../../vessel';
import { bladeCare } from '../../cut';
import { thicknessWord } from '../../mix';
import { layerBatters } from '../../forecastHeat';
import {
  carriedIn,
  carriedNames,
  everything,
  freshNames,
  many,
  theName,
  outMass,
  type SentenceTable,
  type StepContext,
} from '../context';
import { leftoverWords } from '../ring';
import type { StepMoment } from '../step';

const GUARD = {
  foil: 'foil over the pan',
  cloth: 'the lid wrapped in a cloth',
  woven: 'the woven lid on',
  none: 'the lid on',
} as const;
const school = (c: StepContext, q: Parameters<typeof schoolOf>[2]) =>
  schoolOf(c.light.family, c.light.resolved.plan.schools, q);
const guard = (c: StepContext): string =>
  GUARD[(school(c, 'dripGuard') ?? 'none') as keyof typeof GUARD] ?? 'the lid on';
/** What a sauce carries in that was put on early, to soak or boil soft. */
const SOFTENS: ReadonlySet<Operation> = new Set(['soak', 'boil-tender']);
const softenedNames = (n: EvaluatedNode<Operation>, c: StepContext) =>
  carriedNames(n, c, true, (op) => SOFTENS.has(op));
const joined = (...words: readonly string[]): string => listWords(words.filter((w) => w !== ''));
const times = (c: StepContext) => c.heat?.steam?.times;
const vesselName = (c: StepContext): string => theName(c.light.resolved.vessel.name);
const count = (c: StepContext): number => c.light.resolved.plan.vesselCount;
/** Grams in each of the plan's vessels. */
const each = (c: StepContext): number => {
  const elsewhere = c.light.fill.others.reduce((a, x) => a + x.massEachG * x.count, 0);
  return Math.max(0, c.light.balance.massG - elsewhere) / count(c);
};
/** Things that are toasted already and only stirred in. */
const TOASTED = new Set(['fried-shallot', 'sesame-seed']);

function pourTable(c: StepContext): StepMoment[] {
  return (c.heat?.layers?.pours ?? []).map((p, i) => ({
    atS: p.atS,
    words: `Pour ${i + 1}: ${p.batter.toLowerCase()}, ${sayGrams(p.grams)} (a ladle of ${Math.round(p.ladleMl)} ml)${p.stirFirst ? ', stirred first' : ''}; tacky after ${sayDuration(p.waitS)}`,
  }));
}

export const CAKE_SENTENCES: SentenceTable<CakeOperation> = {
  'boil-up': (_n, c) => {
    const water = c.heat?.steam?.water;
    const top =
      water?.firstTopUpS === undefined
        ? ''
        : ` Top up with ${sayWater(water.topUpMl)} of boiling water after ${sayDuration(water.firstTopUpS)}${water.topUps > 1 ? `, and each time again, ${water.topUps} times in all` : ''}.`;
    return {
      verb: 'Boil',
      sentence: `Bring ${water ? `${sayWater(water.startMl)} of` : 'the'} water to the boil in the steamer; keep it under the rack.${top}`,
      lookFor: 'Steam all round the lid.',
      answers: ['topped up'],
    };
  },
  prepare: (n, c) => ({
    verb: 'Prepare',
    sentence:
      n.node.settings.lining === 'paper'
        ? `Cut ${liningWords(liningFor(c.light.resolved.vessel, c.light.fill.depthM))} from baking paper and line ${vesselName(c)}.`
        : `Oil ${vesselName(c)} and wipe it thin.`,
  }),
  preheat: (n, c) => ({
    verb: 'Preheat',
    sentence: `Set the empty ${n.node.settings.what === 'trays' ? `${count(c) > 1 ? 'trays' : 'tray'}` : 'moulds'} in the steam for two minutes, then ${school(c, 'release') === 'water' ? 'wet' : 'oil'} ${n.node.settings.what === 'trays' && count(c) === 1 ? 'it' : 'them'}.`,
    caution: 'steam',
  }),
  pour: (n, c) => {
    const { fill } = c.light;
    const poured = outMass(n);
    const others = fill.others.map(
      (x) =>
        `${sayGrams(x.massEachG)} into ${x.count > 1 ? `each of the ${x.count} further vessels (${x.name.toLowerCase()})` : `the ${x.name.toLowerCase()}`}, ${sayMm(x.depthM)} deep`,
    );
    const main = (poured - fill.others.reduce((a, x) => a + x.massEachG * x.count, 0)) / count(c);
    const eta = n.figures.viscosityMPas?.value;
    return {
      verb: n.node.settings.pot ? 'Pour out' : 'Pour',
      sentence: `${n.node.settings.paste || n.node.settings.pot ? 'Scrape' : 'Stir, then pour'} ${sayGrams(main)} of ${carriedNames(n, c, false)} into ${many(c) ? `each of ${count(c)} pans` : vesselName(c)}, ${sayMm(fill.depthM)} deep, at about ${sayC(n.figures.tempC.value)}${eta === undefined ? '' : `, like ${thicknessWord(eta)}`}${others.length > 0 ? `; ${listWords(others)}` : ''}. Tap out the air and level it.`,
      lookFor: 'A level top with the air tapped out.',
      answers: ['poured at … °C', 'depth … mm', 'left over … g'],
    };
  },
  top: (n, c) => ({
    verb: 'Top',
    sentence: `Strew ${listWords([
      ...carriedIn(n, c)
        .slice(1)
        .map((x) => `the ${x.name} (${sayGrams(x.massG)})`),
      ...(freshNames(n, c) ? [freshNames(n, c)] : []),
    ])} over the top and press in lightly.`,
  }),
  layer: (n, c) => {
    const pours = c.heat?.layers?.pours;
    const by = layerBatters(c.light).map((b) => b.name.toLowerCase());
    return {
      verb: 'Layer',
      sentence: pours
        ? `Pour ${plural(pours.length, 'layer')} by turns, ${listWords(by)}, on ${c.light.resolved.plan.heat} heat, ${guard(c)}, each when the last is tacky. ${c.heat?.layers?.words ?? ''}`
        : `Pour ${plural(n.node.settings.order.length, 'layer')} by turns, ${listWords(by)}, each when the last is tacky.`,
      lookFor: 'Tacky to the finger, no longer wet.',
      caution: 'steam',
      answers: ['wet', 'tacky', 'dry'],
      seconds: true,
      timeline: pourTable(c),
    };
  },
  fill: (n, c) => {
    const t = times(c);
    const loads = Math.max(1, c.light.fill.loads);
    const sheetsOf = n.node.settings.what === 'sheets';
    const planS = t?.planForS;
    return {
      verb: sheetsOf ? 'Steam sheets' : 'Steam cups',
      sentence: sheetsOf
        ? `Stir, pour ${sayGrams(each(c))} of ${carriedNames(n, c, false)} a sheet, tilt to level at ${sayMm(c.light.fill.depthM)}, and steam each ${planS === undefined ? 'until set' : `for ${sayDuration(planS)}`}: ${plural(count(c), 'sheet')}.${school(c, 'release') === 'cool' ? ' Let each cool a minute before it is peeled.' : ''}`
        : `Stir and fill each mould with ${sayGrams(each(c))} of ${carriedNames(n, c, false)}, ${sayMm(c.light.fill.depthM)} deep, and steam ${planS === undefined ? 'until set' : `for ${sayDuration(planS)}`} a load, ${guard(c)}: ${plural(count(c), 'cup')} in ${plural(loads, 'load')}. Stir the batter before each load.`,
      lookFor: c.light.family.signs.cooked,
      caution: 'steam',
      seconds: (planS ?? 600) < 300,
      answers: ['sticky', 'nearly', 'clean'],
    };
  },
  film: (n, c) => ({
    verb: 'Pan films',
    sentence: `Swirl ${sayGrams(each(c))} of ${carriedNames(n, c, false)} into the oiled pan, cover for about a minute, and turn it out on ${school(c, 'release') === 'water' ? 'a wet' : 'an oiled'} board: ${plural(count(c), 'film')}.${school(c, 'release') === 'cool' ? ' Let each cool a minute before it is lifted.' : ''}`,
    lookFor: c.light.family.signs.cooked,
    caution: 'hot-oil',
    seconds: true,
    answers: ['sticks', 'comes free'],
  }),
  steam: (_n, c) => {
    const t = times(c);
    return {
      verb: 'Steam',
      sentence: t
        ? `Steam on ${c.light.resolved.plan.heat} heat, ${guard(c)}. Check at ${sayDuration(t.checkAtS)}; plan for ${sayDuration(t.planForS)}.`
        : c.heat?.steam
          ? sentenceCase(c.heat.steam.words)
          : `Steam on ${c.light.resolved.plan.heat} heat, ${guard(c)}, until the middle is set.`,
      caution: 'steam',
      answers: ['topped up', 'heat turned'],
    };
  },
  check: (_n, c) => ({
    verb: 'Check',
    sentence: 'Push a pick to the bottom, in the middle, and say what you see: sticky, nearly, or clean.',
    lookFor: c.light.family.signs.cooked,
    answers: ['sticky', 'nearly', 'clean'],
  }),
  stand: (n, c) => ({
    verb: 'Stand',
    sentence: `Heat off.${leftoverWords(c)} Let it stand in the steamer with the lid ajar for ${sayDuration(n.waitS)}.`,
  }),
  cool: (n, c) => {
    const { stage, last, index } = n.node.settings;
    const rest = c.heat?.rest;
    return {
      verb: 'Cool',
      sentence: `Cool ${index === 0 ? carriedNames(n, c, false) : 'it'} ${STAGE_WORDS[stage.where]} for ${sayDuration(n.waitS)}.${last && rest ? ` ${rest.check.sentence}` : ''}`,
      caution: 'cooling',
    };
  },
  unmould: (_n, c) => ({
    verb: 'Unmould',
    sentence: `Run a thin spatula round the edge and turn it out, once the middle is under ${sayC(c.light.family.releaseC)}.`,
    answers: ['came free', 'stuck'],
  }),
  cut: (_n, c) => {
    const { cut, texture, balance } = c.light;
    const pieces = balance.pieceVolumeShare > 0.05;
    return {
      verb: 'Cut',
      sentence: cut
        ? `Cut ${plural(cut.count, 'piece')} of about ${sayGrams(cut.gramsAPiece)}${many(c) ? ' from each pan' : ''}. ${bladeCare(texture.sticky, balance.batters[0].starchShares.tapioca ?? 0, pieces)}`
        : 'Cut it when it is firm.',
      answers: ['clean', 'sticks', 'crumbles'],
    };
  },
  'keep-apart': (n) => ({
    verb: 'Keep apart',
    sentence:
      n.node.settings.by === 'oil'
        ? 'Brush the cut faces with a little oil and keep the pieces apart.'
        : 'Lay the pieces on paper, not touching.',
  }),
  dip: (n) => ({
    verb: 'Dip',
    sentence: `Draw each piece through beaten egg, about ${sayGrams(n.figures.eggG.value)} in all.`,
    caution: 'egg',
  }),
  sear: (n, c) => {
    const sear = c.heat?.sear;
    const dipped = c.e.byId.has('dip:pieces');
    const half = n.node.settings.half ? 'Half are eaten as they are. ' : '';
    return {
      verb: 'Sear',
      sentence: sear
        ? `${half}Sear ${plural(sear.pieces, 'piece')}, ${sear.perLoad} at a time, with ${sayGrams(sear.oilPerLoadG)} of oil each time: ${sear.words}`
        : `${half}Sear the pieces golden on both faces.`,
      lookFor: dipped ? 'The egg set and golden all round; turn once.' : 'Golden faces with a crisp rim; turn once.',
      caution: 'hot-oil',
      answers: ['pale', 'golden', 'dark'],
    };
  },
  make: (n, c) => {
    const { method, role, forS } = n.node.settings;
    const name = c.light.resolved.plan.accompaniments.find((a) => a.id === n.node.about)?.name ?? '';
    const liquid = (l: FlowLine) => l.liquid || l.kind === 'seasoning';
    const oil = freshNames(n, c, (l) => l.kind === 'fat');
    const ready = method === 'fry' ? freshNames(n, c, (l) => TOASTED.has(l.ingredient)) : '';
    const soft = softenedNames(n, c);
    const rest = joined(
      soft,
      freshNames(n, c, (l) => l.kind !== 'fat' && !(ready && TOASTED.has(l.ingredient))),
    );
    const things = joined(soft, freshNames(n, c));
    const then = ready && rest ? `; off the heat stir in ${ready}` : '';
    const used = carriedNames(n, c, true, (op) => !SOFTENS.has(op));
    const cooled = n.figures.cooledMPas ? thicknessWord(n.figures.cooledMPas.value) : undefined;
    const how = {
      stir: `Stir ${joined(used, things)} together`,
      reduce: `Simmer ${joined(used, things)} together`,
      simmer: `Simmer ${things} together for ${sayDuration(forS)}`,
      thicken: `Stir ${things} over medium heat for ${sayDuration(forS)}, until it thickens`,
      fry:
        (oil || used) && rest
          ? `Fry ${rest} in ${joined(oil, used)} for ${sayDuration(forS)}${then}`
          : `Toast ${things} for ${sayDuration(forS)}`,
      pickle: `Cut ${freshNames(n, c, (l) => !liquid(l) && l.kind === 'vegetable')} into sticks, stir in ${joined(
        used,
        soft,
        freshNames(n, c, (l) => liquid(l) || l.kind !== 'vegetable'),
      )} and leave for ${sayDuration(forS)}`,
      blanch: `Drop ${things} into boiling water for ${sayDuration(forS)}, drain and cool under the tap`,
      'infuse-oil': oil && rest ? `Heat ${oil} and pour it over ${rest}` : `Warm ${things}`,
    }[method];
    return {
      verb: role === 'topping' ? 'Topping' : 'Sauce',
      sentence: `${how}: ${sayGrams(outMass(n))} of ${name.toLowerCase()}${method === 'thicken' && cooled ? `, like ${cooled} once cool` : ''}.`,
      lookFor:
        method === 'fry' ? 'Dry and toasted.' : method === 'infuse-oil' ? 'It sizzles as the oil goes on.' : undefined,
      taste: freshNames(n, c, liquid) ? 'Taste it with a piece of the cake.' : undefined,
      caution: method === 'fry' || method === 'infuse-oil' ? 'hot-oil' : method === 'blanch' ? 'sprouts' : undefined,
      answers: ['flat', 'right', 'salty'],
    };
  },
  reduce: (n, c) => ({
    verb: 'Reduce',
    sentence: `Boil ${everything(n, c)} down by ${sayGrams(n.figures.boiledG.value)}, about ${sayDuration(n.waitS)}.`,
    lookFor: 'It coats a spoon.',
  }),
  assemble: (n, c) => {
    const { fillings, how } = n.node.settings;
    const raw = fillings.filter((f) => f.doneness === 'raw');
    const filled = listWords([
      ...carriedIn(n, c)
        .slice(1)
        .map((x) => `the ${x.name} (${sayGrams(x.massG)})`),
      ...(freshNames(n, c) ? [freshNames(n, c)] : []),
    ]);
    const each = [...fillings.filter((f) => f.count !== undefined), ...fillings.filter((f) => f.count === undefined)];
    const split =
      fillings.length > 1
        ? ` ${sentenceCase(listWords(each.map((f) => `${f.count ?? 'the rest'} with ${f.name.toLowerCase()}${f.eater ? ` for ${f.eater}` : ''}`)))}.`
        : '';
    return {
      verb: how === 'roll' ? (filled ? 'Fill and roll' : 'Roll') : 'Fold',
      sentence: filled
        ? `Lay ${filled} on ${carriedIn(n, c)[0] ? `the ${carriedIn(n, c)[0].name}` : 'the sheets'} and ${how} while hot, on an oiled board: about ${sayGrams(outMass(n) / Math.max(1, count(c)))} each.${split}${raw.length > 0 ? ` ${listWords(raw.map((f) => f.name))} must reach ${sayC(Math.max(...raw.map((f) => f.safeC ?? 71)))}.` : ''}`
        : `${how === 'roll' ? 'Roll' : 'Fold'} ${carriedNames(n, c)} while hot, on an oiled board.`,
      caution: filled ? 'raw-fillings' : 'wet-sheets',
      lookFor: how === 'roll' ? 'It bends round a finger without a crack.' : 'The folds do not stick together.',
    };
  },
  serve: (_n, c) => {
    const beside = c.light.balance.beside
      .filter((b) => !c.light.resolved.plan.fillings.some((f) => f.name === b.name) && b.name !== 'Dip')
      .map((b) => b.name.toLowerCase());
    return {
      verb: 'Serve',
      sentence: `Serve ${c.light.resolved.plan.guests}, about ${sayGrams(c.light.balance.massG / c.light.resolved.plan.guests)} of the cake each${beside.length > 0 ? `, with ${listWords(beside)}` : ''}. Best ${c.light.family.eatWithin}.`,
      caution: 'allergens',
    };
  },
};
