import { z } from 'zod';
import { problem } from '@/core/units';
import { download, endpoint, idSchema, refuse } from '@/server/http';
import { store } from '@/server/store';

/** A copy of the folder of copies. */
export const GET = endpoint({
  params: z.object({ name: idSchema }),
  work: async ({ params }) => {
    const out = (await store()).copies.kept(params.name);
    return out
      ? download(out)
      : refuse([problem('no-such-thing', 'name', 'That copy is not kept any more; reload the list.')]);
  },
});
