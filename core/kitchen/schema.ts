import { z } from 'zod';
import { CUP_ML, TABLESPOON_ML } from '../units';
import { ingredientSchema } from '../larder';

const name = z.string().trim().min(1, 'Give it a name.').max(160, 'Keep the name under 160 letters.');
const metres = (min: number, max: number, what: string) =>
  z
    .number(`${what}: enter a number.`)
    .min(min, `${what}: use at least ${min * 1000} mm.`)
    .max(max, `${what}: use at most ${max * 1000} mm.`);

export const WALL_MATERIALS = [
  'steel',
  'aluminium',
  'foil',
  'ceramic',
  'glass',
  'plastic',
  'silicone',
  'bamboo',
] as const;
export type WallMaterial = (typeof WALL_MATERIALS)[number];

const vesselCommon = {
  id: z.string().min(1).max(80),
  name,
  material: z.enum(WALL_MATERIALS),
  heightM: metres(0.004, 0.4, 'Inside height'),
  count: z.int().min(1).max(200).default(1),
  provenance: z.enum(['default', 'measured']).default('measured'),
};

/** Inside sizes. `baseDiameterM`/`baseLengthM` below the top ones make a taper. */
export const vesselSchema = z.discriminatedUnion('shape', [
  z.object({
    ...vesselCommon,
    shape: z.literal('round'),
    diameterM: metres(0.02, 0.8, 'Inside diameter'),
    baseDiameterM: metres(0.005, 0.8, 'Base diameter').optional(),
  }),
  z.object({
    ...vesselCommon,
    shape: z.literal('rectangular'),
    lengthM: metres(0.02, 0.9, 'Inside length'),
    widthM: metres(0.02, 0.9, 'Inside width'),
    baseLengthM: metres(0.01, 0.9, 'Base length').optional(),
    baseWidthM: metres(0.01, 0.9, 'Base width').optional(),
    cornerRadiusM: z.number().min(0).max(0.2).default(0),
    loaf: z.boolean().default(false),
  }),
  z.object({ ...vesselCommon, shape: z.literal('bowl'), diameterM: metres(0.02, 0.6, 'Rim diameter') }),
  z.object({
    ...vesselCommon,
    shape: z.literal('dish'),
    diameterM: metres(0.03, 0.6, 'Rim diameter'),
    baseDiameterM: metres(0.01, 0.6, 'Flat base diameter'),
  }),
]);
export type Vessel = z.infer<typeof vesselSchema>;

export const HEATS = ['gentle', 'medium', 'strong'] as const;
export type Heat = (typeof HEATS)[number];
export const LIDS = ['tight', 'cloth', 'woven'] as const;

/** What was learned of one heat setting of a steamer: median factor on the model's time, with its 80 % interval. */
export const learnedFactorSchema = z.object({
  median: z.number().positive(),
  low: z.number().positive(),
  high: z.number().positive(),
  checks: z.int().min(0),
});
export type LearnedFactor = z.infer<typeof learnedFactorSchema>;

export const steamerSchema = z.object({
  id: z.string().min(1).max(80),
  name,
  tiers: z.int().min(1).max(6).default(1),
  innerDiameterM: metres(0.08, 0.9, 'Inside diameter'),
  clearHeightM: metres(0.02, 0.5, 'Clear height'),
  lid: z.enum(LIDS).default('tight'),
  potDiameterM: metres(0.08, 0.9, 'Pot diameter'),
  waterDepthM: metres(0.01, 0.4, 'Water depth below the rack'),
  pressureTempC: z.number().min(105).max(116, 'A pressure pot runs at 110 to 116 °C.').optional(),
  learned: z.partialRecord(z.enum(HEATS), learnedFactorSchema).default({}),
});
export type Steamer = z.infer<typeof steamerSchema>;

export const hobSchema = z.object({
  id: z.string().min(1).max(80),
  name,
  rings: z.int().min(1).max(8).default(4),
  /** Net power into water per heat word, W, from a kettle test. */
  measuredPowerW: z
    .partialRecord(z.enum(HEATS), z.number().min(50, 'A ring under 50 W will not boil a pot.').max(6000))
    .default({}),
});
export type Hob = z.infer<typeof hobSchema>;

export const fryingPanSchema = z.object({
  id: z.string().min(1).max(80),
  name,
  shape: z.enum(['round', 'rectangular']).default('round'),
  diameterM: metres(0.08, 0.6, 'Pan base'),
  widthM: metres(0.08, 0.6, 'Pan width').optional(),
});
export type FryingPan = z.infer<typeof fryingPanSchema>;

export const KITCHEN_VERSION = 1;

const kitchenFields = z.object({
  format: z.literal('idle-ladle/kitchen').default('idle-ladle/kitchen'),
  version: z.literal(KITCHEN_VERSION).default(KITCHEN_VERSION),
  name: z.string().max(160).default('Kitchen'),
  altitudeM: z.number().min(-430).max(6000, 'Above 6000 m the models do not hold; enter a lower altitude.').default(0),
  roomC: z.number().min(-5).max(45, 'A room above 45 °C is outside the models.').default(21),
  fridgeC: z.number().min(-2).max(12, 'A fridge above 12 °C does not chill safely.').default(4),
  cup: z.enum(Object.keys(CUP_ML) as [keyof typeof CUP_ML, ...(keyof typeof CUP_ML)[]]).default('metric'),
  tablespoon: z
    .enum(Object.keys(TABLESPOON_ML) as [keyof typeof TABLESPOON_ML, ...(keyof typeof TABLESPOON_ML)[]])
    .default('metric'),
  /** Grams of this cook's own filled cup, by ingredient id. */
  myCups: z.record(z.string(), z.number().positive()).default({}),
  ingredients: z.array(ingredientSchema).default([]),
  vessels: z.array(vesselSchema).default([]),
  steamers: z.array(steamerSchema).default([]),
  hobs: z.array(hobSchema).default([]),
  fryingPans: z.array(fryingPanSchema).default([]),
  /** Tasted minus predicted per texture axis and family, shrunken, from past batches. */
  textureOffsets: z.record(z.string(), z.record(z.string(), z.number())).default({}),
});

const coldFridge = (k: { fridgeC: number; roomC: number }, ctx: z.RefinementCtx) => {
  if (k.fridgeC >= k.roomC)
    ctx.addIssue({
      code: 'custom',
      path: ['fridgeC'],
      message: `The fridge (${k.fridgeC} °C) must be colder than the room (${k.roomC} °C).`,
    });
};

/** The kitchen a plan is made in: what it holds, what the cook measured, and what batches have taught. */
export const kitchenSchema = kitchenFields.superRefine(coldFridge);
/** The kitchen's own settings: what is not a thing on the rack. */
export const kitchenSettingsSchema = kitchenFields
  .pick({
    name: true,
    altitudeM: true,
    roomC: true,
    fridgeC: true,
    cup: true,
    tablespoon: true,
    myCups: true,
    textureOffsets: true,
  })
  .superRefine(coldFridge);
export type Kitchen = z.infer<typeof kitchenSchema>;
