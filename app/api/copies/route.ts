import { z } from 'zod';
import { answer, endpoint, idSchema, json, refuse } from '@/server/http';
import { store } from '@/server/store';

/** Copies that are kept, what is under way of them, and the one that lies open. */
export const GET = endpoint({ work: async () => json(await (await store()).copies.state()) });

const nameSchema = z.string().regex(/^[^\p{Cc}/\\]{1,200}$/u, 'That is no name of a file.');
const choiceSchema = z.record(
  z.string().max(60),
  z.object({ from: z.enum(['all', 'none', 'suggested']), but: z.array(idSchema).max(20_000) }),
);
const sentSchema = z.discriminatedUnion('do', [
  z.object({ do: z.literal('save') }),
  z.object({ do: z.literal('stop'), job: idSchema }),
  z.object({
    do: z.literal('upload'),
    called: nameSchema,
    bytes: z.int().min(1, 'That file is empty; choose another.'),
  }),
  z.object({ do: z.literal('open'), upload: idSchema }),
  z.object({ do: z.literal('open-kept'), name: nameSchema }),
  z.object({ do: z.literal('close') }),
  z.object({ do: z.literal('take'), opened: idSchema, choice: choiceSchema }),
  z.object({ do: z.literal('undo'), opening: idSchema }),
]);
/** Makes, stops, opens, takes in, undoes: what takes its time is begun, and asked for then. */
export const POST = endpoint({
  body: sentSchema,
  work: async ({ body }) => {
    const { copies } = await store();
    switch (body.do) {
      case 'save':
        return answer(copies.save(), 202);
      case 'stop':
        copies.stop(body.job);
        return json({});
      case 'upload':
        return answer(copies.uploads.begin(body.called, body.bytes), 201);
      case 'open':
        return answer(copies.openSent(body.upload), 202);
      case 'open-kept':
        return answer(copies.openKept(body.name), 202);
      case 'close':
        copies.close();
        return json({});
      case 'take':
        return answer(copies.take(body.opened, body.choice), 202);
      case 'undo': {
        const done = await copies.undo(body.opening);
        return done.ok ? json(done.value) : refuse(done.problems);
      }
    }
  },
});
