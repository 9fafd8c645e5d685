import { z } from 'zod';
import { ingredientSchema } from '../larder';
import { vesselSchema, steamerSchema, hobSchema, fryingPanSchema, HEATS } from '../kitchen';

const amount = (what: string, max: number, unit: string) =>
  z
    .number({
      error: (issue) =>
        issue.input === undefined ? `${what} is missing; enter a number.` : `${what} must be a number, in ${unit}.`,
    })
    .min(0, `${what} cannot be below zero.`)
    .max(max, `${what} above ${max} ${unit} is more than this can plan; check the number.`);
export const massG = (what = 'The amount') => amount(what, 50_000, 'g');
const minutes = (what: string) => amount(what, 72 * 3600, 's');

/** How an ingredient goes in. Vegetable treatments move water; the rest say where it belongs in the steps. */
export const TREATMENTS = [
  'as-is',
  'boiling',
  'syrup',
  'squeezed-hard',
  'squeezed-by-hand',
  'drained',
  'wilted',
  'parboiled',
  'fried',
  'mashed',
  'soaked',
  'soaked-alkali',
  'soaking-liquid',
  'roux',
  'sugared',
  'bloomed',
  'to-the-mark',
] as const;
export type Treatment = (typeof TREATMENTS)[number];

export const lineSchema = z.object({
  /** Id in the larder, or of an inline ingredient of this plan. */
  ingredient: z.string().min(1, 'Choose an ingredient.'),
  massG: massG(),
  treatment: z.enum(TREATMENTS).default('as-is'),
  /** The cook's weighing of what the treatment gave (juice out, water taken up), g. Replaces the estimate. */
  weighedG: massG('The weighed juice').optional(),
  /** Salt strewn on the vegetable to draw it, g. */
  drawSaltG: massG('The drawing salt').optional(),
  /** Minutes of drawing, as seconds; default 30 min. */
  drawS: minutes('The drawing time').optional(),
  /** Share kept back for the top, 0–1. */
  keptBack: z.number().min(0).max(0.6, 'Keep back at most 60 %.').optional(),
  /** Share of the mass that takes this treatment, the rest is as-is (roux, boiling). */
  share: z.number().min(0).max(1).optional(),
  /** Temperature as it goes in, °C, where it is not the room's. */
  tempC: z.number().min(-5).max(130).optional(),
});
export type Line = z.infer<typeof lineSchema>;

export const COLOURS = ['porcelain', 'pandan', 'pea', 'turmeric', 'rose', 'bean'] as const;

export const batterSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1, 'Give the batter a name.').max(120),
  colour: z.enum(COLOURS).default('porcelain'),
  lines: z.array(lineSchema).max(60, 'Sixty lines in one batter is the most.'),
  /** Liquid wanted in all; water tops up what juice and soaking liquids leave open. Absent: no top-up line. */
  wantedLiquidG: massG('The wanted liquid').optional(),
  /** Clear liquid poured off after resting and replaced by fresh water, g. */
  pouredOffG: massG('The poured-off liquid').optional(),
});
export type Batter = z.infer<typeof batterSchema>;

export const sauceLineSchema = z.object({
  ingredient: z.string().min(1),
  parts: z.number().min(0).max(1000),
  saltPer15Ml: z.number().min(0).max(6).optional(),
});
export const sauceSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1).max(120),
  role: z.enum(['sauce', 'topping']).default('sauce'),
  gramsAHead: massG('Sauce a head').default(20),
  lines: z.array(sauceLineSchema).max(20),
  saltPct: z.number().min(0).max(25).optional(),
  sugarPct: z.number().min(0).max(60).optional(),
});
export type Sauce = z.infer<typeof sauceSchema>;

export const SURROUNDINGS = ['lid-ajar', 'counter', 'fan', 'ice-bath', 'fridge', 'freezer'] as const;
export const coolingStageSchema = z.object({ where: z.enum(SURROUNDINGS), timeS: minutes('A cooling stage') });
export type CoolingStage = z.infer<typeof coolingStageSchema>;

export const SCHOOL_QUESTIONS = [
  'juice',
  'intoPan',
  'dripGuard',
  'rest',
  'extraStarch',
  'yeast',
  'release',
  'lining',
  'cooling',
  'serve',
] as const;
export type SchoolQuestion = (typeof SCHOOL_QUESTIONS)[number];

export const CUT_SHAPES = [
  'squares',
  'rectangles',
  'diamonds',
  'batons',
  'wedges',
  'coins',
  'folded',
  'whole',
] as const;
export const cutSchema = z.object({
  shape: z.enum(CUT_SHAPES).default('squares'),
  by: z.discriminatedUnion('kind', [
    z.object({
      kind: z.literal('count'),
      pieces: z.int('Give a whole number of pieces.').min(1).max(500, 'More than 500 pieces is crumbs.'),
    }),
    z.object({
      kind: z.literal('size'),
      sizeM: z.number().positive('A piece needs a size.').max(0.9),
      otherM: z.number().positive('A piece needs a size.').max(0.9).optional(),
    }),
    z.object({ kind: z.literal('grams'), grams: z.number().positive('A piece needs a weight.').max(5000) }),
  ]),
});
export const searSchema = z.object({
  dial: z.enum(['low', 'medium-low', 'medium', 'medium-high']).default('medium'),
  colour: z.enum(['pale', 'golden', 'deep']).default('golden'),
  thicknessM: z.number().min(0.004, 'Under 4 mm a slice falls apart in the pan.').max(0.08).optional(),
  startC: z.number().min(-2).max(80).default(5),
  panId: z.string().optional(),
  pans: z.int().min(1).max(4).default(1),
  dip: z.enum(['dry', 'egg']).default('dry'),
  lid: z.boolean().default(false),
});

export const PLAN_VERSION = 1;

/** A cake plan: plain data. Everything the application says about it is computed from this and the kitchen. */
export const planSchema = z.object({
  format: z.literal('idle-ladle/plan'),
  version: z.literal(PLAN_VERSION),
  name: z.string().trim().min(1, 'Give the plan a name.').max(200, 'Keep the name under 200 letters.'),
  family: z.string().min(1),
  schools: z.partialRecord(z.enum(SCHOOL_QUESTIONS), z.string()).default({}),
  batters: z.array(batterSchema).min(1, 'A plan needs at least one batter.').max(8),
  addIns: z.array(lineSchema).max(40).default([]),
  sauces: z.array(sauceSchema).max(10).default([]),
  /** Ingredients carried inside the plan, so that one file is enough. */
  ingredients: z.array(ingredientSchema).default([]),
  vessel: z.union([z.string(), vesselSchema]).optional(),
  vesselCount: z.int('Give a whole number of pans.').min(1, 'At least one pan.').max(60).default(1),
  steamer: z.union([z.string(), steamerSchema]).optional(),
  hob: z.union([z.string(), hobSchema]).optional(),
  fryingPan: z.union([z.string(), fryingPanSchema]).optional(),
  heat: z.enum(HEATS).default('medium'),
  /** Batter temperature as it is poured, °C, measured by the cook; absent: computed from the school. */
  pourC: z
    .number('The pouring temperature must be a number, in °C.')
    .min(0, 'Batter below 0 °C is ice.')
    .max(100, 'Batter above 100 °C would boil; check the reading.')
    .optional(),
  /** Paper sling or sheet in the pan. */
  paper: z.boolean().default(false),
  /** For one batter split evenly into colours, poured by turns. */
  colours: z.array(z.enum(COLOURS)).max(8).default([]),
  /** For layered families: how many layers in all. */
  layers: z.int().min(1).max(30, 'Thirty layers is the most this can stack.').optional(),
  cooling: z.array(coolingStageSchema).max(8).default([]),
  cut: cutSchema.optional(),
  sear: searSchema.optional(),
  guests: z.int().min(1).max(500).default(8),
  role: z.enum(['taste', 'side', 'breakfast', 'meal']).default('side'),
  notes: z.string().max(4000).default(''),
});
export type Plan = z.infer<typeof planSchema>;
