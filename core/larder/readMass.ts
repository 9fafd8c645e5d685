import {
  fractionValue,
  GRAMS_PER_OUNCE,
  listWords,
  plural,
  readAmount,
  timesAmount,
  type TypedAmount,
  shortName,
} from '../units';
import { usedFrom, yieldOf } from './bought';
import { nameWords, wordsOf } from './find';
import type { Ingredient } from './ingredientSchema';

/** Grams of an ingredient in one of this cook's measures, as used. */
export interface GramsPerMeasure {
  readonly cup: number;
  readonly tablespoon: number;
  readonly teaspoon: number;
  readonly ml: number;
}

const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  couple: 2,
  pair: 2,
};
const PART_WORDS: Readonly<Record<string, number>> = {
  half: 1 / 2,
  halves: 1 / 2,
  third: 1 / 3,
  thirds: 1 / 3,
  quarter: 1 / 4,
  quarters: 1 / 4,
  eighth: 1 / 8,
  eighths: 1 / 8,
};
const MASS_WORDS: Readonly<Record<string, number>> = {
  g: 1,
  gr: 1,
  gm: 1,
  gram: 1,
  kg: 1000,
  kilo: 1000,
  kilogram: 1000,
  oz: GRAMS_PER_OUNCE,
  ounce: GRAMS_PER_OUNCE,
  lb: 16 * GRAMS_PER_OUNCE,
  pound: 16 * GRAMS_PER_OUNCE,
};
/** A measure and how many of it the word means. */
const VOLUME_WORDS: Readonly<Record<string, readonly [keyof GramsPerMeasure, number]>> = {
  cup: ['cup', 1],
  tbsp: ['tablespoon', 1],
  tbs: ['tablespoon', 1],
  tablespoon: ['tablespoon', 1],
  tsp: ['teaspoon', 1],
  teaspoon: ['teaspoon', 1],
  pinch: ['teaspoon', 1 / 16],
  ml: ['ml', 1],
  millilitre: ['ml', 1],
  milliliter: ['ml', 1],
  dl: ['ml', 100],
  l: ['ml', 1000],
  litre: ['ml', 1000],
  liter: ['ml', 1000],
};
const PACK_WORDS = ['can', 'tin', 'bag', 'sachet', 'packet', 'pack', 'bottle', 'carton', 'block'];
const PIECE_WORDS = ['piece', 'pc', 'pce'];
/** Words by which the mass is the one before trimming and soaking. */
const AS_BOUGHT = /\b(dry|unpeeled|untrimmed|unshelled|whole|as bought|bought)\b/g;
/** Words that say nothing more: a mass is as used unless it says otherwise. */
const AS_USED = /\b(as used|ready to use|peeled|soaked|cooked|drained|grated|level|about|of|the)\b/g;
/** A size stands halfway between the usual piece and the end of its spread. */
const SIZES = { large: 'toG', big: 'toG', small: 'fromG', little: 'fromG', medium: 'massG' } as const;

const FIGURES =
  /^([-−]?(?:\d+\s*[-\s]\s*\d+\s*[/⁄]\s*\d+|\d+\s*[/⁄]\s*\d+|\d*\s*[⅛¼⅓⅜½⅝⅔¾⅞]|\d{1,3}(?: \d{3})+(?:[.,]\d+)?|[\d.,]*\d[.,]?))\s*(.*)$/;

/** The number a text begins with, in figures or words, and the words behind it. */
function countOf(text: string): { readonly typed: TypedAmount; readonly rest: readonly string[] } | undefined {
  const figures = FIGURES.exec(text);
  const words = (figures?.[2] ?? text).split(' ').filter((w) => w !== '');
  let at = 0;
  const word = () => words[at] ?? '';
  let n: number | undefined;
  if (figures) {
    const typed = readAmount(figures[1] ?? '');
    if (typed.kind !== 'amount') return typed.kind === 'ask' ? { typed, rest: words } : undefined;
    n = typed.value;
  } else if (word() in NUMBER_WORDS) {
    // "a couple", "a pair": the article counts nothing.
    at = words[0] === 'a' && (words[1] === 'couple' || words[1] === 'pair') ? 2 : 1;
    n = NUMBER_WORDS[words[at - 1] ?? ''];
  }
  const skip = (...fillers: string[]) => {
    while (fillers.includes(word())) at++;
  };
  const share = PART_WORDS[word()];
  if (share !== undefined) {
    n = (n ?? 1) * share;
    at++;
    skip('of', 'a', 'an');
  } else if (words[at] === 'and') {
    at++;
    skip('a', 'an', 'one');
    const part = PART_WORDS[word()] ?? fractionValue(word());
    if (part === undefined) return undefined;
    at++;
    n = (n ?? 0) + part;
  }
  if (words[at] === 'dozen') {
    at++;
    n = (n ?? 1) * 12;
  }
  return n === undefined ? undefined : { typed: { kind: 'amount', value: n }, rest: words.slice(at) };
}

/** Grams as used of one of what the words name: a mass, a measure, a pack or a piece; undefined where it is none of this ingredient's. */
function gramsOfOne(i: Ingredient, words: readonly string[], bought: boolean, measures?: GramsPerMeasure) {
  const [unit, ...of] = words;
  if (unit === undefined) return bought ? yieldOf(i) : undefined;
  const own = nameWords(i);
  const named = of.every((w) => own.has(w));
  const mass = MASS_WORDS[unit];
  if (mass !== undefined) return named ? mass * (bought ? yieldOf(i) : 1) : undefined;
  const volume = VOLUME_WORDS[unit];
  if (volume && measures) return named ? volume[1] * measures[volume[0]] * (bought ? yieldOf(i) : 1) : undefined;
  if (i.pack && (PACK_WORDS.includes(unit) || unit === i.pack.word))
    return named ? usedFrom(i, i.pack.massG) : undefined;
  const p = i.piece;
  if (!p) return undefined;
  const size = SIZES[unit as keyof typeof SIZES];
  const noun = size ? of : words;
  const pieceWords = new Set([...own, ...wordsOf(p.word), ...PIECE_WORDS]);
  if (!noun.every((w) => pieceWords.has(w))) return undefined;
  return usedFrom(i, size ? (p.massG + p[size]) / 2 : p.massG);
}

/** What may be typed for this ingredient, for a message that says what to change. */
function examples(i: Ingredient): string {
  const some = [
    '250',
    '1/2 kg',
    i.piece ? `two ${plural(2, i.piece.word).slice(2)}` : '2 tbsp',
    ...(i.pack ? [`half a ${i.pack.word}`] : []),
    ...(i.uptake && i.uptake.as !== 'dry' ? ['10 g dry'] : []),
  ];
  return listWords(some, 'or');
}

/** "1 lb 2 oz", "1 kg and 200 g". */
const LARGE_AND_SMALL = /^(\S+ ?(?:kg|kilos?|lbs?|pounds?)),? (?:and )?(\S+ ?(?:gm?s?|grams?|oz|ounces?))$/;

/**
 * Reads an amount of an ingredient as a cook says it, in grams as used: "two radishes", "half a can", "1 1/2 bags", "1 kg unpeeled",
 * "10 g dry", "3 tbsp". Pieces and packs are as bought, so that the trim is taken off; masses and measures are as used unless "dry",
 * "unpeeled", "whole" or "as bought" says otherwise. What could be two amounts ("1,250 g") asks.
 * @param measures grams in this cook's cup, spoons and ml; without them volumes are not read
 */
export function readMass(text: string, i: Ingredient, measures?: GramsPerMeasure): TypedAmount {
  const said = text.trim().toLowerCase().replace(/\s+/g, ' ');
  if (said === '') return { kind: 'empty' };
  const name = shortName(i.name).toLowerCase();
  const bad: TypedAmount = {
    kind: 'bad',
    sentence: `"${text.trim()}" is no amount of ${name}: write it like ${examples(i)}.`,
  };
  const [, large, small] = LARGE_AND_SMALL.exec(said) ?? [];
  if (large && small) {
    const [a, b] = [readMass(large, i), readMass(small, i)];
    return a.kind === 'amount' && b.kind === 'amount' ? { kind: 'amount', value: a.value + b.value } : bad;
  }
  const counted = countOf(said.replace(AS_BOUGHT, ' ').replace(AS_USED, ' ').replace(/\s+/g, ' ').trim());
  if (!counted) return bad;
  const one = gramsOfOne(i, wordsOf(counted.rest.join(' ')), said.search(AS_BOUGHT) >= 0, measures);
  if (one === undefined) return bad;
  return timesAmount(counted.typed, one);
}
