import type { EvaluatedNode, FlowLine, Operation, PrepareOperation } from '../../flow';
import { eatenByLime } from '../../kitchen';
import { inSentence, plural, sayDuration, sayGrams, sayWater, sentenceCase, listWords, there } from '../../units';
import {
  carriedNames,
  everything,
  freshLines,
  freshNames,
  outMass,
  outName,
  saidWait,
  type SentenceTable,
  type StepContext,
} from '../context';
import { lowerName } from '../../flow/builders';
import { read, say } from '../answers';
import { slot } from '../slots';

const FORM_VERBS = { pulp: 'Pulp', shreds: 'Grate', cubes: 'Cube', slices: 'Slice', whole: 'Peel' } as const;
const FORM_WORDS = {
  pulp: 'to a fine pulp',
  shreds: 'into shreds as thick as a match',
  cubes: 'into 12 mm cubes',
  slices: 'thinly',
  whole: 'whole',
} as const;
const SQUEEZE_WORDS = {
  drained: 'Drain off',
  'by-hand': 'Squeeze out by hand',
  hard: 'Squeeze out hard in a cloth',
} as const;

/** What is bought raw and must be cooked through. */
const RAW = new Set(['minced-pork', 'minced-chicken', 'fresh-shrimp', 'egg']);
/** The plan's lines that go into one frying, as they are or out of an earlier step. */
function friedLines(n: EvaluatedNode<Operation>, c: StepContext): readonly FlowLine[] {
  const { lines, nodes, streams } = c.light.flow;
  const ids = [
    ...n.node.ins.map((i) => there(nodes[there(streams[i]).from]).about),
    ...freshLines(n, c)
      .filter((x) => x.line.kind !== 'fat' && !x.line.id.endsWith('/fry'))
      .map((x) => x.line.id),
  ];
  return lines.filter((l) => ids.includes(l.id));
}
/** Grams of what comes out of one line; they are the line's own. */
function saidGrams(n: EvaluatedNode<Operation>, c: StepContext): string {
  const lines = freshLines(n, c);
  const grams = sayGrams(outMass(n));
  return lines.length === 1 ? slot('grams', there(lines[0]).line.id, grams) : grams;
}
/** What is fried, by its name; what goes into the pan as it was bought is weighed here. */
function saidFried(n: EvaluatedNode<Operation>, c: StepContext, name: string): string {
  const raw = freshLines(n, c).find((x) => lowerName(x.line.name) === name);
  return raw ? `${slot('the', '', 'the ')}${slot('line', raw.line.id, name)}` : `the ${name}`;
}
/** "10 g of dried mushroom": what is weighed dry, by its name. */
function saidDry(n: EvaluatedNode<Operation>, c: StepContext, dryG: number): string {
  const lines = freshLines(n, c).map((x) => x.line);
  const names = [...new Set(lines.map((l) => lowerName(l.name)))].map((w) => (w.startsWith('dried') ? w : `dry ${w}`));
  const grams = sayGrams(dryG);
  return lines.length === 1
    ? `${slot('dry', there(lines[0]).id, grams)} of ${slot('name', there(lines[0]).id, there(names[0]))}`
    : `${grams} of ${listWords(names)}`;
}
const waterWords = (tempC = 20): string =>
  `${tempC < 15 ? 'cold' : tempC < 30 ? 'cool' : tempC < 60 ? 'warm' : 'hot'} water (about ${Math.round(tempC)} °C)`;

export const PREPARE_SENTENCES: SentenceTable<PrepareOperation> = {
  choose: (n) => ({ verb: 'Choose', sentence: n.node.settings.words }),
  weigh: (_n, c) => {
    const lines = c.light.flow.lines.filter((l) => l.role !== 'source' && l.role !== 'accompaniment' && l.massG > 0);
    return {
      verb: 'Weigh',
      sentence: `Weigh out what the cake takes by the list: ${plural(lines.length, 'thing')}, ${sayGrams(lines.reduce((x, l) => x + l.massG, 0))}.`,
    };
  },
  soak: (n, c) => {
    const dry = n.figures.dryG;
    if (dry)
      return {
        verb: 'Soak',
        sentence: `Cover ${saidDry(n, c, dry.value)} with ${waterWords(n.node.settings.waterC)} for ${saidWait(n, n.waitS)}, then drain and squeeze: it gives the ${saidGrams(n, c)} soaked.`,
        lookFor: freshLines(n, c).some((x) => x.line.ingredient === 'dried-mushroom')
          ? 'Soft to the middle, no hard stalk.'
          : 'Soft to the middle.',
        answers: [say('soft'), say('still hard', 'Give it 10 min more in fresh warm water.')],
      };
    return {
      verb: 'Soak',
      sentence: `Wash ${freshNames(n, c)}, cover with cold water and soak for ${saidWait(n, n.waitS)}; drained, it has taken up about ${sayGrams(n.figures.uptakeG?.value ?? 0)} of water.`,
      lookFor: 'A grain crushes between two nails.',
      answers: [
        say('crushes'),
        say('still hard', 'Soak on: warm water takes half the time of cold.'),
        read('uptakeG', n.figures.uptakeG?.value),
      ],
    };
  },
  'boil-tender': (n, c) => ({
    verb: 'Boil',
    sentence: `Boil ${saidDry(n, c, there(n.figures.dryG).value)} in plenty of water until soft, about ${saidWait(n, n.waitS)}, and drain well: it gives the ${saidGrams(n, c)} cooked. Of ready cooked, weigh those ${sayGrams(outMass(n))} drained.`,
    lookFor: 'Crushes between two fingers, nothing hard or white inside.',
    answers: [say('soft'), say('still hard', 'Boil 5 min more and press one again.')],
  }),
  slake: (n, c) => {
    const lime = freshLines(n, c).filter((x) => x.line.kind === 'alkali');
    const grain = freshNames(n, c, (l) => l.kind !== 'alkali');
    const out = eatenByLime(c.light.resolved.kitchen).map((x) => `the ${inSentence(x.name)}`);
    const keepOut = out.length > 0 ? ` Keep it out of ${listWords(out)}: lime eats aluminium.` : '';
    return {
      verb: 'Soak',
      sentence:
        lime.length > 0
          ? `Stir ${listWords(lime.map((x) => `the ${slot('line', x.line.id, lowerName(x.line.name))}`))} into cold water, let it settle, and soak ${grain} in the clear water above it for ${saidWait(n, n.waitS)}.${keepOut}`
          : `Soak ${grain} for ${saidWait(n, n.waitS)}.`,
      lookFor: 'Yellowish grains that snap softly.',
      caution: 'alkali',
      answers: [
        say('snaps softly'),
        say('still hard', 'Soak on: a grain should snap between two nails.'),
        read('uptakeG', n.figures.uptakeG?.value),
      ],
    };
  },
  rinse: (n, c) => ({
    verb: 'Rinse',
    sentence: `Rinse ${everything(n, c)} in fresh water, about ${n.node.settings.waters} times, until the water runs clear and nothing feels slippery. Count the waters.`,
    lookFor: 'Clear water, no slip between the fingers.',
    answers: [say('milky', 'Once more, until the water runs clear.'), say('clear')],
  }),
  infuse: (n, c) => ({
    verb: 'Steep',
    sentence: `Cut up and steep ${everything(n, c)} together for ${saidWait(n, n.waitS)}.`,
    lookFor: 'Deep green water.',
  }),
  'blend-strain': (n, c) => ({
    verb: 'Blend, strain',
    sentence: `Blend ${everything(n, c)} and press it through a cloth: about ${sayGrams(there(n.figures.yieldG).value)} of ${outName(n, c)}. Weigh it.`,
    lookFor: 'A dry wad left in the cloth.',
    answers: [read('yieldG', n.figures.yieldG?.value)],
  }),
  sieve: (n, c) => ({
    verb: 'Sieve',
    sentence: `Pour ${everything(n, c)} through a sieve.`,
    lookFor: 'No lump left in the sieve.',
    answers: [say('smooth'), say('lumpy', 'Rub what is left through with a spoon.')],
  }),
  grate: (n, c) => {
    const { form, gloves, small } = n.node.settings;
    const kind = freshLines(n, c)[0]?.line.kind;
    const first = kind === 'protein' ? '' : form === 'slices' && kind !== 'fruit' ? 'Trim' : 'Peel';
    const cutting = { shreds: 'grate', cubes: 'cut', slices: 'slice', pulp: 'blend', whole: 'leave' }[form];
    const how = form === 'cubes' && small ? 'into small dice' : FORM_WORDS[form];
    return {
      verb: form === 'cubes' && small ? 'Dice' : FORM_VERBS[form],
      sentence: first
        ? `${first} ${everything(n, c)} and ${cutting} ${how}.`
        : `${sentenceCase(cutting)} ${everything(n, c)} ${how}.`,
      caution: gloves ? 'taro' : form === 'shreds' ? 'grater' : undefined,
    };
  },
  draw: (n, c) => ({
    verb: 'Salt',
    sentence: `Toss ${carriedNames(n, c)} with ${freshNames(n, c) || 'the salt'} and leave for ${saidWait(n, n.waitS)}.`,
    lookFor: 'Limp shreds that fold without snapping.',
    caution: 'salted-hands',
    answers: [say('limp'), say('still stiff', 'Toss it once and give it 5 min more.')],
  }),
  squeeze: (n, c) => {
    const { how, keep } = n.node.settings;
    return {
      verb: how === 'drained' ? 'Drain' : 'Squeeze',
      sentence: `${SQUEEZE_WORDS[how]} about ${sayGrams(there(n.figures.juiceG).value)} of juice from ${everything(n, c)} and ${keep ? 'keep it' : 'pour it away'}: ${sayGrams(outMass(n))} of ${outName(n, c)} is left. Weigh the juice.`,
      lookFor: how === 'drained' ? 'It drips no more.' : 'No more than drops when you press again.',
      taste: 'Taste a shred and note the salt before salting the batter.',
      caution: 'salted-hands',
      answers: [read('juiceG', n.figures.juiceG?.value)],
    };
  },
  sugar: (n, c) => ({
    verb: 'Sugar',
    sentence: `Toss ${everything(n, c)} together and leave for ${saidWait(n, n.waitS)}; about ${sayGrams(there(n.figures.juiceG).value)} of syrup draws out and is kept.`,
    lookFor: 'A gloss of syrup on every slice.',
    answers: [
      say('glossy'),
      say('still dry', 'Toss it and give it 10 min more.'),
      read('juiceG', n.figures.juiceG?.value),
    ],
  }),
  wilt: (n, c) => ({
    verb: 'Wilt',
    sentence: `Wilt ${everything(n, c)} ${n.node.settings.lid ? 'under a lid' : 'in an open pan'} for ${saidWait(n, n.timedS ?? n.waitS)}, stirring now and then; about ${sayGrams(there(n.figures.juiceG).value)} of juice comes out and is kept. Tip it through a sieve and weigh the juice.`,
    lookFor: 'Shreds gone glassy, standing in their own juice.',
    answers: [say('glassy'), say('still raw', 'Lid on, 3 min more.'), read('juiceG', n.figures.juiceG?.value)],
  }),
  parboil: (n, c) => ({
    verb: 'Parboil',
    sentence: `Boil ${everything(n, c)} in ${sayWater(there(n.figures.waterG).value)} of water for ${saidWait(n, n.waitS)}, until a knife just goes in, and drain well; about ${sayGrams(there(n.figures.boilsAwayG).value)} of the water boils away and ${sayGrams(there(n.figures.leftG).value)} is left; it would boil dry after ${sayDuration(there(n.figures.dryS).value)}.`,
    lookFor: 'A knife meets a firm middle.',
    answers: [say('knife goes in'), say('still hard', 'Boil 2 min more and try again.')],
  }),
  simmer: (n, c) => ({
    verb: 'Boil',
    sentence: `Boil ${carriedNames(n, c)} together for ${saidWait(n, n.waitS)}, until the raw smell is gone.`,
    lookFor: 'Glassy, sweet to smell.',
    answers: [say('raw', 'Let it boil 2 min more and smell again.'), say('sweet')],
  }),
  'boil-down': (n, c) => ({
    verb: 'Boil down',
    sentence: `Boil down ${everything(n, c)} for about ${saidWait(n, n.waitS)}${there(n.figures.boiledG).value > 0.5 ? `, until ${sayGrams(there(n.figures.boiledG).value)} of water has gone` : ''}; it would run dry after ${sayDuration(there(n.figures.dryS).value)}.`,
    lookFor: 'The pan is nearly dry.',
    answers: [say('wet', 'Stir on until the spoon leaves a dry trail.'), say('dry')],
  }),
  fry: (n, c) => {
    const outs = n.node.outs.map((_, i) => outName(n, c, i).replace(/^fried /, ''));
    const oil = freshNames(n, c, (l) => l.kind === 'fat');
    const fried = friedLines(n, c);
    const salted = fried.filter((l) => freshLines(n, c).some((x) => x.line.id === `${l.id}/fry`));
    const salt =
      salted.length === 0
        ? ''
        : salted.length === fried.length
          ? `, ${salted.length > 1 ? 'each with its' : 'with the'} salt`
          : `, the salt with ${listWords(salted.map((l) => `the ${lowerName(l.name)}`))}`;
    const raw = fried.some((l) => RAW.has(l.ingredient));
    const forS = n.node.settings.additions.map((a) => sayDuration(a.forS));
    const upTo = (i: number) => n.node.settings.additions.slice(0, i).reduce((a, x) => a + x.forS, 0);
    return {
      verb: 'Fry',
      sentence: `${oil ? `In ${oil}, fry ` : 'Fry '}${listWords(outs.map((w, i) => `${saidFried(n, c, w)} for ${forS[i]}`))}${outs.length > 1 ? ', one after the other into the same pan' : ''}${salt}. Let ${outs.length > 1 ? 'them' : 'it'} cool in a bowl.`,
      lookFor: raw ? 'Cooked through: nothing pink or glassy left.' : 'Toasted to the nose, not brown.',
      caution: 'hot-oil',
      timeline: [
        ...outs.map((w, i) => ({ atS: upTo(i), words: `Fry the ${w}` })),
        { atS: upTo(outs.length), words: `Tip ${outs.length > 1 ? 'them' : 'it'} into a bowl to cool` },
      ],
      answers: raw
        ? [
            say('still raw', 'Fry on until nothing is pink and no juice runs red.'),
            say('cooked through'),
            say('burnt', 'Pick the black out; if it tastes bitter, begin this pan again.'),
          ]
        : [
            say('pale', 'Fry a minute more, stirring.'),
            say('toasted'),
            say('burnt', 'Pick the black out; if it tastes bitter, begin this pan again.'),
          ],
    };
  },
  reuse: (n, c) => ({ verb: 'Use again', sentence: `Have ${everything(n, c)} at hand: it is used again here.` }),
  paste: (n, c) => ({
    verb: 'Mash',
    sentence:
      n.waitS > 0
        ? `Steam or boil ${everything(n, c)} until soft, about ${saidWait(n, n.waitS)}, drain and mash smooth.`
        : `Mash ${everything(n, c)} smooth.`,
    lookFor: 'No lump under the fork.',
    answers: [say('smooth'), say('lumpy', 'Rub it through a sieve: a lump stays a lump in the cake.')],
  }),
  'keep-back': (n, c) => {
    const aside = n.node.about.includes('liquid') || outName(n, c, 1).startsWith('liquid');
    return {
      verb: aside ? 'Set aside' : 'Keep back',
      sentence: aside
        ? `Set aside ${sayGrams(outMass(n, 1))} of ${everything(n, c)} ${outName(n, c, 1).replace(/^liquid /, '')}; ${sayGrams(outMass(n))} is left.`
        : `Keep back ${sayGrams(outMass(n, 1))} of ${everything(n, c)} for the top.`,
    };
  },
};
