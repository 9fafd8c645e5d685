import { z } from 'zod';
import { eventSchema } from '@/core/work/notebook';
import { answer, endpoint, idSchema } from '@/server/http';
import { recordEvent } from '@/server/notebook';
import { store } from '@/server/store';

const sentSchema = z.object({
  /** The sender's own key: a repeated send is recorded once. */
  key: z.string().regex(/^[\w-]{8,80}$/, 'Send the event under a key of 8 to 80 letters and figures.'),
  event: eventSchema,
  /** How long ago it happened by the sender's clock, ms. */
  agoMs: z.number().min(0).max(1e12).default(0),
});

export const POST = endpoint({
  params: z.object({ id: idSchema }),
  body: sentSchema,
  work: async ({ params, body }) =>
    answer(await recordEvent(await store(), params.id, body.event, body.key, body.agoMs), 201),
});
