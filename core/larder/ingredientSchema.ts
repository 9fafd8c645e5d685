import { z } from 'zod';
import { ALLERGENS, DIETS, INGREDIENT_KINDS, STARCH_KINDS } from './kinds';

const share = z.number().min(0).max(100);

const PART_WORDS = {
  water: 'water',
  starch: 'starch',
  sugars: 'sugars',
  fat: 'fat',
  protein: 'protein',
  fibreAsh: 'fibre and ash',
} as const;

/** Grams per 100 g of the ingredient. The six parts sum to 100 ± 2; `salt` is an of-which of fibre + ash (or of a cure) and is not summed. */
export const compositionSchema = z
  .object({
    water: share,
    starch: share,
    sugars: share,
    fat: share,
    protein: share,
    fibreAsh: share,
    salt: share.default(0),
  })
  .superRefine((c, ctx) => {
    const parts = (Object.keys(PART_WORDS) as (keyof typeof PART_WORDS)[]).map((k) => ({
      words: PART_WORDS[k],
      g: c[k],
    }));
    const sum = parts.reduce((a, p) => a + p.g, 0);
    if (sum >= 98 && sum <= 102) return;
    const named = parts
      .filter((p) => p.g > 0)
      .sort((a, b) => b.g - a.g)
      .map((p) => `${p.words} ${Number(p.g.toFixed(1))}`)
      .join(' + ');
    const off = Math.abs(sum - 100).toFixed(1);
    ctx.addIssue({
      code: 'custom',
      message:
        sum > 102
          ? `${named} make ${sum.toFixed(1)} g in 100 g, ${off} too many: make them add up to 100, give or take 2.`
          : `${named || 'Nothing'} makes only ${sum.toFixed(1)} g in 100 g, ${off} too few: make them add up to 100, give or take 2.`,
    });
  });
export type Composition = z.infer<typeof compositionSchema>;

/** A share of a kept blend: an ingredient of the larder. */
const blendPartSchema = z.object({ ingredient: z.string().min(1), share: z.number().min(0).max(1) });

/** Dried or raw things that take up water: g of water per g of dry. */
export const uptakeSchema = z.object({
  /** What the entry's composition is of: the dry thing, or the soaked or cooked one. */
  as: z.enum(['dry', 'soaked', 'cooked']),
  gPerG: z.number().min(0).max(20),
  /** Time constant in water of 20 °C, s. */
  tauS: z.number().positive().optional(),
  /** How long what is cooked boils until it is soft, s. */
  boilS: z.number().positive().optional(),
});

/** One piece as bought, g: what it usually weighs and from where to where. */
export const pieceSchema = z.object({
  word: z.string().min(1).max(40).default('piece'),
  massG: z
    .number('What one weighs must be a number, in g.')
    .positive('One piece weighs more than nothing.')
    .max(20_000),
  fromG: z.number().positive(),
  toG: z.number().positive(),
  /** True once this cook has weighed one. */
  weighed: z.boolean().optional(),
});

const ingredientFields = z.object({
  id: z.string().min(1).max(80),
  name: z.string().trim().min(1, 'Give the ingredient a name.').max(160, 'Keep the name under 160 letters.'),
  /** Other names it is found by. */
  alsoCalled: z.array(z.string().trim().min(1).max(80)).max(20).default([]),
  kind: z.enum(INGREDIENT_KINDS),
  per100: compositionSchema,
  /** Spooned bulk density, g/ml. */
  bulkDensityGPerMl: z.number().positive().max(5),
  /** Spooned with light hands, g/ml, where that is known to be less. */
  lightDensityGPerMl: z.number().positive().max(5).optional(),
  /** Scooped ÷ spooned. */
  dipFactor: z.number().min(0.8).max(2).default(1),
  /** Which starch this is, for gelling and texture; absent for add-ins whose starch stays in the piece. */
  starchKind: z.enum(STARCH_KINDS).optional(),
  /** Amylose share of the starch, 0–1. */
  amylose: z.number().min(0).max(1).optional(),
  /** Effective volume of a wet grain ÷ its dry volume (section on consistency). */
  absorption: z.number().min(0.8).max(3).optional(),
  /** Grain diameter, µm, for settling. */
  grainUm: z.number().positive().max(500).optional(),
  /** For a dry blend kept as one item: what it is made of, shares that sum to 1. */
  blendOf: z.array(blendPartSchema).max(12).optional(),
  /** What is known of a bought blend without a label. */
  characterised: z.object({ drainTest: z.boolean() }).optional(),
  allergens: z.array(z.enum(ALLERGENS)).default([]),
  /** False: the cook could not say; printed as "allergens not stated". */
  allergensStated: z.boolean().default(true),
  diets: z.array(z.enum(DIETS)).default([]),
  /** One pack as bought: a can, a bag. Price in the cook's own money. */
  pack: z
    .object({ word: z.string().max(80), massG: z.number().positive(), price: z.number().min(0).optional() })
    .optional(),
  /** Share lost in trimming and peeling, of what is bought. */
  trim: z.number().min(0).max(0.95, 'More than 95 % trimmed away leaves nothing.').default(0),
  piece: pieceSchema.optional(),
  uptake: uptakeSchema.optional(),
  /** Grams in stock; absent when not kept. */
  stockG: z.number().min(0).optional(),
  /** Where the numbers come from. */
  source: z.enum(['table', 'house', 'cook']).default('cook'),
});

/** An entry of an earlier release: a piece was its weight ready to use, and allergens of a cook's own were never asked for. */
function upgraded(entry: unknown): unknown {
  if (typeof entry !== 'object' || entry === null) return entry;
  const { pieceG, ...e } = entry as Record<string, unknown>;
  const own =
    typeof e.id === 'string' && e.id.startsWith('own-') && Array.isArray(e.allergens) && e.allergens.length === 0;
  return {
    ...e,
    ...(typeof pieceG === 'number' && e.piece === undefined
      ? { piece: { word: 'piece', massG: pieceG, fromG: pieceG, toG: pieceG } }
      : {}),
    ...(own && e.allergensStated === undefined ? { allergensStated: false } : {}),
  };
}

export const ingredientSchema = z.preprocess(upgraded, ingredientFields);
export type Ingredient = z.infer<typeof ingredientSchema>;
