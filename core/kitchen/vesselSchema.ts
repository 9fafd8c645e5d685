import { z } from 'zod';
import { MOST_VESSELS, WALL_MATERIALS } from './kinds';

export const nameSchema = z.string().trim().min(1, 'Give it a name.').max(160, 'Keep the name under 160 letters.');
/** An inside length, m, told in mm where it cannot be. */
export const metres = (min: number, max: number, what: string) =>
  z
    .number(`${what}: enter a number.`)
    .min(min, `${what}: use at least ${min * 1000} mm.`)
    .max(max, `${what}: use at most ${max * 1000} mm.`);

const vesselCommon = {
  id: z.string().min(1).max(80),
  name: nameSchema,
  material: z.enum(WALL_MATERIALS),
  heightM: metres(0.004, 0.4, 'Inside height'),
  count: z.int().min(1).max(MOST_VESSELS).default(1),
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
