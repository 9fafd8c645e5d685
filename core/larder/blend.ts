import { bad, good, problem, type Result, there } from '../units';
import { ALLERGENS, DIETS, STARCH_KINDS, type StarchKind } from './kinds';
import type { Composition, Ingredient } from './ingredientSchema';
import type { Larder } from './lookup';

export interface BlendPart {
  readonly ingredient: string;
  readonly share: number;
}

const PARTS = ['water', 'starch', 'sugars', 'fat', 'protein', 'fibreAsh', 'salt'] as const;

/**
 * A dry blend kept as one item: composition, density, absorption and grain by share, allergens of all, diets that fit all.
 * Errors: `blend-empty`, `blend-unknown`.
 * @param parts grams or shares; they are brought to a sum of 1
 */
export function keptBlend(id: string, name: string, parts: readonly BlendPart[], larder: Larder): Result<Ingredient> {
  const sum = parts.reduce((a, p) => a + p.share, 0);
  if (sum <= 0) return bad(problem('blend-empty', 'blendOf', 'Put grams against at least one flour of the blend.'));
  const list = parts
    .filter((p) => p.share > 0)
    .map((p) => ({ share: p.share / sum, i: larder.get(p.ingredient), id: p.ingredient }));
  const unknown = list.find((p) => p.i === undefined);
  if (unknown)
    return bad(problem('blend-unknown', 'blendOf', `There is no "${unknown.id}" in the larder; choose another.`));
  const of = list.flatMap((p) => (p.i ? [{ share: p.share, i: p.i }] : []));
  const mean = (f: (i: Ingredient) => number): number => of.reduce((a, p) => a + p.share * f(p.i), 0);
  const per100 = Object.fromEntries(PARTS.map((k) => [k, mean((i) => i.per100[k])])) as unknown as Composition;
  const main = there([...of].sort((a, b) => b.share - a.share)[0]).i;
  return good({
    ...main,
    id,
    name,
    alsoCalled: [],
    kind: 'flour',
    per100,
    // Volumes add: the density of a mix is the inverse of its mean volume a gram.
    bulkDensityGPerMl: 1 / mean((i) => 1 / i.bulkDensityGPerMl),
    lightDensityGPerMl: undefined,
    dipFactor: mean((i) => i.dipFactor),
    amylose: mean((i) => i.amylose ?? 0.2),
    absorption: mean((i) => i.absorption ?? 1.6),
    grainUm: mean((i) => i.grainUm ?? 15),
    blendOf: list.map((p) => ({ ingredient: p.id, share: p.share })),
    allergens: ALLERGENS.filter((a) => of.some((p) => p.i.allergens.includes(a))),
    allergensStated: of.every((p) => p.i.allergensStated),
    diets: DIETS.filter((d) => of.every((p) => p.i.diets.includes(d))),
    pack: undefined,
    piece: undefined,
    uptake: undefined,
    trim: 0,
    stockG: undefined,
    source: 'cook',
  });
}

/** What a bought blend is taken for until it is characterised: its flours as the cook guesses them. */
export const BLEND_GUESSES = [
  {
    id: 'rice-tapioca',
    words: 'rice with some tapioca',
    parts: [
      ['rice-flour-fine', 0.8],
      ['tapioca', 0.2],
    ],
  },
  {
    id: 'rice-maize',
    words: 'rice with some maize',
    parts: [
      ['rice-flour-fine', 0.85],
      ['maize-starch', 0.15],
    ],
  },
  {
    id: 'chewy',
    words: 'mostly tapioca, some rice',
    parts: [
      ['tapioca', 0.7],
      ['rice-flour-fine', 0.3],
    ],
  },
  {
    id: 'sticky',
    words: 'mostly glutinous',
    parts: [
      ['glutinous-flour', 0.9],
      ['rice-flour-fine', 0.1],
    ],
  },
  {
    id: 'clear',
    words: 'clear wheat and tapioca',
    parts: [
      ['wheat-starch', 0.75],
      ['tapioca', 0.25],
    ],
  },
] as const;
export type BlendGuess = (typeof BLEND_GUESSES)[number]['id'];

/** A bought blend without a label: made of what the cook guesses, allergens not stated, known by nothing measured yet. */
export function unlabelledBlend(id: string, name: string, guess: BlendGuess, larder: Larder): Result<Ingredient> {
  const parts = BLEND_GUESSES.find((g) => g.id === guess)?.parts ?? BLEND_GUESSES[0].parts;
  const made = keptBlend(
    id,
    name,
    parts.map(([ingredient, share]) => ({ ingredient, share })),
    larder,
  );
  return made.ok
    ? good({
        ...made.value,
        allergens: [],
        allergensStated: false,
        diets: [],
        characterised: { drainTest: false },
      })
    : made;
}

/** How the first batch set beside what was expected of the guess: moves the blend's shares one step. */
export const FIRST_BATCH = ['softer', 'as-thought', 'firmer', 'chewier', 'stickier'] as const;
export type FirstBatch = (typeof FIRST_BATCH)[number];
const STEP = 0.12;
const TOWARDS: Readonly<Record<FirstBatch, string | undefined>> = {
  softer: 'potato-starch',
  'as-thought': undefined,
  firmer: 'rice-flour-fine',
  chewier: 'tapioca',
  stickier: 'glutinous-flour',
};

/** The blend after its first batch: its make-up moved towards what it showed, and what the drain test said kept. */
export function afterFirstBatch(blend: Ingredient, showed: FirstBatch, larder: Larder): Result<Ingredient> {
  const to = TOWARDS[showed];
  const known = { drainTest: blend.characterised?.drainTest ?? false };
  if (to === undefined) return good({ ...blend, characterised: known });
  const old = (blend.blendOf ?? []).map((p) => ({ ...p, share: p.share * (1 - STEP) }));
  const at = old.findIndex((p) => p.ingredient === to);
  const parts =
    at < 0
      ? [...old, { ingredient: to, share: STEP }]
      : old.map((p, n) => (n === at ? { ...p, share: p.share + STEP } : p));
  const made = keptBlend(blend.id, blend.name, parts, larder);
  if (!made.ok) return made;
  const { absorption, allergens, allergensStated, diets, stockG, pack, dipFactor, bulkDensityGPerMl } = blend;
  const measured = { allergens, allergensStated, diets, stockG, pack, dipFactor, bulkDensityGPerMl };
  return good({ ...made.value, ...measured, ...(known.drainTest ? { absorption } : {}), characterised: known });
}

const FINE_UM = 8;
/**
 * How coarse a flour is: doublings of the grain over fine wet-milled flour, 0 for that and for pure starches; a kept blend by its parts.
 */
export function coarsenessOf(i: Ingredient, larder: Larder): number {
  if (i.blendOf)
    return i.blendOf.reduce((a, p) => {
      const of = larder.get(p.ingredient);
      return a + (of ? p.share * coarsenessOf(of, larder) : 0);
    }, 0);
  return (i.kind === 'flour' || i.kind === 'grain') && i.grainUm !== undefined
    ? Math.max(0, Math.log2(i.grainUm / FINE_UM))
    : 0;
}

/** Starch of an ingredient by kind, shares that sum to 1; empty where its starch stays in the piece. */
export function starchesOf(i: Ingredient, larder: Larder): readonly (readonly [StarchKind, number])[] {
  if (!i.blendOf) return i.starchKind === undefined ? [] : [[i.starchKind, 1]];
  const grams = new Map<StarchKind, number>();
  for (const p of i.blendOf) {
    const of = larder.get(p.ingredient);
    if (of?.starchKind) grams.set(of.starchKind, (grams.get(of.starchKind) ?? 0) + p.share * of.per100.starch);
  }
  const sum = [...grams.values()].reduce((a, g) => a + g, 0);
  return STARCH_KINDS.flatMap((k) => (sum > 0 && grams.has(k) ? [[k, (grams.get(k) ?? 0) / sum] as const] : []));
}
