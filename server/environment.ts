import { z } from 'zod';

const environmentSchema = z.object({
  IDLE_LADLE_DB: z.string().min(1).default('data/idle-ladle.sqlite'),
});

/** Environment as validated; `IDLE_LADLE_DB` is the database file. */
export const environment = () => environmentSchema.parse({ IDLE_LADLE_DB: process.env.IDLE_LADLE_DB });
