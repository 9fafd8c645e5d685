import { readPlan } from '@/core/plan';
import { answer, body, json, refuse, route } from '@/server/http';
import { store } from '@/server/store';
import { good } from '@/core/units';

export const GET = (request: Request) => route(request, async () => json(await (await store()).plans.list()));

export const POST = (request: Request) =>
  route(request, async () => {
    const sent = await body(request);
    if (!sent.ok) return refuse(sent.problems);
    const plan = readPlan(sent.value);
    return plan.ok ? answer(good(await (await store()).plans.create(plan.value)), 201) : refuse(plan.problems);
  });
