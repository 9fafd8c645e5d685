import { problem, type Problem, type Result, bad, good } from '@/core/units';

const MOST_BYTES = 2_000_000;
const STATUS: Readonly<Record<string, number>> = {
  'no-such-plan': 404,
  'no-such-batch': 404,
  'no-such-thing': 404,
  'no-such-kind': 404,
  'too-large': 413,
  'other-origin': 403,
  stale: 409,
};

export const json = (body: unknown, status = 200): Response =>
  Response.json(body, { status, headers: { 'cache-control': 'no-store' } });

/** Problems as a 4xx: 404, 409 and 413 by code, else 422. */
export const refuse = (problems: readonly Problem[]): Response =>
  json({ problems }, STATUS[problems[0]?.code ?? ''] ?? 422);

export const answer = <T>(result: Result<T>, status = 200): Response =>
  result.ok ? json(result.value, status) : refuse(result.problems);

/** Reads a JSON body of at most 2 MB. */
export async function body(request: Request): Promise<Result<unknown>> {
  const text = await request.text();
  if (text.length > MOST_BYTES)
    return bad(problem('too-large', '', 'That is more than 2 MB; a plan or kitchen is far smaller.'));
  try {
    return good(JSON.parse(text) as unknown);
  } catch {
    return bad(problem('broken-json', '', 'The request is not complete JSON.'));
  }
}

/** Runs a route: writes from another site are refused, unexpected errors are logged with an id and told without a stack. */
export async function route(request: Request, work: () => Promise<Response>): Promise<Response> {
  const origin = request.headers.get('origin');
  if (request.method !== 'GET' && origin) {
    const host = request.headers.get('host');
    if (new URL(origin).host !== host)
      return refuse([problem('other-origin', '', 'Changes are taken from this kitchen’s own pages only.')]);
  }
  try {
    return await work();
  } catch (e) {
    const id = crypto.randomUUID().slice(0, 8);
    console.error(`request ${id} ${request.method} ${new URL(request.url).pathname}`, e);
    return json(
      {
        problems: [
          problem(
            'unexpected',
            '',
            `Something went wrong here (note ${id}). What you entered is still on your screen; try again.`,
          ),
        ],
      },
      500,
    );
  }
}
