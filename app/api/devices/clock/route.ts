import { z } from 'zod';
import { problem } from '@/core/units';
import { environment } from '@/server/environment';
import { endpoint, json, refuse } from '@/server/http';
import { store } from '@/server/store';

const paceSchema = z.object({
  speed: z.number().min(1, 'A clock runs forwards, at 1 or faster.').max(600, 'At most 600 times as fast.'),
});
/** Lets a practice kitchen's clock run faster. A real kitchen's is not touched. */
export const POST = endpoint({
  body: paceSchema,
  work: async ({ body }) => {
    if (!environment().IDLE_LADLE_PRACTICE)
      return refuse([
        problem(
          'not-practice',
          '',
          'This kitchen runs on the real clock: start it with `npm run demo`, or with IDLE_LADLE_PRACTICE=1, to practise.',
        ),
      ]);
    const { clock, live } = await store();
    await clock.run(body.speed);
    live.tellClock();
    return json({ nowMs: clock.now(), speed: clock.speed() });
  },
});
