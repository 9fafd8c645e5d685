import { z } from 'zod';

const device = z
  .string()
  .min(1)
  .max(40)
  .regex(/^[\w .-]+$/, 'A device is named in letters, figures, dots and dashes.');
/** When it was read, ISO 8601; absent: now. */
const at = z.iso.datetime().optional();

/** One line of a device: a scale in grams, a probe in °C, a hob's setting. */
export const deviceLineSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('scale'), device, at, grams: z.number().min(-60_000).max(60_000), stable: z.boolean() }),
  z.object({ kind: z.literal('probe'), device, at, tempC: z.number().min(-60).max(400) }),
  z.object({ kind: z.literal('hob'), device, at, setting: z.enum(['off', 'gentle', 'medium', 'strong']) }),
  /** The device says that it is going: unplugged, or switched off. */
  z.object({ kind: z.literal('gone'), device, at }),
]);
export type DeviceLine = z.infer<typeof deviceLineSchema>;
/** A line with the moment at which the kitchen had it, ms. */
export type DeviceReading = DeviceLine & { readonly atMs: number };

/** Longer than this is no line of a device, bytes. */
export const LONGEST_LINE = 1000;

/** Reads one line of JSON. Undefined for what is none: empty, cut off, too long, of another make. */
export function readDeviceLine(text: string): DeviceLine | undefined {
  if (text.length > LONGEST_LINE) return undefined;
  try {
    const read = deviceLineSchema.safeParse(JSON.parse(text));
    return read.success ? read.data : undefined;
  } catch {
    return undefined;
  }
}
