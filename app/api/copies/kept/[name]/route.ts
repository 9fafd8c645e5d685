import { z } from 'zod';
import { download, endpoint, idSchema } from '@/server/http';
import { store } from '@/server/store';

/** A copy of the folder of copies. */
export const GET = endpoint({
  params: z.object({ name: idSchema }),
  work: async ({ params }) =>
    download((await store()).copies.kept(params.name), 'That copy is not kept any more; reload the list.'),
});
