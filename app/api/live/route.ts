import { z } from 'zod';
import { problem } from '@/core/units';
import { endpoint, refuse } from '@/server/http';
import { store } from '@/server/store';

const number = z.coerce.number().int().min(0).max(1e12);

/** What happens at the stove, as it happens: server-sent events. `after` or Last-Event-ID: the last one that the page knows of. */
export const GET = endpoint({
  query: z.object({ after: number.optional() }),
  work: async ({ query, headers }) => {
    const { live, batches } = await store();
    const last = number.safeParse(headers.get('last-event-id') ?? undefined);
    const stream = live.stream(last.success ? last.data : (query.after ?? (await batches.lastEventId())));
    if (!stream)
      return refuse([problem('too-many', '', 'Too many pages are open at once; close some and this one goes on.')]);
    return new Response(stream, {
      headers: { 'content-type': 'text/event-stream; charset=utf-8', 'cache-control': 'no-store, no-transform' },
    });
  },
});
