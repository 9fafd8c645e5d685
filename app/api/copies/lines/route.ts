import { z } from 'zod';
import { answer, endpoint, idSchema } from '@/server/http';
import { store } from '@/server/store';

/** Differences between the copy that lies open and this kitchen, of one kind in one place, some at a time. */
export const GET = endpoint({
  query: z.object({ opened: idSchema, group: z.string().max(60), from: z.coerce.number().int().min(0).default(0) }),
  work: async ({ query }) => answer((await store()).copies.lines(query.opened, query.group, query.from)),
});
