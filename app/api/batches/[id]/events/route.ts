import { z } from 'zod';
import { eventSchema } from '@/core/notebook';
import { problemsOf } from '@/core/plan';
import { answer, body, refuse, route } from '@/server/http';
import { recordEvent } from '@/server/notebook';
import { store } from '@/server/store';

const sentSchema = z.object({ key: z.string().min(8).max(80), event: eventSchema });

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  route(request, async () => {
    const sent = await body(request);
    if (!sent.ok) return refuse(sent.problems);
    const parsed = sentSchema.safeParse(sent.value);
    if (!parsed.success) return refuse(problemsOf(parsed.error));
    return answer(await recordEvent(await store(), (await params).id, parsed.data.event, parsed.data.key), 201);
  });
