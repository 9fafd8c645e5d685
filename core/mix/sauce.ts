import type { Larder } from '../larder';
import type { Sauce } from '../plan';
import { massOf, partsOf, sumParts } from './parts';

export interface SauceAmounts {
  readonly lines: readonly { readonly name: string; readonly massG: number; readonly note?: string }[];
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

/**
 * A dip by parts, scaled by head. Where a bottle's own salt (g per 15 ml, from its label) differs from the table's, that line is scaled by
 * table ÷ label, and water makes up or gives way, so that the dip keeps its total, its salt and its sugar share.
 */
export function sauceAmounts(sauce: Sauce, guests: number, larder: Larder): SauceAmounts {
  const all = sauce.lines.reduce((s, l) => s + l.parts, 0);
  const total = sauce.gramsAHead * guests;
  if (all <= 0) return { lines: [], massG: 0, saltPct: 0, sugarPct: 0, balanced: false };
  let moved = 0;
  const raw = sauce.lines.map((l) => {
    const base = (total * l.parts) / all;
    const table = tableSaltPer15Ml(larder, l.ingredient);
    const mine = l.saltPer15Ml;
    const massG = mine !== undefined && mine > 0 && table > 0 ? (base * table) / mine : base;
    moved += base - massG;
    return { line: l, massG, labelled: mine !== undefined && mine > 0 && table > 0 };
  });
  const water = raw.find((r) => r.line.ingredient === 'water');
  const lines = raw.map((r) => ({ ...r, massG: r === water ? Math.max(0, r.massG + moved) : r.massG }));
  const parts = sumParts(
    lines.map(({ line, massG, labelled }) => {
      const i = larder.get(line.ingredient);
      if (!i) return partsOf({ ...EMPTY }, 0);
      const p = partsOf(i, massG);
      return labelled && line.saltPer15Ml ? { ...p, salt: ((massG / i.bulkDensityGPerMl) * line.saltPer15Ml) / 15 } : p;
    }),
  );
  const massG = massOf(parts);
  return {
    lines: lines.map(({ line, massG: m, labelled }) => ({
      name: larder.get(line.ingredient)?.name ?? line.ingredient,
      massG: m,
      note: labelled ? `${line.saltPer15Ml} g salt in 15 ml` : undefined,
    })),
    massG,
    saltPct: massG > 0 ? (100 * parts.salt) / massG : 0,
    sugarPct: massG > 0 ? (100 * parts.sugar) / massG : 0,
    balanced: raw.some((r) => r.labelled),
  };
}

const EMPTY = {
  id: '',
  name: '',
  kind: 'liquid' as const,
  per100: { water: 100, starch: 0, sugars: 0, fat: 0, protein: 0, fibreAsh: 0, salt: 0 },
  bulkDensityGPerMl: 1,
  dipFactor: 1,
  allergens: [],
  diets: [],
  source: 'house' as const,
};
