import { z } from 'zod';
import { settingsSchema } from '@/db';
import { problemsOf } from '@/core/plan';
import { problem } from '@/core/units';
import { body, json, refuse, route } from '@/server/http';
import { store } from '@/server/store';

export const GET = (request: Request) =>
  route(request, async () => {
    const { kitchen } = await store();
    return json({ settings: await kitchen.readSettings(), kitchen: await kitchen.read() });
  });

export const PUT = (request: Request) =>
  route(request, async () => {
    const sent = await body(request);
    if (!sent.ok) return refuse(sent.problems);
    const parsed = z.object({ revision: z.int().min(0), value: settingsSchema }).safeParse(sent.value);
    if (!parsed.success) return refuse(problemsOf(parsed.error));
    const { kitchen } = await store();
    return (await kitchen.saveSettings(parsed.data.revision, parsed.data.value))
      ? json(await kitchen.readSettings())
      : refuse([
          problem(
            'stale',
            'revision',
            'The kitchen was changed in another window; reload to see it, then change it again.',
          ),
        ]);
  });
