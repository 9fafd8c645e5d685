import { z } from 'zod';
import { answer, endpoint, idSchema, refuse } from '@/server/http';
import { written } from '@/server/notebook';
import { keptPicture } from '@/server/photo';
import { store } from '@/server/store';

const sentSchema = z.object({
  key: z.string().regex(/^[\w-]{8,80}$/, 'Send the photo under a key of 8 to 80 letters and figures.'),
  /** The picture, base64. */
  photo: z.base64('That is no picture.').min(20, 'That is no picture.'),
});

/** Keeps a photo of a batch, small and without its place. */
export const POST = endpoint({
  params: z.object({ id: idSchema }),
  body: sentSchema,
  work: async ({ params, body }) => {
    const kitchen = await store();
    const batch = await kitchen.batches.get(params.id);
    if (!batch.ok) return refuse(batch.problems);
    const picture = await keptPicture(Buffer.from(body.photo, 'base64'));
    if (!picture.ok) return refuse(picture.problems);
    const done = await kitchen.batches.appendPhoto(params.id, picture.value, body.key, kitchen.clock.now());
    const event = done.ok ? done.value.events.find((e) => e.key === body.key) : undefined;
    if (done.ok && event) written(kitchen, done.value, event);
    return answer(done, 201);
  },
});
