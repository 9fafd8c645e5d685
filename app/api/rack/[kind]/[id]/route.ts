import { RACK_KINDS, type RackKind } from '@/db';
import { bad, problem, type Result } from '@/core/units';
import { answer, body, refuse, route } from '@/server/http';
import { store } from '@/server/store';

type Context = { params: Promise<{ kind: string; id: string }> };
const kindOf = (kind: string): RackKind | undefined => RACK_KINDS.find((k) => k === kind);
const unknownKind = (kind: string): Result<never> =>
  bad(problem('no-such-kind', 'kind', `There is no "${kind}" on the rack; kinds are ${RACK_KINDS.join(', ')}.`));

export const PUT = (request: Request, { params }: Context) =>
  route(request, async () => {
    const { kind: word, id } = await params;
    const kind = kindOf(word);
    if (!kind) return answer(unknownKind(word));
    const sent = await body(request);
    if (!sent.ok) return refuse(sent.problems);
    return answer(await (await store()).kitchen.put(kind, { ...(sent.value as object), id }));
  });

export const DELETE = (request: Request, { params }: Context) =>
  route(request, async () => {
    const { kind: word, id } = await params;
    const kind = kindOf(word);
    return answer(kind ? await (await store()).kitchen.remove(kind, id) : unknownKind(word));
  });
