import { z } from 'zod';
import { problem } from '@/core/units';
import { answer, body, json, refuse, route } from '@/server/http';
import { startBatch } from '@/server/notebook';
import { store } from '@/server/store';

export const GET = (request: Request) => route(request, async () => json(await (await store()).batches.list()));

export const POST = (request: Request) =>
  route(request, async () => {
    const sent = await body(request);
    if (!sent.ok) return refuse(sent.problems);
    const start = z.object({ planId: z.string().min(1) }).safeParse(sent.value);
    return start.success
      ? answer(await startBatch(await store(), start.data.planId), 201)
      : refuse([problem('bad-request', 'planId', 'Say which plan the batch is made from.')]);
  });
