import { pieceShareOf } from '../../flow';
import { listWords, sayC, sayDuration, sayGrams, there } from '../../units';
import { read, say, TASTE } from '../answers';
import {
  carriedIn,
  carriedNames,
  everything,
  freshLines,
  freshNames,
  outMass,
  saidWait,
  type SentenceTable,
} from '../context';

const PLACE_WORDS = {
  room: 'in the room',
  'warm-box': 'in a warm box',
  'oven-lamp': 'in the oven with the lamp on',
  fridge: 'in the fridge',
} as const;
const gasless = 0.5;

/** What is done to a batter that has been mixed: it rises, rests, is seasoned, takes its pieces, is split and coloured. */
export const STANDING_SENTENCES: SentenceTable<
  'ferment' | 'knock-back' | 'add-powder' | 'rest' | 'pour-off' | 'season' | 'fold-in' | 'split' | 'colour'
> = {
  ferment: (n, c) => ({
    verb: 'Ferment',
    sentence:
      n.waitS > 0
        ? `Cover ${everything(n, c)} and keep it ${PLACE_WORDS[n.node.settings.where]} at ${sayC(there(n.figures.placeC).value)} for about ${saidWait(n, n.waitS)}; it starts at ${sayC(there(n.figures.startC).value)}.`
        : `Cover ${everything(n, c)}: without live yeast it does not rise.`,
    lookFor: there(n.outs[0]).gasMl > gasless ? 'Foam all over, well risen, smelling of bread.' : 'Bubbles at the rim.',
    caution: 'ferment',
    answers: [say('flat', undefined, 0.25), say('foamy', undefined, 0.65), say('doubled', undefined, 1)],
  }),
  'knock-back': (n, c) => ({
    verb: 'Knock back',
    sentence: `Stir ${everything(n, c)} down gently.`,
    lookFor: 'Sunk back, small bubbles left.',
  }),
  'add-powder': (n, c) => ({
    verb: 'Powder in',
    sentence: `Sift ${freshNames(n, c)} over ${carriedNames(n, c)} and fold it through just before it is filled${n.waitS > 0 ? `; let it stand ${saidWait(n, n.waitS)}` : ''}.`,
    lookFor: 'Light, full of fine bubbles.',
    answers: [
      say('flat', 'The powder is old: stir in half as much again of a fresh one and steam at once.'),
      say('light'),
    ],
  }),
  rest: (n, c) => ({
    verb: 'Rest',
    sentence: `Cover ${everything(n, c)} and let it rest for ${saidWait(n, n.waitS)} (${sayDuration(n.node.settings.leastS)} at the least, ${sayDuration(n.node.settings.mostS)} at the most); it is then at ${sayC(there(n.outs[0]).tempC)}.`,
    lookFor: 'A clear layer over a firm white bed.',
    answers: [say('milky', 'Leave it until clear water stands on top.'), say('clear')],
  }),
  'pour-off': (n, c) => ({
    verb: 'Pour off',
    sentence: `Pour off ${sayGrams(there(n.figures.pouredG).value)} of the clear liquid from ${everything(n, c)} and pour on as much fresh water: ${there(n.figures.saltG).value.toFixed(1)} g of salt${there(n.figures.sugarG).value > 0.5 ? ` and ${sayGrams(there(n.figures.sugarG).value)} of sugar` : ''} leaves with it.`,
    lookFor: 'You see the white bed through it.',
    answers: [read('pouredG', n.figures.pouredG?.value ?? n.node.settings.pouredG)],
  }),
  season: (n, c) => {
    const salt = n.drawn.find((d) => d.source === 'season-salt')?.massG ?? 0;
    const sugar = n.drawn.find((d) => d.source === 'season-sugar')?.massG ?? 0;
    const parts = [
      ...(salt > 0.05 ? [`re-season with ${salt.toFixed(1)} g salt`] : []),
      ...(sugar > 0.5 ? [`put back ${sayGrams(sugar)} of sugar`] : []),
    ];
    return {
      verb: 'Season',
      sentence:
        parts.length > 0
          ? `Stir up ${everything(n, c)} and ${listWords(parts)}.`
          : `Stir up ${everything(n, c)}; nothing has to be put back.`,
      taste: 'Taste before adding more.',
      answers: TASTE,
    };
  },
  'fold-in': (n, c) => {
    const carried = carriedIn(n, c);
    const batter = carried[0];
    const pieces = [
      ...carried.slice(1).map((x) => `the ${x.name} (${sayGrams(x.massG)})`),
      ...(freshLines(n, c).length > 0 ? [freshNames(n, c)] : []),
    ];
    const share = pieceShareOf(there(n.outs[0]));
    return {
      verb: 'Fold in',
      sentence: `Fold ${listWords(pieces)} into the ${batter?.name ?? 'batter'} (${sayGrams(batter?.massG ?? 0)}): ${sayGrams(outMass(n))} at ${sayC(there(n.outs[0]).tempC)}${share > 0.02 ? `, ${Math.round(100 * share)} % of it pieces` : ''}.`,
      lookFor: share > 0.02 ? 'Every piece coated.' : 'One even colour, no streak.',
      answers: [
        say('coated'),
        say('too stiff', 'Work in water by the spoon until every piece is wet, and write down how much.'),
        say('too thin', 'Let it stand 10 min, then stir again just before it is poured.'),
        read('tempC', n.outs[0]?.tempC),
      ],
    };
  },
  split: (n, c) => ({
    verb: 'Split',
    sentence: `Stir and weigh ${carriedNames(n, c)} apart: ${listWords(n.node.settings.names.map((name, i) => `${name.toLowerCase()} ${sayGrams(outMass(n, i))}`))}.`,
    lookFor:
      new Set(n.node.settings.shares).size > 1
        ? 'As many layers’ worth in every bowl.'
        : 'The same height in every bowl.',
  }),
  colour: (n, c) => ({
    verb: 'Colour',
    sentence: `Stir ${freshNames(n, c)} into ${carriedNames(n, c)}.`,
    lookFor: 'One even colour, a shade paler than it will set.',
  }),
};
