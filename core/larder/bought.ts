import { plural, sayGrams, sayPieces } from '../units';
import type { Ingredient } from './ingredientSchema';

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
