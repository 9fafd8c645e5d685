import { z } from 'zod';
import { readPlan } from '@/core/plan';
import { good } from '@/core/units';
import { PLAN_SORTS } from '@/db';
import { answer, endpoint, json, keyOf, pageSchema, refuse } from '@/server/http';
import { planCards } from '@/server/planCards';
import { store } from '@/server/store';

export const GET = endpoint({
  query: pageSchema.extend({ sort: z.enum(PLAN_SORTS).optional() }),
  work: async ({ query }) => {
    const open = await store();
    return json(await planCards(open, (await open.kitchenState()).kitchen, query));
  },
});

export const POST = endpoint({
  body: z.unknown(),
  work: async ({ body, headers }) => {
    const plan = readPlan(body);
    return plan.ok
      ? answer(good(await (await store()).plans.create(plan.value, '', keyOf(headers))), 201)
      : refuse(plan.problems);
  },
});
