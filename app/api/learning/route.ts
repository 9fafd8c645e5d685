import { z } from 'zod';
import { problem } from '@/core/units';
import { endpoint, idSchema, json, pageSchema, refuse } from '@/server/http';
import { relearn } from '@/server/learn';
import { evidencePage } from '@/server/learnedPages';
import { store } from '@/server/store';

/** What is to be forgotten: all that was cooked up to now, nothing any more, or one batch. */
const sentSchema = z.discriminatedUnion('what', [
  z.object({ what: z.literal('all') }),
  z.object({ what: z.literal('nothing') }),
  /** As it was before something of these was done. */
  z.object({
    what: z.literal('exactly'),
    forgotten: z.object({ batches: z.array(idSchema).max(20_000), before: z.iso.datetime().optional() }),
  }),
  z.object({ what: z.literal('batch'), id: idSchema, leftOut: z.boolean() }),
]);

export const GET = endpoint({
  query: pageSchema.pick({ after: true }),
  work: async ({ query }) => json(await evidencePage(await store(), query.after)),
});

export const POST = endpoint({
  body: sentSchema,
  work: async ({ body }) => {
    const done = await relearn(await store(), (f) => {
      if (body.what === 'all') return { ...f, before: new Date().toISOString() };
      if (body.what === 'exactly') return body.forgotten;
      if (body.what === 'nothing') return { batches: [] };
      const others = f.batches.filter((id) => id !== body.id);
      return { ...f, batches: body.leftOut ? [...others, body.id] : others };
    });
    return done
      ? json({ done })
      : refuse([problem('stale', 'revision', 'The kitchen was being changed at the same time; try again.')]);
  },
});
