import type { Ingredient, MassShares } from '../../larder';

/** Grams of each part. `salt` is an of-which of `fibreAsh` for salts, tracked beside it and not summed into the mass. */
export interface Parts {
  readonly water: number;
  readonly starch: number;
  readonly sugar: number;
  readonly fat: number;
  readonly protein: number;
  readonly fibreAsh: number;
  readonly salt: number;
}

export const NO_PARTS: Parts = { water: 0, starch: 0, sugar: 0, fat: 0, protein: 0, fibreAsh: 0, salt: 0 };

/** Parts of a mass of an ingredient, g. Scaled so that the six summed parts equal the mass exactly (tables are ± 2). */
export function partsOf(ingredient: Ingredient, massG: number): Parts {
  const c = ingredient.per100;
  const sum = c.water + c.starch + c.sugars + c.fat + c.protein + c.fibreAsh;
  const g = sum > 0 ? massG / sum : 0;
  return {
    water: c.water * g,
    starch: c.starch * g,
    sugar: c.sugars * g,
    fat: c.fat * g,
    protein: c.protein * g,
    fibreAsh: c.fibreAsh * g,
    salt: c.salt * g,
  };
}

const combine = (a: Parts, b: Parts, f: (x: number, y: number) => number): Parts => ({
  water: f(a.water, b.water),
  starch: f(a.starch, b.starch),
  sugar: f(a.sugar, b.sugar),
  fat: f(a.fat, b.fat),
  protein: f(a.protein, b.protein),
  fibreAsh: f(a.fibreAsh, b.fibreAsh),
  salt: f(a.salt, b.salt),
});
export const addParts = (a: Parts, b: Parts): Parts => combine(a, b, (x, y) => x + y);
export const scaleParts = (a: Parts, by: number): Parts => combine(a, a, (x) => x * by);
export const sumParts = (all: readonly Parts[]): Parts => all.reduce(addParts, NO_PARTS);

/** Mass of the parts, g. */
export const massOf = (p: Parts): number => p.water + p.starch + p.sugar + p.fat + p.protein + p.fibreAsh;

/** Mass shares for the thermal laws; fibre and ash split by salt (salt counts as ash, the rest as fibre). */
export function thermalShares(p: Parts): MassShares {
  const m = massOf(p);
  if (m <= 0) return { water: 1, protein: 0, fat: 0, carbohydrate: 0, fibre: 0, ash: 0 };
  const ash = Math.min(p.salt, p.fibreAsh);
  return {
    water: p.water / m,
    protein: p.protein / m,
    fat: p.fat / m,
    carbohydrate: (p.starch + p.sugar) / m,
    fibre: (p.fibreAsh - ash) / m,
    ash: ash / m,
  };
}
