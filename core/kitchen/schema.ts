import { z } from 'zod';
import { CUP_ML, LENGTH_UNITS, MASS_UNITS, TABLESPOON_ML, TEMP_UNITS, Z80 } from '../units';
import { ingredientSchema } from '../larder';
import { applianceSchema, fryingPanSchema, potSchema, scoopSchema } from './gearSchema';
import { hobSchema } from './hobSchema';
import { LIDS, NOT_LEARNED } from './kinds';
import { timeFactorsSchema } from './timeFactorsSchema';
import { metres, nameSchema, vesselSchema } from './vesselSchema';

export const steamerSchema = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  tiers: z.int().min(1).max(6).default(1),
  innerDiameterM: metres(0.08, 0.9, 'Inside diameter'),
  clearHeightM: metres(0.02, 0.5, 'Clear height'),
  lid: z.enum(LIDS).default('tight'),
  potDiameterM: metres(0.08, 0.9, 'Pot diameter'),
  waterDepthM: metres(0.01, 0.4, 'Water depth below the rack'),
  pressureTempC: z.number().min(105).max(116, 'A pressure pot runs at 110 to 116 °C.').optional(),
});
export type Steamer = z.infer<typeof steamerSchema>;

export const KITCHEN_VERSION = 2;
/** Batches that learning can be told to leave out one by one; beyond that all before a moment are. */
export const MOST_FORGOTTEN = 20_000;

const kitchenFields = z.object({
  format: z.literal('idle-ladle/kitchen').default('idle-ladle/kitchen'),
  /** Version 1, whose hobs had no rings of their own, is read too. */
  version: z
    .union([z.literal(1), z.literal(KITCHEN_VERSION)])
    .default(KITCHEN_VERSION)
    .transform((): typeof KITCHEN_VERSION => KITCHEN_VERSION),
  name: z.string().max(160).default('Kitchen'),
  altitudeM: z.number().min(-430).max(6000, 'Above 6000 m the models do not hold; enter a lower altitude.').default(0),
  roomC: z.number().min(-5).max(45, 'A room above 45 °C is outside the models.').default(21),
  fridgeC: z.number().min(-2).max(12, 'A fridge above 12 °C does not chill safely.').default(4),
  cup: z.enum(Object.keys(CUP_ML) as [keyof typeof CUP_ML, ...(keyof typeof CUP_ML)[]]).default('metric'),
  tablespoon: z
    .enum(Object.keys(TABLESPOON_ML) as [keyof typeof TABLESPOON_ML, ...(keyof typeof TABLESPOON_ML)[]])
    .default('metric'),
  /** What the cook reads and types in; documents keep g, m and °C. */
  units: z
    .object({
      mass: z.enum(MASS_UNITS).default('g'),
      length: z.enum(LENGTH_UNITS).default('mm'),
      temp: z.enum(TEMP_UNITS).default('C'),
    })
    .default({ mass: 'g', length: 'mm', temp: 'C' }),
  /** Grams of this cook's own filled cup, by ingredient id. */
  myCups: z.record(z.string(), z.number().positive()).default({}),
  ingredients: z.array(ingredientSchema).default([]),
  vessels: z.array(vesselSchema).default([]),
  steamers: z.array(steamerSchema).default([]),
  hobs: z.array(hobSchema).default([]),
  fryingPans: z.array(fryingPanSchema).default([]),
  pots: z.array(potSchema).default([]),
  appliances: z.array(applianceSchema).default([]),
  scoops: z.array(scoopSchema).default([]),
  /** Tasted minus predicted per texture axis and family, shrunken, from past batches. */
  textureOffsets: z.record(z.string(), z.record(z.string(), z.number())).default({}),
  /** Factors on the model's times, from past batches. */
  timeFactors: timeFactorsSchema.default({ modelVersion: NOT_LEARNED, effects: [], covariance: [] }),
  /** What learning leaves out: all that was cooked before a moment, ISO 8601, and single batches by id. */
  forgotten: z
    .object({
      before: z.iso.datetime().optional(),
      batches: z.array(z.string().max(80)).max(MOST_FORGOTTEN).default([]),
    })
    .default({ batches: [] }),
});

/** A kitchen of an earlier release kept a factor for each heat of a steamer, each alone. */
function upgradedFactors(doc: unknown): unknown {
  if (typeof doc !== 'object' || doc === null || 'timeFactors' in doc) return doc;
  const { steamers } = doc as { steamers?: unknown };
  if (!Array.isArray(steamers)) return doc;
  const found = (steamers as { id?: unknown; learned?: unknown }[]).flatMap(({ id, learned }) =>
    typeof id === 'string' && typeof learned === 'object' && learned !== null
      ? Object.entries(
          learned as Record<string, { median?: number; low?: number; high?: number; checks?: number }>,
        ).flatMap(([heat, f]) =>
          f.median !== undefined && f.median > 0
            ? [
                {
                  effect: { kind: 'heat', key: `${id} ${heat}`, mean: Math.log(f.median), batches: f.checks ?? 1 },
                  sigma: Math.log((f.high ?? f.median) / (f.low ?? f.median)) / (2 * Z80),
                },
              ]
            : [],
        )
      : [],
  );
  if (found.length === 0) return doc;
  return {
    ...doc,
    timeFactors: {
      effects: found.map((f) => f.effect),
      covariance: found.flatMap((f, i) => Array.from({ length: i + 1 }, (_, j) => (i === j ? f.sigma ** 2 : 0))),
    },
  };
}

const coldFridge = (k: { fridgeC: number; roomC: number }, ctx: z.RefinementCtx) => {
  if (k.fridgeC >= k.roomC)
    ctx.addIssue({
      code: 'custom',
      path: ['fridgeC'],
      message: `The fridge (${k.fridgeC} °C) must be colder than the room (${k.roomC} °C).`,
    });
};

/** The kitchen a plan is made in: what it holds, what the cook measured, and what batches have taught. */
export const kitchenSchema = z.preprocess(upgradedFactors, kitchenFields.superRefine(coldFridge));
/** The kitchen's own settings: what is not a thing on the rack. */
export const kitchenSettingsSchema = kitchenFields
  .pick({
    name: true,
    altitudeM: true,
    roomC: true,
    fridgeC: true,
    cup: true,
    tablespoon: true,
    units: true,
    myCups: true,
    textureOffsets: true,
    timeFactors: true,
    forgotten: true,
  })
  .superRefine(coldFridge);
export type Kitchen = z.infer<typeof kitchenSchema>;

/** A kitchen with nothing on its rack and the usual settings. */
export const emptyKitchen = (): Kitchen => kitchenSchema.parse({});
