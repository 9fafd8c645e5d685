import { nanoid } from 'nanoid';
import { z } from 'zod';
import { TRASH_KINDS } from '@/db';
import { answer, endpoint, idSchema, json } from '@/server/http';
import { store } from '@/server/store';
import { bringBack } from '@/server/trash';

/** What was deleted and can be brought back. */
export const GET = endpoint({ work: async () => json(await (await store()).trash.list()) });

const sentSchema = z.object({
  what: z.enum(['bring-back', 'erase'], 'Say whether it is to be brought back or erased.'),
  kind: z.enum(TRASH_KINDS),
  id: idSchema,
});
/** Brings a thing back, or takes it away for good. */
export const POST = endpoint({
  body: sentSchema,
  work: async ({ body: { what, kind, id } }) => {
    const open = await store();
    return answer(await (what === 'erase' ? open.trash.eraseNow(kind, id) : bringBack(open, kind, id, nanoid())));
  },
});
