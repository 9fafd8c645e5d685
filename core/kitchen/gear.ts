import { z } from 'zod';
import { metres, nameSchema } from './vessel';

/** What a pot, blender or pan is made of, where it meets food. */
export const GEAR_MATERIALS = ['steel', 'aluminium', 'enamel', 'cast iron', 'ceramic', 'glass', 'plastic'] as const;
/** Materials that lime eats, of gear and of vessels. */
export const LIME_EATS = ['aluminium', 'foil'] as const;
export const isEatenByLime = (material: string): boolean => (LIME_EATS as readonly string[]).includes(material);
export type GearMaterial = (typeof GEAR_MATERIALS)[number];

const capacityMl = z
  .number('Capacity must be a number, in ml.')
  .min(50, 'Use at least 50 ml.')
  .max(60_000, 'Over 60 l is more than a kitchen pot.');

export const POT_KINDS = ['pot', 'wok', 'saucepan'] as const;
export const potSchema = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  kind: z.enum(POT_KINDS).default('pot'),
  capacityMl,
  material: z.enum(GEAR_MATERIALS).default('steel'),
});
export type Pot = z.infer<typeof potSchema>;

export const APPLIANCE_KINDS = ['blender', 'processor', 'microwave', 'grinder'] as const;
export const applianceSchema = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  kind: z.enum(APPLIANCE_KINDS).default('blender'),
  capacityMl,
  material: z.enum(GEAR_MATERIALS).default('glass'),
});
export type Appliance = z.infer<typeof applianceSchema>;

export const COATINGS = ['non-stick', 'seasoned', 'bare'] as const;
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

/** Area of a pan's base, m². */
export const panAreaM2 = (p: FryingPan): number =>
  p.shape === 'rectangular' ? p.diameterM * (p.widthM ?? p.diameterM) : (Math.PI / 4) * p.diameterM ** 2;

/** A spoon, ladle or cup of the cook's own, by which batter is filled. */
export const scoopSchema = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  ml: z.number('What it holds must be a number, in ml.').min(1, 'Use at least 1 ml.').max(2000),
});
export type Scoop = z.infer<typeof scoopSchema>;
