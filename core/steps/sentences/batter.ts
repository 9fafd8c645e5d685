import type { BatterOperation } from '../../flow';
import { sayC, sayDuration, sayGrams, listWords, there } from '../../units';
import { consistencyOf, partsOfStream, watersOf, type Stream } from '../../flow';
import { thicknessWord } from '../../model/batter';
import {
  carriedIn,
  carriedNames,
  everything,
  freshLines,
  freshNames,
  outMass,
  saidWait,
  type SentenceTable,
  type StepContext,
} from '../context';
import { leftoverWords } from '../ring';
import { slot } from '../slots';
import { read, say, TASTE } from '../answers';
import { STANDING_SENTENCES } from './standing';

const pours = (c: StepContext, batter: string) => c.light.family.pours((q) => c.light.resolved.plan.schools[q], batter);
/** Names of streams that are liquid enough to whisk flour into. */
const LIQUIDS = /liquid|juice/;
/** True where there is salt in it to taste. */
export const salted = (n: { readonly outs: readonly Stream[] }): boolean =>
  n.outs.length > 0 && partsOfStream(there(n.outs[0])).salt > 0.5;
/** The family's own look at the stage it speaks of; elsewhere the computed word. */
const likeWords = (mPas: number | undefined): string => `as thick as ${thicknessWord(mPas)}`;
export const BATTER_SENTENCES: SentenceTable<BatterOperation> = {
  melt: (n, c) => {
    const sugar = freshLines(n, c).some((x) => x.line.kind === 'sugar');
    const cools = n.node.settings.toC < c.light.env.boilC - 6;
    if (!sugar)
      return {
        verb: 'Boil',
        sentence: `Bring ${everything(n, c)} to a simmer.`,
        lookFor: 'Steam and small bubbles at the rim.',
        caution: 'hot-paste',
      };
    return {
      verb: 'Melt',
      sentence: `Melt ${everything(n, c)} over low heat and strain${cools ? `; let the syrup cool to ${sayC(n.node.settings.toC)}, about ${saidWait(n, n.waitS)}` : '; use it hot'}.`,
      lookFor: 'No grain left on the spoon.',
      caution: 'hot-paste',
    };
  },
  wait: (n, c) => ({
    verb: 'Cool',
    sentence: `Let ${everything(n, c)} cool to ${sayC(n.node.settings.toC)}, about ${saidWait(n, n.waitS)}.`,
  }),
  bloom: (n, c) => ({
    verb: 'Bloom',
    sentence: `Stir ${freshNames(n, c)} together at ${sayC(there(n.figures.tempC).value)} and leave for ${saidWait(n, n.waitS)}. No foam after 15 min: the yeast is dead, start again with another.`,
    lookFor: 'A beige foam as thick as a finger.',
    answers: [
      say('flat', 'No life in it after 15 min: start again with other yeast, at 35 to 40 °C.', 0.3),
      say('foamy', 'It lives: go on.', 1),
    ],
  }),
  roux: (n, c) => ({
    verb: 'Cook paste',
    sentence: `Stir ${everything(n, c)} over low heat to a smooth paste, and let it cool to ${sayC(there(n.outs[0]).tempC)}, about ${saidWait(n, n.waitS)}.`,
    lookFor: `Glossy, ${likeWords(n.figures.viscosityMPas?.value)}, no dry flour at the rim.`,
    caution: 'hot-paste',
    answers: [
      say('thin', 'Stir on over low heat until the spoon leaves a trail.'),
      say('smooth'),
      say('lumpy', 'Off the heat, rub it through a sieve while it is warm.'),
    ],
  }),
  'top-up': (n, c) => {
    const g = there(n.figures.waterG).value;
    const besides = there(n.figures.liquidG).value - watersOf(c.light.flow.lines, there(n.outs[0])).liquidG;
    const has = everything(n, c);
    const liquid = slot('liquid', n.node.about, sayGrams(there(n.figures.liquidG).value));
    const with_ = besides > 0.5 ? `, with the ${sayGrams(besides)} that goes in hot` : '';
    return {
      verb: has ? 'Top up' : 'Water',
      sentence:
        g < 0.5
          ? `${has ? `Put ${has} together` : 'The liquid is ready'}: ${liquid} of liquid is there${with_}, no water is needed.`
          : has
            ? `Top up ${has} with ${sayGrams(g)} of cold water: ${liquid} of liquid in all${with_}.`
            : `Measure ${with_ ? sayGrams(g) : slot('liquid', n.node.about, sayGrams(g))} of cold water${with_ ? `: ${liquid} of liquid in all${with_}` : ''}.`,
      answers: [read('waterG', g)],
    };
  },
  mix: (n, c) => {
    const lines = freshLines(n, c);
    const wet = new Set(lines.filter((x) => x.line.liquid).map((x) => x.line.id));
    const dry = freshNames(n, c, (l) => !wet.has(l.id));
    const carried = carriedIn(n, c).map((x) => ({
      liquid: LIQUIDS.test(x.name),
      words: `the ${x.name} (${sayGrams(x.massG)})`,
    }));
    const flows = [
      ...carried.filter((x) => x.liquid).map((x) => x.words),
      ...(wet.size > 0 ? [freshNames(n, c, (l) => wet.has(l.id))] : []),
    ];
    const others = carried.filter((x) => !x.liquid).map((x) => x.words);
    const s = there(n.outs[0]);
    const look = consistencyOf(c.light.flow.lines, s);
    const first =
      n.node.settings.firstShare *
      (carriedIn(n, c).reduce((a, x) => a + (LIQUIDS.test(x.name) ? x.massG : 0), 0) +
        lines.reduce((a, x) => a + (x.line.liquid ? x.massG : 0), 0));
    const firsts = n.node.settings.firstShare < 1 && first > 1 && dry !== '';
    const wetEnough = partsOfStream(s, 'free').water > 0.3 * outMass(n);
    const stir =
      wetEnough && Number.isFinite(look.stirEveryS)
        ? ` It settles in ${sayDuration(look.stirEveryS)}: stir again before each use.`
        : '';
    const how =
      firsts && flows.length > 0
        ? `Whisk ${dry} with the first ${sayGrams(first)} of ${listWords(flows)} until no lump is left, then whisk in ${listWords(['the rest', ...others])}`
        : `Stir ${listWords([...others, ...flows, ...(dry ? [dry] : [])])} together`;
    const { batters } = c.light.resolved.plan;
    const which =
      batters.length > 1 ? `${batters.find((b) => b.id === n.node.about)?.name.toLowerCase() ?? ''} `.trimStart() : '';
    return {
      verb: 'Mix',
      sentence: `${how}: ${sayGrams(outMass(n))} of ${wetEnough ? `${which}batter` : `${which}dry mix`} at ${sayC(s.tempC)}${wetEnough ? `, like ${look.words}` : ''}.${stir}`,
      lookFor:
        thicknessWord(look.viscosityMPas) === pours(c, n.node.about).word
          ? pours(c, n.node.about).look
          : wetEnough
            ? 'Smooth, no dry pocket at the bottom.'
            : 'One even powder.',
      taste:
        wetEnough && lines.some((x) => x.line.kind === 'salt')
          ? 'Taste for salt and note it before adding more.'
          : undefined,
      answers: wetEnough
        ? [
            say('smooth'),
            say('lumpy', 'Pour it through a sieve and rub the lumps through.'),
            ...(salted(n) ? TASTE : []),
            read('tempC', n.outs[0]?.tempC),
          ]
        : [say('even'), say('lumpy', 'Rub it through a dry sieve.')],
    };
  },
  scald: (n, c) => {
    const look = consistencyOf(c.light.flow.lines, there(n.outs[0]));
    return {
      verb: 'Scald',
      sentence: `Bring ${freshNames(n, c)} to a rolling boil and pour it in a thin stream into ${carriedNames(n, c)}, whisking all the time: it lands at ${sayC(there(n.figures.tempC).value)}${there(n.figures.set).value > 0.01 ? `, ${Math.round(100 * there(n.figures.set).value)} % set` : ', still raw'}, like ${look.words}.`,
      lookFor: look.words === pours(c, n.node.about).word ? pours(c, n.node.about).look : 'Even, no skin at the rim.',
      caution: 'hot-paste',
      seconds: true,
      answers: [
        say('thin', 'The water was not boiling hot: stir it over low heat until it thickens.'),
        say('as it should be'),
        say('lumpy', 'Rub it through a sieve; pour the next one in a thin stream, whisking.'),
        read('tempC', n.outs[0]?.tempC),
      ],
    };
  },
  'stream-in': (n, c) => ({
    verb: 'Stream in',
    sentence: `Stir, then stream ${listWords(
      carriedIn(n, c)
        .slice(1)
        .map((x) => `the ${x.name} (${sayGrams(x.massG)})`),
    )} into ${listWords(
      carriedIn(n, c)
        .slice(0, 1)
        .map((x) => `the ${x.name} (${sayGrams(x.massG)})`),
    )}, stirring: it lands at ${sayC(there(n.figures.tempC).value)}.`,
    lookFor: 'No lump where the stream goes in.',
    caution: 'hot-paste',
    answers: [
      say('smooth'),
      say('lumpy', 'Rub it through a sieve before it goes on.'),
      read('tempC', n.outs[0]?.tempC),
    ],
  }),
  thicken: (n, c) => {
    const word = n.figures.viscosityMPas ? thicknessWord(n.figures.viscosityMPas.value) : 'dough';
    return {
      verb: 'Thicken',
      sentence: `Stir ${everything(n, c)} over low heat, scraping the bottom, until it is like ${word}: about ${sayDuration(there(n.figures.stirS).value)}, at ${sayC(there(n.figures.toC).value)}, ${Math.round(100 * there(n.figures.set).value)} % set. Take it off at once.${leftoverWords(c)}`,
      lookFor: word === pours(c, n.node.about).word ? pours(c, n.node.about).look : `Like ${word}.`,
      taste: salted(n) ? 'Taste for salt now and note it.' : undefined,
      caution: 'hot-paste',
      answers: [
        say('thin', 'Stir on over low heat until it falls in ribbons.'),
        say('ribbons'),
        say('trail', 'Thick enough: take it off the heat at once.'),
        read('tempC', there(n.figures.toC).value),
      ],
    };
  },
  'cook-through': (n, c) => ({
    verb: 'Cook',
    sentence: `Stir ${everything(n, c)} over medium-low heat to ${sayC(there(n.outs[0]).tempC)}, about ${sayDuration(there(n.figures.heatS).value)}, then for ${sayDuration(there(n.figures.stirS).value)} more, until no mealy taste is left; the bottom scorches after ${sayDuration(there(n.figures.scorchS).value)}.${leftoverWords(c)}`,
    lookFor: pours(c, n.node.about).look,
    taste: 'A cooled drop tastes elastic, not pasty.',
    caution: 'hot-paste',
    timeline: [
      {
        atS: there(n.figures.heatS).value,
        words: `${sayC(there(n.outs[0]).tempC)} by now: ${sayDuration(there(n.figures.stirS).value)} more from here`,
      },
      { atS: there(n.figures.heatS).value + there(n.figures.stirS).value, words: 'Taste: no mealy taste left' },
    ],
    answers: [say('mealy', 'Stir on over low heat and taste again in 2 min.'), say('clear')],
  }),
  'to-the-mark': (n, c) => {
    const look = consistencyOf(c.light.flow.lines, there(n.outs[0]));
    return {
      verb: 'To the mark',
      sentence: `Stir three quarters of ${freshNames(n, c)} into ${carriedNames(n, c)}, then the rest bit by bit, and stop when it falls like ${n.node.settings.to}; all of it gives ${look.words}.`,
      lookFor: pours(c, n.node.about).look,
      caution: 'choking',
      answers: [
        say('thick', 'Stir in water by the spoon until it falls as said.'),
        say('as it should be'),
        say('thin', 'Let it stand 10 min: the starch takes water up yet.'),
      ],
    };
  },
  grind: (n, c) => ({
    verb: 'Grind',
    sentence: `Grind ${everything(n, c)} until no grit is left between finger and thumb: ${sayGrams(outMass(n))} of batter, like ${consistencyOf(c.light.flow.lines, there(n.outs[0])).words}.`,
    lookFor: 'No grit between finger and thumb.',
    answers: [say('gritty', 'Grind 2 min more, or rub it through a fine sieve.'), say('smooth')],
  }),
  ...STANDING_SENTENCES,
};
