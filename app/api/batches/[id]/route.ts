import { z } from 'zod';
import { problem } from '@/core/units';
import { answer, endpoint, idSchema, json, refuse } from '@/server/http';
import { store } from '@/server/store';
import { removeBatch } from '@/server/trash';

const params = z.object({ id: idSchema });

export const GET = endpoint({
  params,
  work: async ({ params: { id } }) => answer(await (await store()).batches.get(id)),
});

/** Into the trash, from where it can be brought back. */
export const DELETE = endpoint({
  params,
  work: async ({ params: { id } }) =>
    (await removeBatch(await store(), id))
      ? json({ removed: true })
      : refuse([problem('no-such-batch', 'id', 'There is no such batch in the notebook.')]),
});
