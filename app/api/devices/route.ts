import { z } from 'zod';
import { deviceLineSchema } from '@/core/devices';
import { devices } from '@/server/devices';
import { endpoint, json } from '@/server/http';
import { store } from '@/server/store';

/** What devices read last, and the kitchen's clock. */
export const GET = endpoint({
  work: async () => {
    const kitchen = await store();
    return json({
      readings: devices(kitchen).readings(),
      clock: { nowMs: kitchen.clock.now(), speed: kitchen.clock.speed() },
    });
  },
});

const linesSchema = z.object({ lines: z.array(deviceLineSchema).max(500, 'Send at most 500 lines at once.') });
/** Lines of devices, as a bridge brings them. */
export const POST = endpoint({
  body: linesSchema,
  work: async ({ body }) => json({ refused: devices(await store()).take(body.lines) }),
});
