import { z } from 'zod';
import { readPlan } from '@/core/plan';
import { problem } from '@/core/units';
import { answer, body, json, refuse, route } from '@/server/http';
import { store } from '@/server/store';

type Context = { params: Promise<{ id: string }> };
const gone = problem('no-such-plan', 'id', 'That plan is not here any more; it may have been deleted.');
const saveSchema = z.object({ revision: z.int().min(1), plan: z.unknown() });

export const GET = (request: Request, { params }: Context) =>
  route(request, async () => answer(await (await store()).plans.get((await params).id)));

export const PUT = (request: Request, { params }: Context) =>
  route(request, async () => {
    const sent = await body(request);
    if (!sent.ok) return refuse(sent.problems);
    const save = saveSchema.safeParse(sent.value);
    if (!save.success)
      return refuse([problem('bad-request', 'revision', 'Send the revision the change was made on, and the plan.')]);
    const plan = readPlan(save.data.plan);
    if (!plan.ok) return refuse(plan.problems);
    const done = await (await store()).plans.save((await params).id, save.data.revision, plan.value);
    if ('missing' in done) return refuse([gone]);
    if ('stale' in done)
      return json(
        {
          problems: [
            problem(
              'stale',
              'revision',
              'This plan was changed in another window since you opened it. Both versions are kept: choose which to go on with.',
            ),
          ],
          ...done.stale,
        },
        409,
      );
    return json(done.saved);
  });

export const DELETE = (request: Request, { params }: Context) =>
  route(request, async () =>
    (await (await store()).plans.remove((await params).id)) ? json({ removed: true }) : refuse([gone]),
  );
