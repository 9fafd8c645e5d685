import { z } from 'zod';
import { RACK_KINDS, type Put } from '@/db';
import { problem, type Result } from '@/core/units';
import { endpoint, idSchema, json, refuse } from '@/server/http';
import { store } from '@/server/store';

const params = z.object({ kind: z.enum(RACK_KINDS), id: idSchema });

const answerPut = (done: Result<Put>): Response => {
  if (!done.ok) return refuse(done.problems);
  return 'stale' in done.value
    ? refuse(
        [
          problem(
            'stale',
            'revision',
            'This was changed on another page since you opened it: look at both, then choose.',
          ),
        ],
        { current: done.value.stale },
      )
    : json(done.value.put);
};

export const PUT = endpoint({
  params,
  body: z.object({ revision: z.int().min(0), value: z.record(z.string(), z.unknown()) }),
  work: async ({ params: { kind, id }, body }) =>
    answerPut(await (await store()).kitchen.put(kind, body.revision, { ...body.value, id })),
});

export const DELETE = endpoint({
  params,
  query: z.object({ revision: z.coerce.number().int().min(1) }),
  work: async ({ params: { kind, id }, query }) =>
    answerPut(await (await store()).kitchen.remove(kind, id, query.revision)),
});
