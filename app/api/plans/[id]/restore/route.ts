import { z } from 'zod';
import { answer, endpoint, idSchema } from '@/server/http';
import { store } from '@/server/store';

export const POST = endpoint({
  params: z.object({ id: idSchema }),
  work: async ({ params }) => answer(await (await store()).plans.restore(params.id)),
});
