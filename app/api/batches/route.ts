import { z } from 'zod';
import { answer, endpoint, idSchema, json, keyOf, pageSchema } from '@/server/http';
import { BATCHES_A_PAGE, startBatch } from '@/server/notebook';
import { store } from '@/server/store';

export const GET = endpoint({
  query: pageSchema,
  work: async ({ query }) => json(await (await store()).batches.page({ ...query, limit: BATCHES_A_PAGE })),
});

const startSchema = z.object({ planId: idSchema });
export const POST = endpoint({
  body: startSchema,
  work: async ({ body, headers }) => answer(await startBatch(await store(), body.planId, keyOf(headers)), 201),
});
