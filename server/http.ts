import { Readable } from 'node:stream';
import { nanoid } from 'nanoid';
import { z } from 'zod';
import { problem, type Problem, type Result, bad, good } from '@/core/units';
import { problemsOf } from '@/core/plan';
import { sqliteCode } from '@/db';
import type { Outgoing } from './copies/outgoing';
import { MOST_BYTES, sameOrigin } from './door';

const STATUS: Readonly<Record<string, number>> = {
  'no-such-plan': 404,
  'no-such-batch': 404,
  'no-such-thing': 404,
  'no-such-version': 404,
  'no-such-kind': 404,
  'too-large': 413,
  'not-json': 415,
  'other-origin': 403,
  'not-practice': 403,
  stale: 409,
  'too-many': 503,
  busy: 409,
  changed: 409,
  'no-room': 507,
};

export const json = (body: unknown, status = 200): Response =>
  Response.json(body, { status, headers: { 'cache-control': 'no-store' } });

/** Problems as a 4xx: 403, 404, 409, 413 and 415 by code, else 422. */
export const refuse = (problems: readonly Problem[], more: object = {}): Response =>
  json({ problems, ...more }, STATUS[problems[0]?.code ?? ''] ?? 422);

/** An archive as a download, streamed; or why there is none. */
export const download = (out: Outgoing | undefined, gone: string): Response =>
  out
    ? new Response(Readable.toWeb(out.stream as Readable) as ReadableStream<Uint8Array>, {
        headers: {
          'content-type': 'application/zip',
          'content-length': String(out.bytes),
          'content-disposition': `attachment; filename="${out.name.replaceAll(/[^\w .-]/g, '_')}"`,
          'cache-control': 'no-store',
        },
      })
    : refuse([problem('no-such-thing', 'id', gone)]);

export const answer = <T>(result: Result<T>, status = 200): Response =>
  result.ok ? json(result.value, status) : refuse(result.problems);

const tooLarge = problem('too-large', '', 'That is more than 1 MB; a plan or kitchen is far smaller.');

/** The bytes of a body, at most {@link MOST_BYTES}, counted as they come in. */
async function bytesOf(request: Request): Promise<Result<Uint8Array>> {
  const bytes: Uint8Array[] = [];
  let length = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const part = await reader?.read();
    if (!part || part.done) return good(Buffer.concat(bytes));
    length += part.value.byteLength;
    if (length > MOST_BYTES) {
      await reader?.cancel().catch(() => undefined);
      return bad(tooLarge);
    }
    bytes.push(part.value);
  }
}

/** Reads a JSON body of at most {@link MOST_BYTES}. */
export async function body(request: Request): Promise<Result<unknown>> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/json\b/i.test(type))
    return bad(problem('not-json', '', 'Send JSON, and say so in content-type.'));
  const bytes = await bytesOf(request);
  if (!bytes.ok) return bytes;
  try {
    return good(JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes.value)) as unknown);
  } catch {
    return bad(problem('broken-json', '', 'The request is not complete JSON.'));
  }
}

/** An id as it stands in an address: letters, figures and a few signs, nothing that could mean something else. */
export const idSchema = z.string().regex(/^[^\p{Cc}/\\]{1,80}$/u, 'That is no id of this kitchen.');

/** Under which a sender makes a thing once, however often it sends it; undefined where it names none. */
export const keyOf = (headers: Headers): string | undefined => {
  const read = keySchema.safeParse(headers.get('idempotency-key') ?? undefined);
  return read.success ? read.data : undefined;
};
const keySchema = z.string().regex(/^[\w-]{8,80}$/);

/** A place in a list, as an address carries it: what it is ordered by and the id, with a tilde between. */
export const placeSchema = z
  .string()
  .regex(/^[^\p{Cc}]{1,300}~[^\p{Cc}~]{1,80}$/u, 'That is no place in this list.')
  .transform((s) => ({ at: s.slice(0, s.lastIndexOf('~')), id: s.slice(s.lastIndexOf('~') + 1) }));
export const pageSchema = z.object({
  after: placeSchema.optional(),
  word: z
    .string()
    .regex(/^[^\p{Cc}]{0,100}$/u, 'Look for at most 100 letters and signs.')
    .transform((s) => s.trim())
    .optional(),
});

interface Asked<P, Q, B> {
  readonly headers: Headers;
  readonly params: P;
  readonly query: Q;
  readonly body: B;
  /** The body as it came, of a route that reads no JSON. */
  readonly bytes: Uint8Array;
}
interface Spec<P, Q, B> {
  readonly params?: z.ZodType<P>;
  readonly query?: z.ZodType<Q>;
  readonly body?: z.ZodType<B>;
  readonly work: (asked: Asked<P, Q, B>) => Promise<Response>;
}
type Context = { readonly params: Promise<unknown> };

async function checked<P, Q, B>(request: Request, context: Context, spec: Spec<P, Q, B>): Promise<Response> {
  const params = await context.params;
  const read = <T>(schema: z.ZodType<T> | undefined, value: unknown): Result<T> => {
    if (!schema) return good(undefined as T);
    const parsed = schema.safeParse(value);
    return parsed.success ? good(parsed.data) : bad(...problemsOf(parsed.error));
  };
  const asked = read(spec.params, decoded(params));
  // What is no id names nothing.
  if (!asked.ok) return refuse([problem('no-such-thing', 'id', 'There is nothing here by that name.')]);
  const query = read(spec.query, Object.fromEntries(new URL(request.url).searchParams));
  if (!query.ok) return refuse(query.problems);
  // A route that takes no body takes no big one either.
  const sent: Result<unknown> = spec.body ? await body(request) : await bytesOf(request);
  if (!sent.ok) return refuse(sent.problems);
  const taken = read(spec.body, sent.value);
  if (!taken.ok) return refuse(taken.problems);
  return spec.work({
    headers: request.headers,
    params: asked.value,
    query: query.value,
    body: taken.value,
    bytes: sent.value instanceof Uint8Array ? sent.value : new Uint8Array(),
  });
}

/** Parts of an address, decoded once more where the router left them as they were; undefined where they cannot be. */
function decoded(params: unknown): unknown {
  const parts = z.record(z.string(), z.string()).safeParse(params ?? {});
  if (!parts.success) return undefined;
  try {
    return Object.fromEntries(Object.entries(parts.data).map(([k, v]) => [k, decodeURIComponent(v)]));
  } catch {
    return undefined;
  }
}

const NO_ROOM = {
  status: 507,
  code: 'no-room',
  sentence:
    'The disk is full: nothing more can be written down until there is room. What you entered is still on your screen.',
} as const;
const HELD = {
  status: 503,
  code: 'locked',
  sentence:
    'Another program holds the kitchen’s file. What you entered is still on your screen; it is written down once that program lets go.',
} as const;
/** What stands in the way of writing, by SQLite's own word for it. */
const TROUBLES: Readonly<
  Record<string, { readonly status: number; readonly code: string; readonly sentence: string } | undefined>
> = {
  SQLITE_FULL: NO_ROOM,
  SQLITE_BUSY: HELD,
  SQLITE_LOCKED: HELD,
};

/**
 * A route: its address, query and body go through their schemas before anything else is done; another site's request is refused; what goes wrong
 * unexpectedly is logged with a note and told without what is inside.
 */
export function endpoint<P = unknown, Q = unknown, B = unknown>(spec: Spec<P, Q, B>) {
  return async (request: Request, context: Context): Promise<Response> => {
    try {
      const origin = request.headers.get('origin');
      if (origin !== null && !sameOrigin(origin, request.headers.get('host')))
        return refuse([problem('other-origin', '', 'Requests are taken from this kitchen’s own pages only.')]);
      return await checked(request, context, spec);
    } catch (e) {
      const note = nanoid(8);
      console.error(
        `request ${note} ${request.method} ${request.url.replace(/^\w+:\/\/[^/]*/, '').split('?', 1)[0]}`,
        e,
      );
      const trouble = TROUBLES[sqliteCode(e)];
      if (trouble) return json({ problems: [problem(trouble.code, '', trouble.sentence)] }, trouble.status);
      return json(
        {
          problems: [
            problem(
              'unexpected',
              '',
              `Something went wrong here (note ${note}). What you entered is still on your screen; try again.`,
            ),
          ],
        },
        500,
      );
    }
  };
}
