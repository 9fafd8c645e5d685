import type { Larder } from '../larder';
import { massOf, partsOf, scaleParts, sumParts, type Parts } from '../model/batter';
import type { Accompaniment } from '../plan';

/** As far as its grams go: as it is written, or in force. */
type Amounts = Pick<Accompaniment, 'amount'> & { readonly lines: readonly Accompaniment['lines'][number][] };

export interface AccompanimentAmounts {
  readonly lines: readonly {
    readonly name: string;
    readonly massG: number;
    readonly note?: string;
    readonly perGram: Parts;
  }[];
  readonly massG: number;
  readonly saltPct: number;
  readonly sugarPct: number;
  /** Set when the bottle's label changed the amounts. */
  readonly balanced: boolean;
}

/** Grams of salt in 15 ml of an ingredient by its table composition. */
export const tableSaltPer15Ml = (larder: Larder, id: string): number => {
  const i = larder.get(id);
  return i ? (15 * i.bulkDensityGPerMl * i.per100.salt) / 100 : 0;
};

/** Grams of an accompaniment in all: a head, a piece, for the batch, or by packs of its first line. */
export function accompanimentMass(
  a: Amounts,
  { guests, pieces, larder }: { readonly guests: number; readonly pieces: number; readonly larder: Larder },
): number {
  const { amount } = a;
  if (amount.by === 'head') return amount.grams * guests;
  if (amount.by === 'piece') return amount.grams * pieces;
  if (amount.by === 'batch') return amount.grams;
  const parts = a.lines.reduce((s, l) => s + l.parts, 0);
  const first = a.lines[0];
  const pack = first ? larder.get(first.ingredient)?.pack?.massG : undefined;
  return first && pack !== undefined && first.parts > 0 ? (amount.packs * pack * parts) / first.parts : 0;
}

/**
 * A dip or topping by parts. Where a bottle's own salt (g per 15 ml, from its label) differs from the table's, that line is scaled by
 * table ÷ label, and water makes up or gives way, so that the dip keeps its total, its salt and its sugar share.
 */
export function accompanimentAmounts(
  a: Amounts,
  scale: { readonly guests: number; readonly pieces: number; readonly larder: Larder },
): AccompanimentAmounts {
  const { larder } = scale;
  const all = a.lines.reduce((s, l) => s + l.parts, 0);
  const total = accompanimentMass(a, scale);
  let moved = 0;
  const raw = a.lines.map((l) => {
    const base = all > 0 ? (total * l.parts) / all : 0;
    const table = tableSaltPer15Ml(larder, l.ingredient);
    const mine = l.saltPer15Ml;
    const labelled = mine !== undefined && mine > 0 && table > 0;
    const massG = labelled ? (base * table) / mine : base;
    moved += base - massG;
    return { line: l, massG, labelled };
  });
  const water = raw.find((r) => r.line.ingredient === 'water');
  const lines = raw.map((r) => {
    const i = larder.get(r.line.ingredient);
    const plain = i ? partsOf(i, 1) : EMPTY;
    const perGram =
      r.labelled && i && r.line.saltPer15Ml ? { ...plain, salt: r.line.saltPer15Ml / 15 / i.bulkDensityGPerMl } : plain;
    return {
      name: i?.name ?? r.line.ingredient,
      massG: r === water ? Math.max(0, r.massG + moved) : r.massG,
      note: r.labelled ? `${r.line.saltPer15Ml} g salt in 15 ml` : undefined,
      perGram,
    };
  });
  const parts = sumParts(lines.map((l) => scaleParts(l.perGram, l.massG)));
  const massG = massOf(parts);
  return {
    lines,
    massG,
    saltPct: massG > 0 ? (100 * parts.salt) / massG : 0,
    sugarPct: massG > 0 ? (100 * parts.sugar) / massG : 0,
    balanced: raw.some((r) => r.labelled),
  };
}

const EMPTY: Parts = { water: 1, starch: 0, sugar: 0, fat: 0, protein: 0, fibreAsh: 0, salt: 0 };
