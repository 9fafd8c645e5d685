import { z } from 'zod';
import { answer, endpoint, idSchema } from '@/server/http';
import { store } from '@/server/store';

export const GET = endpoint({
  params: z.object({ id: idSchema }),
  work: async ({ params }) => answer(await (await store()).batches.get(params.id)),
});
