import { z } from 'zod';

export const STARCH_KINDS = [
  'rice',
  'glutinous',
  'tapioca',
  'potato',
  'maize',
  'wheat',
  'sweetPotato',
  'mungBean',
  'waterChestnut',
] as const;
export type StarchKind = (typeof STARCH_KINDS)[number];

export const INGREDIENT_KINDS = [
  'flour',
  'starch',
  'grain',
  'liquid',
  'coconut',
  'sugar',
  'salt',
  'fat',
  'vegetable',
  'fruit',
  'protein',
  'raising',
  'alkali',
  'seasoning',
] as const;

export const ALLERGENS = [
  'crustacean',
  'mollusc',
  'fish',
  'egg',
  'peanut',
  'tree nut',
  'sesame',
  'soya',
  'wheat/gluten',
  'milk',
  'sulphites',
] as const;
export type Allergen = (typeof ALLERGENS)[number];

export const DIETS = ['vegetarian', 'vegan', 'no pork'] as const;

const share = z.number().min(0).max(100);

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
    const sum = c.water + c.starch + c.sugars + c.fat + c.protein + c.fibreAsh;
    if (sum < 98 || sum > 102) {
      ctx.addIssue({
        code: 'custom',
        message: `The parts add up to ${sum.toFixed(1)} g in 100 g; make them add up to 100, give or take 2.`,
      });
    }
  });
export type Composition = z.infer<typeof compositionSchema>;

export const ingredientSchema = z.object({
  id: z.string().min(1).max(80),
  name: z.string().min(1, 'Give the ingredient a name.').max(160),
  kind: z.enum(INGREDIENT_KINDS),
  per100: compositionSchema,
  /** Spooned bulk density, g/ml. */
  bulkDensityGPerMl: z.number().positive().max(5),
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
  allergens: z.array(z.enum(ALLERGENS)).default([]),
  diets: z.array(z.enum(DIETS)).default([]),
  /** One pack as bought: a can, a bag. Price in the cook's own money. */
  pack: z.object({ word: z.string(), massG: z.number().positive(), price: z.number().min(0).optional() }).optional(),
  /** Grams of one piece ("one radish"), where the thing is bought by the piece. */
  pieceG: z.number().positive().optional(),
  /** Grams in stock; absent when not kept. */
  stockG: z.number().min(0).optional(),
  /** Where the numbers come from. */
  source: z.enum(['table', 'house', 'cook']).default('cook'),
});
export type Ingredient = z.infer<typeof ingredientSchema>;

/** Flours, starches and grains: what hydration is reckoned on. */
export const isDryBlend = (i: Ingredient): boolean => i.kind === 'flour' || i.kind === 'starch' || i.kind === 'grain';
/** What counts whole in liquid : dry. */
export const isLiquid = (i: Ingredient): boolean => i.kind === 'liquid';
