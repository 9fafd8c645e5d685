import { z } from 'zod';
import type { Database } from './connect';
import { readDocument, readWith } from './unreadable';

/** The kitchen's clock: the machine's own, or for practice one that runs faster from a moment on. */
export interface Clock {
  /** Kitchen time of a moment of the machine's clock, ms since 1970. */
  readonly at: (realMs: number) => number;
  readonly now: () => number;
  /** How many times as fast as the machine's it runs. */
  readonly speed: () => number;
  /** Lets it run so many times as fast from now on; kept, so that a restart goes on with it. */
  readonly run: (speed: number) => Promise<void>;
}

const CLOCK_ID = 'clock';
const paceSchema = z.object({
  /** From this moment of the machine's clock on, ms, which was that moment of the kitchen's. */
  realMs: z.number(),
  kitchenMs: z.number(),
  speed: z.number().min(1).max(600),
});
type Pace = z.infer<typeof paceSchema>;
const REAL: Pace = { realMs: 0, kitchenMs: 0, speed: 1 };

/** Reads the clock a file was left with. */
export async function clockOf(db: Database): Promise<Clock> {
  const { settings } = db.models;
  const row = (await settings.findByPk(CLOCK_ID))?.get({ plain: true });
  // A clock that cannot be read is the machine's own.
  const read = readDocument(row?.document ?? 'null', readWith(paceSchema), row?.sum);
  let pace = read.ok ? read.value : REAL;
  const at = (realMs: number): number => pace.kitchenMs + (realMs - pace.realMs) * pace.speed;
  return {
    at,
    now: () => at(Date.now()),
    speed: () => pace.speed,
    async run(speed) {
      const realMs = Date.now();
      const next = paceSchema.parse({ realMs, kitchenMs: at(realMs), speed });
      const stamp = new Date(realMs).toISOString();
      await db.write(async (transaction) => {
        const there = await settings.findByPk(CLOCK_ID, { transaction });
        const document = JSON.stringify(next);
        if (there) await settings.update({ document, updatedAt: stamp }, { where: { id: CLOCK_ID }, transaction });
        else
          await settings.create(
            { id: CLOCK_ID, document, revision: 1, createdAt: stamp, updatedAt: stamp },
            { transaction },
          );
      });
      pace = next;
    },
  };
}
