import { z } from 'zod';
import { MOST_FORGOTTEN } from '@/core/kitchen';
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
    forgotten: z.object({ batches: z.array(idSchema).max(MOST_FORGOTTEN), before: z.iso.datetime().optional() }),
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
    const open = await store();
    const done = await relearn(open, (f) => {
      if (body.what === 'all') return { ...f, before: new Date().toISOString() };
      if (body.what === 'exactly') return body.forgotten;
      if (body.what === 'nothing') return { batches: [] };
      const others = f.batches.filter((id) => id !== body.id);
      return { ...f, batches: body.leftOut ? [...others, body.id] : others };
    });
    open.learner.wake();
    return done.ok ? json({ done: true }) : refuse(done.problems);
  },
});
