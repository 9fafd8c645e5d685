import { fractionValue, GRAMS_PER_OUNCE, plural, readAmount, sayGrams, sayPieces } from '../units';
import type { Ingredient } from './ingredient';

/** How much is to be bought for a mass ready to use: peeled, trimmed, soaked. */
export interface Bought {
  /** As bought: unpeeled, in the shell, dry, g. */
  readonly massG: number;
  /** Pieces as bought, where it comes by the piece, with how few and how many it may take. */
  readonly pieces?: { readonly word: string; readonly count: number; readonly from: number; readonly to: number };
  readonly packs?: { readonly word: string; readonly count: number };
  /** True where what is bought weighs otherwise than what is used. */
  readonly differs: boolean;
}

/** Grams ready to use from one gram as bought: what trimming leaves, and what soaking or cooking adds. */
export function yieldOf(i: Ingredient): number {
  const soaked = i.uptake && i.uptake.as !== 'dry' ? 1 + i.uptake.gPerG : 1;
  return (1 - i.trim) * soaked;
}

/**
 * What to buy for a mass ready to use.
 * @param dryG dry weight of it, where the batch soaks it otherwise than fully
 */
export function boughtFor(i: Ingredient, usedG: number, dryG?: number): Bought {
  const massG = dryG === undefined ? usedG / yieldOf(i) : dryG / (1 - i.trim);
  return {
    massG,
    differs: Math.abs(yieldOf(i) - 1) > 0.005,
    ...(i.piece
      ? {
          pieces: {
            word: i.piece.word,
            count: massG / i.piece.massG,
            from: massG / i.piece.toG,
            to: massG / i.piece.fromG,
          },
        }
      : {}),
    ...(i.pack ? { packs: { word: i.pack.word, count: massG / i.pack.massG } } : {}),
  };
}

/** Grams ready to use of what was bought, g. */
export const usedFrom = (i: Ingredient, boughtG: number): number => boughtG * yieldOf(i);

const WEIGHED_WORDS = { dry: 'as bought', soaked: 'dry', cooked: 'dry' } as const;

/**
 * "1235 g as bought, 1½ radishes": what stands beside a mass ready to use; empty where it is bought as it is used and not by the piece.
 */
export function boughtWords(i: Ingredient, usedG: number, dryG?: number): string {
  if (!(usedG > 0)) return '';
  const b = boughtFor(i, usedG, dryG);
  const weight = b.differs ? `${sayGrams(b.massG)} ${WEIGHED_WORDS[i.uptake?.as ?? 'dry']}` : '';
  const p = b.pieces;
  const pieces =
    p && p.count >= 0.2 ? `about ${sayPieces(p.count)} ${p.count > 1.13 ? plural(2, p.word).slice(2) : p.word}` : '';
  return [weight, pieces].filter((x) => x !== '').join(', ');
}

/** This cook's own weighing of one piece: as bought, and peeled where that was weighed too. It settles the estimate. */
export function settlePiece(i: Ingredient, boughtG: number, usedG?: number): Ingredient {
  const dry = i.uptake && i.uptake.as !== 'dry' ? 1 + i.uptake.gPerG : 1;
  const trim = usedG === undefined ? i.trim : Math.min(0.95, Math.max(0, 1 - usedG / dry / boughtG));
  return {
    ...i,
    source: 'cook',
    trim,
    piece: { word: i.piece?.word ?? 'piece', massG: boughtG, fromG: boughtG, toG: boughtG, weighed: true },
  };
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
  twelve: 12,
  half: 0.5,
  quarter: 0.25,
};
const MASS_WORDS: Readonly<Record<string, number>> = {
  g: 1,
  gram: 1,
  kg: 1000,
  kilo: 1000,
  oz: GRAMS_PER_OUNCE,
  ounce: GRAMS_PER_OUNCE,
  lb: 16 * GRAMS_PER_OUNCE,
  pound: 16 * GRAMS_PER_OUNCE,
};
const PACK_WORDS = ['can', 'tin', 'bag', 'sachet', 'packet', 'pack', 'bottle', 'carton', 'block'];

/** "two", "half a", "one and a half", "1 1/2", "½": the number, and the words behind it. */
function countOf(text: string): { readonly n: number; readonly rest: string } | undefined {
  const figures = /^(\d+\s+\d+\s*\/\s*\d+|\d+\s*\/\s*\d+|\d*\s*[⅛¼⅓⅜½⅝⅔¾⅞]|[\d.,]+)\s*(.*)$/.exec(text);
  if (figures) {
    const typed = readAmount(figures[1]);
    const n = typed.kind === 'amount' ? typed.value : fractionValue(figures[1]);
    return n === undefined ? undefined : { n, rest: figures[2] };
  }
  const spoken = /^(?:(half|quarter)(?: an?)?|(\w+) and a (half|quarter)|(\w+))\s+(.*)$/.exec(text);
  if (!spoken) return undefined;
  const [, part, whole, and, plainWord, rest] = spoken;
  const n = part ? NUMBER_WORDS[part] : whole ? NUMBER_WORDS[whole] + NUMBER_WORDS[and] : NUMBER_WORDS[plainWord];
  return n === undefined || Number.isNaN(n) ? undefined : { n, rest };
}

/**
 * Grams ready to use from words: "two radishes", "half a can", "1 1/2 bags", "1 kg", "60 g dry". Pieces and packs are as bought, so that
 * the trim is taken off; plain masses are as used unless "dry", "unpeeled" or "as bought" says otherwise.
 * @returns undefined where the words name no amount of this ingredient
 */
export function gramsFromWords(text: string, i: Ingredient): number | undefined {
  const counted = countOf(text.trim().toLowerCase());
  if (!counted) return undefined;
  const bought = /\b(dry|unpeeled|whole|as bought|bought)\b/.test(counted.rest);
  const noun = counted.rest
    .replace(/\b(dry|unpeeled|whole|as bought|bought|of|the)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const one = noun.replace(/(ch|sh|x|s)es$/, '$1').replace(/([^s])s$/, '$1');
  const unit = MASS_WORDS[one.split(' ')[0]];
  if (unit !== undefined) return counted.n * unit * (bought ? yieldOf(i) : 1);
  if (i.pack && PACK_WORDS.includes(one.split(' ')[0])) return usedFrom(i, counted.n * i.pack.massG);
  const names = [i.piece?.word, i.name.split(',')[0], ...i.alsoCalled].map((n) => n?.toLowerCase().replace(/s$/, ''));
  const its = one === 'piece' || names.some((n) => n !== undefined && (n === one || n.split(' ').pop() === one));
  return i.piece && its ? usedFrom(i, counted.n * i.piece.massG) : undefined;
}
