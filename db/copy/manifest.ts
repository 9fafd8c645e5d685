import { z } from 'zod';

/** Names in an archive. */
export const MANIFEST = 'manifest.json';
export const KITCHEN = 'kitchen.sqlite';

/** Why a copy was made: asked for in a page, at the command line, by the clock, before an upgrade, before another copy was opened. */
export const WHYS = ['asked', 'command', 'nightly', 'before-upgrade', 'before-opening'] as const;
export type Why = (typeof WHYS)[number];

const count = z.int().min(0);
export const countsSchema = z.object({
  plans: count,
  versions: count,
  batches: count,
  events: count,
  photos: count,
  /** Things of rack and larder. */
  things: count,
});
export type Counts = z.infer<typeof countsSchema>;

const entrySchema = z.object({
  name: z.string().min(1).max(400),
  bytes: count,
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  /** Of a photo: its id in the kitchen. */
  photo: z.string().max(200).optional(),
});
export type ManifestEntry = z.infer<typeof entrySchema>;

/** The version of the archive's own form. */
export const COPY_VERSION = 1;
/** What alone is read of a copy of a later form: who can read it. */
export const headSchema = z.object({
  format: z.literal('idle-ladle/copy'),
  version: z.int().min(1),
  release: z.string().max(40),
});
/** What an archive says of itself: what is in it, and the checksum of each file. */
export const manifestSchema = headSchema.extend({
  version: z.literal(COPY_VERSION),
  madeAt: z.iso.datetime(),
  why: z.enum(WHYS),
  /** The kitchen's name. */
  kitchen: z.string().max(400),
  /** Names of the migrations that its database has had. */
  schema: z.array(z.string().max(80)).max(500),
  counts: countsSchema,
  files: z.array(entrySchema),
});
export type Manifest = z.infer<typeof manifestSchema>;
