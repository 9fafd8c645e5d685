import type { Problem } from '@/core/units';
import { freshId } from './freshId';

/** What went wrong, in a sentence that is meant for the cook; other errors speak of the machine's insides. */
export class Spoken extends Error {}

/** What the kitchen refused, and why. */
export class Refused extends Spoken {
  constructor(
    readonly status: number,
    readonly problems: readonly Problem[],
    readonly body: unknown,
  ) {
    super(problems.map((p) => p.sentence).join(' ') || 'The kitchen did not answer as expected; try again.');
  }
}

/** True where the same thing can be sent again as it is: nobody answered, or the kitchen itself was in trouble. */
export const worthAgain = (e: unknown): boolean =>
  !(e instanceof Refused) || e.status >= 500 || e.status === 408 || e.status === 429;

/** What went wrong, in a sentence for the cook. */
export const sentenceOf = (e: unknown, otherwise = 'The kitchen does not answer; try again.'): string =>
  e instanceof Spoken ? e.message : otherwise;

/** A request that nobody answers is given up after this long: then it is as if the kitchen were out of reach, ms. */
const PATIENCE_MS = 10_000;

/**
 * JSON request to our own routes; a 4xx or 5xx becomes {@link Refused} with its problems.
 * @param key under which the kitchen makes a thing once, however often it is asked
 */
export async function request<T>(
  path: string,
  method: 'GET' | 'POST' | 'PUT' | 'DELETE' = 'GET',
  send?: unknown,
  { key, patienceMs = PATIENCE_MS }: { readonly key?: string; readonly patienceMs?: number } = {},
): Promise<T> {
  const response = await fetch(path, {
    method,
    headers: {
      ...(send === undefined ? {} : { 'content-type': 'application/json' }),
      ...(key === undefined ? {} : { 'idempotency-key': key }),
    },
    body: send === undefined ? undefined : JSON.stringify(send),
    signal: AbortSignal.timeout(patienceMs),
  });
  const body: unknown = await response.json().catch(() => undefined);
  if (!response.ok)
    throw new Refused(response.status, (body as { problems?: Problem[] } | undefined)?.problems ?? [], body);
  return body as T;
}

/** Keys of what was sent to be made and whose answer was not heard, by what was sent. */
const unheard = new Map<string, string>();

/** Has the kitchen make a thing: sent once more after its answer was lost, it is the same thing and no second one. */
export async function makeOnce<T>(path: string, send: unknown): Promise<T> {
  const what = `${path} ${JSON.stringify(send)}`;
  const key = unheard.get(what) ?? freshId();
  unheard.set(what, key);
  try {
    const made = await request<T>(path, 'POST', send, { key });
    unheard.delete(what);
    return made;
  } catch (e) {
    if (!worthAgain(e)) unheard.delete(what);
    throw e;
  }
}
