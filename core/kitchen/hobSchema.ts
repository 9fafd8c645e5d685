import { z } from 'zod';
import { HEATS, RING_KINDS } from './kinds';
import { nameSchema } from './vesselSchema';

const power = z
  .number()
  .min(50, 'A ring under 50 W will not boil a pot.')
  .max(6000, 'No kitchen ring gives over 6000 W.');

/** One ring: its name, kind, the cook's own dial mark for each heat word, and the net power measured there, W. */
export const ringSchema = z.object({
  id: z.string().min(1).max(80),
  name: nameSchema,
  kind: z.enum(RING_KINDS).default('gas'),
  marks: z.partialRecord(z.enum(HEATS), z.string().trim().min(1).max(20)).default({}),
  measuredPowerW: z.partialRecord(z.enum(HEATS), power).default({}),
  /** How long it goes on heating after it is turned off, s; absent: as its kind usually does. */
  leftoverS: z.number().min(0).max(1800, 'A ring does not stay hot longer than half an hour.').optional(),
});
export type Ring = z.infer<typeof ringSchema>;

const plainRings = (n: number, measuredPowerW: unknown) =>
  Array.from({ length: Math.min(8, Math.max(1, n)) }, (_, i) => ({
    id: `ring-${i + 1}`,
    name: `Ring ${i + 1}`,
    ...(i === 0 && measuredPowerW !== undefined ? { measuredPowerW } : {}),
  }));

/** A hob of an earlier release knew how many rings it has, and one power for all. */
function upgradedHob(doc: unknown): unknown {
  if (typeof doc !== 'object' || doc === null) return doc;
  const { rings, measuredPowerW, ...rest } = doc as Record<string, unknown>;
  if (Array.isArray(rings)) return doc;
  return { ...rest, rings: plainRings(typeof rings === 'number' ? rings : 4, measuredPowerW) };
}

export const hobSchema = z.preprocess(
  upgradedHob,
  z.object({
    id: z.string().min(1).max(80),
    name: nameSchema,
    rings: z.array(ringSchema).min(1, 'A hob has at least one ring.').max(8),
  }),
);
export type Hob = z.infer<typeof hobSchema>;
