import { z } from 'zod';
import { answer, endpoint, idSchema } from '@/server/http';
import { store } from '@/server/store';

/** The next piece of a copy that is sent, from byte `at` on. */
export const PUT = endpoint({
  params: z.object({ id: idSchema }),
  query: z.object({ at: z.coerce.number().int().min(0) }),
  work: async ({ params, query, bytes }) =>
    answer(await (await store()).copies.uploads.piece(params.id, query.at, bytes)),
});
