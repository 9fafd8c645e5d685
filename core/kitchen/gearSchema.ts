import { z } from 'zod';
import { APPLIANCE_KINDS, COATINGS, GEAR_MATERIALS, POT_KINDS } from './kinds';
import { metres, nameSchema } from './vesselSchema';

const capacityMl = z
  .number('Capacity must be a number, in ml.')
  .min(50, 'Use at least 50 ml.')
  .max(60_000, 'Over 60 l is more than a kitchen pot.');

export const potSchema = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  kind: z.enum(POT_KINDS).default('pot'),
  capacityMl,
  material: z.enum(GEAR_MATERIALS).default('steel'),
});
export type Pot = z.infer<typeof potSchema>;

export const applianceSchema = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  kind: z.enum(APPLIANCE_KINDS).default('blender'),
  capacityMl,
  material: z.enum(GEAR_MATERIALS).default('glass'),
});
export type Appliance = z.infer<typeof applianceSchema>;

export const fryingPanSchema = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  shape: z.enum(['round', 'rectangular']).default('round'),
  diameterM: metres(0.08, 0.6, 'Pan base'),
  widthM: metres(0.08, 0.6, 'Pan width').optional(),
  coating: z.enum(COATINGS).default('bare'),
  material: z.enum(GEAR_MATERIALS).default('steel'),
  /** It has a lid: films steam under it. */
  lid: z.boolean().default(true),
});
export type FryingPan = z.infer<typeof fryingPanSchema>;

/** A spoon, ladle or cup of the cook's own, by which batter is filled. */
export const scoopSchema = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  ml: z.number('What it holds must be a number, in ml.').min(1, 'Use at least 1 ml.').max(2000),
});
export type Scoop = z.infer<typeof scoopSchema>;
