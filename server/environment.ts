import { z } from 'zod';
import { SHORTEST_CODE } from './keeper';

const port = z.coerce.number().int().min(1).max(65_535);
const environmentSchema = z.object({
  /** The database file. */
  IDLE_LADLE_DB: z.string().min(1).default('data/idle-ladle.sqlite'),
  /** The folder of the copies that are made at night and before an upgrade, or `none`; absent: `copies` beside the database. */
  IDLE_LADLE_COPIES: z.string().min(1).optional(),
  /** Where it listens: this machine alone, unless told otherwise. */
  HOST: z.string().min(1).default('127.0.0.1'),
  PORT: port.default(3000),
  /** Further names, with commas between, under which this kitchen is called: a name of the house's network, say. */
  IDLE_LADLE_HOSTS: z
    .string()
    .default('')
    .transform((s) =>
      s
        .split(',')
        .map((h) => h.trim().toLowerCase())
        .filter((h) => h !== ''),
    ),
  /** Each device is asked for this once; needed where it listens for others than this machine. */
  IDLE_LADLE_CODE: z
    .string()
    .trim()
    .refine(
      (s) => s === '' || s.length >= SHORTEST_CODE,
      `IDLE_LADLE_CODE is too short: ${SHORTEST_CODE} letters and figures are the least.`,
    )
    .default(''),
  /** 1: a kitchen for practice, whose clock may run fast. */
  IDLE_LADLE_PRACTICE: z
    .string()
    .default('')
    .transform((s) => s === '1'),
});
export type Environment = z.infer<typeof environmentSchema>;

/** Environment as validated. */
export const environment = (): Environment =>
  environmentSchema.parse({
    IDLE_LADLE_DB: process.env.IDLE_LADLE_DB,
    IDLE_LADLE_COPIES: process.env.IDLE_LADLE_COPIES,
    HOST: process.env.HOST,
    PORT: process.env.PORT,
    IDLE_LADLE_HOSTS: process.env.IDLE_LADLE_HOSTS,
    IDLE_LADLE_CODE: process.env.IDLE_LADLE_CODE,
    IDLE_LADLE_PRACTICE: process.env.IDLE_LADLE_PRACTICE,
  });
