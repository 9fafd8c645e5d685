import { z } from 'zod';
import { endpoint, idSchema, refuse } from '@/server/http';
import { savedAnswer } from '@/server/savedPlan';
import { store } from '@/server/store';

/** Makes an earlier version the newest, over the revision that the page shows. */
export const POST = endpoint({
  params: z.object({ id: idSchema, version: z.coerce.number().int().min(1) }),
  body: z.object({ revision: z.int().min(1) }),
  work: async ({ params, body }) => {
    const done = await (await store()).plans.putBack(params.id, params.version, body.revision);
    return done.ok ? savedAnswer(done.value) : refuse(done.problems);
  },
});
