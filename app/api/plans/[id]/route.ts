import { z } from 'zod';
import { readPlan } from '@/core/plan';
import { answer, endpoint, idSchema, json, refuse } from '@/server/http';
import { goneProblem, savedAnswer } from '@/server/savedPlan';
import { store } from '@/server/store';

const params = z.object({ id: idSchema });

export const GET = endpoint({
  params,
  work: async ({ params: { id } }) => answer(await (await store()).plans.get(id)),
});

const saveSchema = z.object({
  revision: z.int('Send the revision the change was made on, and the plan.').min(1),
  plan: z.unknown(),
  /** Name of this very sending, and of those before it whose answer the sender did not hear: what it wrote itself is no conflict. */
  writer: z.string().max(80).default(''),
  unheard: z.array(z.string().max(80)).max(50).default([]),
});
export const PUT = endpoint({
  params,
  body: saveSchema,
  work: async ({ params: { id }, body }) => {
    const plan = readPlan(body.plan);
    return plan.ok
      ? savedAnswer(await (await store()).plans.save(id, body.revision, plan.value, body.writer, body.unheard))
      : refuse(plan.problems);
  },
});

export const DELETE = endpoint({
  params,
  work: async ({ params: { id } }) =>
    (await (await store()).plans.remove(id)) ? json({ removed: true }) : refuse([goneProblem]),
});
