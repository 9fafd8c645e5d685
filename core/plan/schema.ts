import { z } from 'zod';
import { CUT_SHAPES, SURROUNDINGS } from '../units';
import { ingredientSchema } from '../larder';
import { MOST_VESSELS, vesselSchema, steamerSchema, hobSchema, fryingPanSchema, HEATS } from '../kitchen';
import { idSchema, LONGEST_ID, lineSchema, massG, seconds } from './lineSchema';
import { ACCOMPANIMENT_METHODS, COLOURS, PLAN_VERSION, SCHOOL_QUESTIONS } from './kinds';
import { withLineIds } from './lineIds';

const nameOf = (what: string) => z.string().trim().min(1, `Give the ${what} a name.`).max(120);

export const batterSchema = z.object({
  id: z.string().min(1).max(40),
  name: nameOf('batter'),
  colour: z.enum(COLOURS).default('porcelain'),
  lines: z.array(lineSchema).max(60, 'Sixty lines in one batter is the most.'),
  /** Liquid wanted in all; water tops up what juice and soaking liquids leave open. Absent: no top-up line. */
  wantedLiquidG: massG('The wanted liquid').optional(),
  /** Clear liquid to pour off after resting and to replace by fresh water, g. */
  pouredOffG: massG('The poured-off liquid').optional(),
});
export type Batter = z.infer<typeof batterSchema>;

/** How much of an accompaniment is made: a head, a piece, for the batch, or so many packs of its first line. */
export const accompanimentAmountSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('head'), grams: massG('The amount a head') }),
  z.object({ by: z.literal('piece'), grams: massG('The amount a piece') }),
  z.object({ by: z.literal('batch'), grams: massG('The amount for the batch') }),
  z.object({ by: z.literal('pack'), packs: z.number().min(0).max(100, 'More than 100 packs: check the number.') }),
]);
export const accompanimentLineSchema = z.object({
  id: z.string().max(80).default(''),
  ingredient: idSchema,
  parts: z.number().min(0).max(1000),
  saltPer15Ml: z.number().min(0).max(6).optional(),
});
export const accompanimentSchema = z.object({
  id: z.string().min(1).max(40),
  name: nameOf('sauce or topping'),
  role: z.enum(['sauce', 'topping']).default('sauce'),
  amount: accompanimentAmountSchema.default({ by: 'head', grams: 20 }),
  lines: z.array(accompanimentLineSchema).max(20),
  method: z.enum(ACCOMPANIMENT_METHODS).default('stir'),
  /** An oil or juice made earlier that goes into this one: another accompaniment, and the share of it. */
  uses: z.object({ accompaniment: idSchema, share: z.number().min(0).max(1) }).optional(),
  /** Seconds on the ring for what is simmered, thickened or fried. */
  timeS: seconds('The cooking time').optional(),
});
export type Accompaniment = z.infer<typeof accompanimentSchema>;

/** One of an assortment of fillings: how many, what is in each, how done it must be, and for whom. */
export const fillingSchema = z.object({
  id: z.string().min(1).max(40),
  name: nameOf('filling'),
  /** How many pieces take it; absent: all that no other filling takes. */
  count: z.int().min(0).max(500).optional(),
  /** Its lines for all of those pieces together. */
  lines: z.array(lineSchema).max(40),
  /** `ready` goes in as it is; `raw` is cooked in the sheet until it is safe. */
  doneness: z.enum(['ready', 'raw']).default('ready'),
  /** What its middle must reach, °C, where it goes in raw. */
  safeC: z.number().min(40).max(100).optional(),
  eater: z.string().max(120).optional(),
});
export type Filling = z.infer<typeof fillingSchema>;

/** A colour of one split batter: its name, how it is drawn, and what colours it. */
export const colourSchema = z.object({
  id: z.string().min(1).max(40),
  name: nameOf('colour'),
  colour: z.enum(COLOURS),
  lines: z.array(lineSchema).max(10).default([]),
});

export const coolingStageSchema = z.object({
  where: z.enum(SURROUNDINGS),
  timeS: seconds('A cooling stage'),
  /** Cut into so many portions, laid apart, before this stage. */
  pieces: z
    .int('Give a whole number of portions.')
    .min(2, 'Two portions is the least.')
    .max(100, 'More than 100 portions is crumbs.')
    .optional(),
});
export type CoolingStage = z.infer<typeof coolingStageSchema>;

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
  pans: z.int().min(1).max(4).default(1),
  dip: z.enum(['dry', 'egg']).default('dry'),
  lid: z.boolean().default(false),
});

/** What the cook found at a node of the flow, by slot: `{ "wilt:radish": { "juiceG": 310 } }`. Kept when its node vanishes. */
export const readingsSchema = z.record(
  z.string().min(1).max(120),
  z.record(z.string().min(1).max(40), z.number('A reading is a number.')),
);
export type Readings = z.infer<typeof readingsSchema>;

/** Ingredients inside one plan, and things noted of its nodes: more than any batch has. */
const MOST_INLINE = 200;
const MOST_NOTED = 500;
const notTooMany = (noted: object): boolean => Object.keys(noted).length <= MOST_NOTED;
const TOO_MANY = `${MOST_NOTED} things noted of one batch is the most.`;

const planFields = z.object({
  format: z.literal('idle-ladle/plan'),
  version: z.literal(PLAN_VERSION),
  name: z.string().trim().min(1, 'Give the plan a name.').max(200, 'Keep the name under 200 letters.'),
  family: idSchema,
  schools: z.partialRecord(z.enum(SCHOOL_QUESTIONS), z.string().max(LONGEST_ID)).default({}),
  batters: z.array(batterSchema).min(1, 'A plan needs at least one batter.').max(8),
  addIns: z.array(lineSchema).max(40).default([]),
  fillings: z.array(fillingSchema).max(12).default([]),
  accompaniments: z.array(accompanimentSchema).max(10).default([]),
  /** Ingredients carried inside the plan, so that one file is enough. */
  ingredients: z
    .array(ingredientSchema)
    .max(MOST_INLINE, `${MOST_INLINE} ingredients inside one plan is the most.`)
    .default([]),
  readings: readingsSchema.refine(notTooMany, TOO_MANY).default({}),
  /** The cook's own waits by node, s: resting, soaking, standing. */
  waits: z.record(z.string().min(1).max(120), seconds('A wait')).refine(notTooMany, TOO_MANY).default({}),
  vessel: z.union([idSchema, vesselSchema]).optional(),
  vesselCount: z.int('Give a whole number of pans.').min(1, 'At least one pan.').max(MOST_VESSELS).default(1),
  /** Further vessels for the same batter, each with its own grams; `vessel` takes what is left. */
  alsoVessels: z
    .array(
      z.object({
        id: idSchema,
        vessel: z.union([idSchema, vesselSchema]),
        count: z.int().min(1).max(MOST_VESSELS).default(1),
        massEachG: massG('The batter in each'),
      }),
    )
    .max(6)
    .default([]),
  steamer: z.union([idSchema, steamerSchema]).optional(),
  hob: z.union([idSchema, hobSchema]).optional(),
  /** Ring of that hob it steams on; absent: the first. */
  ring: z.string().max(80).optional(),
  fryingPan: z.union([idSchema, fryingPanSchema]).optional(),
  heat: z.enum(HEATS).default('medium'),
  /** Changes of heat while it steams, in order; the last one holds. Absent: `heat` throughout. */
  heatPhases: z
    .array(z.object({ heat: z.enum([...HEATS, 'off']), timeS: seconds('A phase of heat').optional() }))
    .max(6)
    .default([]),
  /** How a pressure pot is let go: on its own, the cake boiling on inside, or at once. */
  pressureRelease: z.enum(['slow', 'quick']).default('slow'),
  /** Where a yeast batter is kept, and for how long if not by the look. */
  proving: z
    .object({
      where: z.enum(['room', 'warm-box', 'oven-lamp', 'fridge']).default('room'),
      tempC: z.number().min(0).max(60).optional(),
      timeS: seconds('Proving').optional(),
    })
    .optional(),
  /** The bowl it is mixed in, where its heat should count. */
  bowl: z.object({ material: z.enum(['steel', 'ceramic']), massG: massG('The bowl').optional() }).optional(),
  /** Paper sling or sheet in the pan. */
  paper: z.boolean().default(false),
  /** How it is wrapped while it keeps. */
  wrap: z.enum(['film', 'open', 'box']).default('film'),
  /** For one batter split evenly into colours, poured by turns. */
  colours: z.array(colourSchema).max(8).default([]),
  /** For layered families: how many layers in all. */
  layers: z.int().min(1).max(30, 'Thirty layers is the most this can stack.').optional(),
  cooling: z.array(coolingStageSchema).max(8).default([]),
  cut: cutSchema.optional(),
  sear: searSchema.optional(),
  guests: z.int().min(1).max(500).default(8),
  role: z.enum(['taste', 'side', 'breakfast', 'meal']).default('side'),
  notes: z.string().max(4000).default(''),
});
export type Plan = z.infer<typeof planFields>;

/**
 * A cake plan: plain data. Everything the application says about it is computed from this and the kitchen.
 * Lines without an id are given one from their ingredient.
 */
export const planSchema = planFields.transform(withLineIds);

/** A plan as it may be written in a file: what has a default can be left out. */
export type PlanInput = z.input<typeof planSchema>;
