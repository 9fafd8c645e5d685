import { z } from 'zod';
import { settingsSchema } from '@/db';
import { problem } from '@/core/units';
import { endpoint, json, refuse } from '@/server/http';
import { store } from '@/server/store';

export const GET = endpoint({ work: async () => json(await (await store()).kitchenState()) });

const saveSchema = z.object({
  revision: z.int().min(0),
  value: settingsSchema,
  /** True where the settings that are there cannot be read and may go. */
  overUnreadable: z.boolean().default(false),
});

export const PUT = endpoint({
  body: saveSchema,
  work: async ({ body }) => {
    const { kitchen, kitchenState } = await store();
    if (await kitchen.saveSettings(body.revision, body.value, body.overUnreadable)) return json(await kitchenState());
    const now = await kitchenState();
    return refuse(
      [
        problem(
          'stale',
          'revision',
          'The kitchen was changed on another page meanwhile; look at it, then change it again.',
        ),
      ],
      { current: now.settings },
    );
  },
});
