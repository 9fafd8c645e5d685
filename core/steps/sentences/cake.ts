import type { SearForecast } from '../../stations/sear';
import type { StepMoment } from '../step';
import { streamMass, traitsOf } from '../../flow';
import type { CakeOperation, EvaluatedNode, FlowLine, Operation } from '../../flow';
import { plural, sayC, sayDuration, sayGrams, sayMm, sentenceCase, listWords, there } from '../../units';
import { eatenOf } from '../../stations/rest/eaten';
import { roomCheck, STAGE_WORDS } from '../../model/rest';
import { liningFor, liningWords } from '../../model/vessel';
import { bladeCare } from '../../model/cut';
import { thicknessWord } from '../../model/batter';
import { salted } from './batter';
import { STEAM_SENTENCES } from './steaming';
import {
  carriedIn,
  carriedNames,
  everything,
  freshNames,
  many,
  theName,
  outMass,
  saidFigure,
  type SentenceTable,
  type StepContext,
} from '../context';
import { read, say, TASTE } from '../answers';
import { slot } from '../slots';

/** What a sauce carries in that was put on early, to soak or boil soft. */
const softenedNames = (n: EvaluatedNode<Operation>, c: StepContext) =>
  carriedNames(n, c, true, (op) => traitsOf(op).softens === true);
const joined = (...words: readonly string[]): string => listWords(words.filter((w) => w !== ''));
const vesselName = (c: StepContext): string => slot('vessel', '', theName(c.light.resolved.vessel.name));
const count = (c: StepContext): number => c.light.resolved.plan.vesselCount;
/** When each load is turned, and when it comes out and the next goes in. */
function searMoments({ loads, totalS, minutesASide }: SearForecast): StepMoment[] {
  const loadS = totalS / loads;
  const which = (i: number) => (loads > 1 ? `load ${i + 1}` : 'the pieces');
  return Array.from({ length: loads }, (_, i) => [
    {
      atS: i * loadS,
      words: i === 0 ? `${sentenceCase(which(0))} in` : `${sentenceCase(which(i - 1))} out, ${which(i)} in`,
    },
    { atS: i * loadS + minutesASide[0], words: `Turn ${which(i)}` },
  ]).flat();
}
/** Things that are toasted already and only stirred in. */
const TOASTED = new Set(['fried-shallot', 'sesame-seed']);

export const CAKE_SENTENCES: SentenceTable<CakeOperation> = {
  ...STEAM_SENTENCES,
  prepare: (n, c) => ({
    verb: 'Prepare',
    sentence:
      n.node.settings.lining === 'paper'
        ? `Cut ${liningWords(liningFor(c.light.resolved.vessel, c.light.fill.depthM))} from baking paper and ${slot('lining', '', 'line')} ${vesselName(c)}.`
        : `${slot('lining', '', 'Oil')} ${vesselName(c)} and wipe it thin.`,
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
      sentence: `${n.node.settings.paste || n.node.settings.pot ? 'Scrape' : 'Stir, then pour'} ${sayGrams(main)} of ${carriedNames(n, c, false)} into ${many(c) ? `each of ${count(c)} pans` : vesselName(c)}, ${saidFigure('fill.depthM', sayMm(fill.depthM))} deep, at about ${saidFigure('pour.startC', sayC(there(n.figures.tempC).value))}${eta === undefined ? '' : `, like ${thicknessWord(eta)}`}${others.length > 0 ? `; ${listWords(others)}` : ''}. Tap out the air and level it.`,
      lookFor: 'A level top with the air tapped out.',
      answers: [
        read('tempC', there(n.figures.tempC).value, 'Poured at'),
        read('depthMm', 1000 * fill.depthM),
        read(
          'leftG',
          n.lost.reduce((a, x) => a + streamMass(x.stream), 0),
        ),
      ],
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
  cool: (n, c) => {
    const { stage, last, index } = n.node.settings;
    const rest = c.heat?.rest;
    return {
      verb: 'Cool',
      sentence: `${stage.pieces === undefined ? '' : `Cut it into ${stage.pieces} portions and lay them apart. `}Cool ${index === 0 ? carriedNames(n, c, false) : stage.pieces === undefined ? 'it' : 'them'} ${slot('stage-where', String(index), STAGE_WORDS[stage.where])} for ${slot('stage-time', String(index), sayDuration(n.waitS))}.${last && rest ? ` ${rest.check.sentence}` : ''}`,
      caution: 'cooling',
      answers: [{ kind: 'probe', words: 'middle now at' }],
    };
  },
  unmould: (n, c) => ({
    verb: 'Unmould',
    sentence: `${n.waitS > 59 ? `Wait ${sayDuration(n.waitS)} more: it is not firm yet. ` : ''}Run a thin spatula round the edge and turn it out, once the middle is under ${sayC(c.light.family.releaseC)}.`,
    answers: [say('came free'), say('stuck', 'Chill it 30 min more and run the spatula round again.')],
  }),
  cut: (_n, c) => {
    const { cut, texture, balance } = c.light;
    const pieces = balance.pieceVolumeShare > 0.05;
    const by = c.light.resolved.plan.cut?.by;
    const asked = by?.kind === 'count' && cut && by.pieces !== cut.count ? by.pieces : undefined;
    return {
      verb: 'Cut',
      sentence:
        cut && cut.count > 0
          ? `Cut ${plural(cut.count, 'piece')} of about ${sayGrams(cut.gramsAPiece)}${many(c) ? ' from each pan' : ''}${asked === undefined ? '' : ` (${asked} alike do not go into it)`}. ${bladeCare(texture.sticky, there(balance.batters[0]).starchShares.tapioca ?? 0, pieces)}`
          : 'Cut it when it is firm.',
      answers: [
        say('clean'),
        say('sticks', 'Wipe and oil the blade at each cut, or chill it an hour more.'),
        say('crumbles', 'Too cold or too short of starch: let it warm 15 min and cut thicker.'),
      ],
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
    sentence: `Draw each piece through beaten egg, about ${sayGrams(there(n.figures.eggG).value)} in all.`,
    caution: 'egg',
  }),
  sear: (n, c) => {
    const sear = c.heat?.sear;
    const dipped = c.e.byId.has('dip:pieces');
    const half = n.node.settings.half ? 'Half are eaten as they are. ' : '';
    return {
      verb: 'Sear',
      sentence: sear
        ? `${half}Sear ${plural(sear.pieces, 'piece')}${sear.loads > 1 ? `, ${sear.perLoad} at a time, with ${sayGrams(sear.oilPerLoadG)} of oil each time` : ` at once, with ${sayGrams(sear.oilPerLoadG)} of oil`}: ${sear.words}`
        : `${half}Sear the pieces golden on both faces.`,
      lookFor: dipped ? 'The egg set and golden all round; turn once.' : 'Golden faces with a crisp rim; turn once.',
      caution: 'hot-oil',
      timeline: sear ? searMoments(sear) : [],
      answers: [
        say('pale', 'A minute more a side before it is turned.'),
        say('golden'),
        say('dark', 'Turn the heat down one mark and turn them sooner.'),
      ],
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
    const used = carriedNames(n, c, true, (op) => !traitsOf(op).softens);
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
      taste: freshNames(n, c, liquid) ? 'Taste it: beside the cake it may be a shade too strong alone.' : undefined,
      caution: method === 'fry' || method === 'infuse-oil' ? 'hot-oil' : method === 'blanch' ? 'sprouts' : undefined,
      answers: salted(n) ? TASTE : undefined,
    };
  },
  reduce: (n, c) => ({
    verb: 'Reduce',
    sentence: `Boil ${everything(n, c)} down by ${sayGrams(there(n.figures.boiledG).value)}, about ${sayDuration(n.waitS)}.`,
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
    const split =
      fillings.length > 1
        ? ` ${sentenceCase(listWords(fillings.map((f) => `${f.count} with ${f.name.toLowerCase()}${f.eater ? ` for ${f.eater}` : ''}`)))}.`
        : '';
    return {
      verb: how === 'roll' ? (filled ? 'Fill and roll' : 'Roll') : 'Fold',
      sentence: filled
        ? `Lay ${filled} on ${carriedIn(n, c)[0] ? `the ${there(carriedIn(n, c)[0]).name}` : 'the sheets'} and ${how} while hot, on an oiled board: about ${sayGrams(outMass(n) / Math.max(1, count(c)))} each.${split}${raw.length > 0 ? ` ${listWords(raw.map((f) => f.name))} must reach ${sayC(Math.max(...raw.map((f) => f.safeC)))}.` : ''}`
        : `${how === 'roll' ? 'Roll' : 'Fold'} ${carriedNames(n, c)} while hot, on an oiled board.`,
      caution: filled ? 'raw-fillings' : 'wet-sheets',
      lookFor: how === 'roll' ? 'It bends round a finger without a crack.' : 'The folds do not stick together.',
    };
  },
  serve: (_n, c) => {
    const beside = c.light.balance.beside
      .filter((b) => !c.light.resolved.plan.fillings.some((f) => f.name === b.name) && b.name !== 'Dip')
      .map((b) => b.name.toLowerCase());
    // What is never chilled is eaten by the hour.
    const warm = c.light.resolved.plan.cooling.length > 0 ? '' : ` ${roomCheck([], eatenOf(c.light)).sentence}`;
    return {
      verb: 'Serve',
      sentence: `Serve ${slot('guests', '', String(c.light.resolved.plan.guests))}, about ${sayGrams(c.light.balance.massG / c.light.resolved.plan.guests)} each${beside.length > 0 ? `, with ${listWords(beside)}` : ''}. Best ${c.light.family.eatWithin}.${warm}`,
      caution: 'allergens',
    };
  },
};
