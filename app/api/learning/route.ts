import { z } from 'zod';
import { problemsOf } from '@/core/plan';
import { problem } from '@/core/units';
import { body, json, refuse, route } from '@/server/http';
import { relearn } from '@/server/learn';
import { store } from '@/server/store';

/** What is to be forgotten: all that was cooked up to now, nothing any more, or one batch. */
const sentSchema = z.discriminatedUnion('what', [
  z.object({ what: z.literal('all') }),
  z.object({ what: z.literal('nothing') }),
  z.object({ what: z.literal('batch'), id: z.string().min(1).max(80), leftOut: z.boolean() }),
]);

export const POST = (request: Request) =>
  route(request, async () => {
    const sent = await body(request);
    if (!sent.ok) return refuse(sent.problems);
    const parsed = sentSchema.safeParse(sent.value);
    if (!parsed.success) return refuse(problemsOf(parsed.error));
    const asked = parsed.data;
    const done = await relearn(await store(), (f) => {
      if (asked.what === 'all') return { ...f, before: new Date().toISOString() };
      if (asked.what === 'nothing') return { batches: [] };
      const others = f.batches.filter((id) => id !== asked.id);
      return { ...f, batches: asked.leftOut ? [...others, asked.id] : others };
    });
    return done
      ? json({ done })
      : refuse([problem('stale', 'revision', 'The kitchen was being changed at the same time; try again.')]);
  });
