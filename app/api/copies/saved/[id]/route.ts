import { z } from 'zod';
import { problem } from '@/core/units';
import { download, endpoint, idSchema, refuse } from '@/server/http';
import { store } from '@/server/store';

/** A copy that was asked for, proven. */
export const GET = endpoint({
  params: z.object({ id: idSchema }),
  work: async ({ params }) => {
    const out = (await store()).copies.saved(params.id);
    return out
      ? download(out)
      : refuse([problem('no-such-thing', 'id', 'That copy is not here any more; save another.')]);
  },
});
