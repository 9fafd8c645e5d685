import { z } from 'zod';
import { problem } from '@/core/units';
import { endpoint, idSchema, refuse } from '@/server/http';
import { store } from '@/server/store';

export const GET = endpoint({
  params: z.object({ id: idSchema }),
  work: async ({ params }) => {
    const jpeg = await (await store()).photos.get(params.id);
    if (!jpeg) return refuse([problem('no-such-thing', 'id', 'There is no such photo.')]);
    return new Response(new Uint8Array(jpeg), {
      headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
    });
  },
});
