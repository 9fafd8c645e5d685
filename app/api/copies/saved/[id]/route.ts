import { z } from 'zod';
import { download, endpoint, idSchema } from '@/server/http';
import { store } from '@/server/store';

/** A copy that was asked for, proven. */
export const GET = endpoint({
  params: z.object({ id: idSchema }),
  work: async ({ params }) =>
    download((await store()).copies.saved(params.id), 'That copy is not here any more; save another.'),
});
