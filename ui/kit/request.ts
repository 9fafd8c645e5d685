import type { Problem } from '@/core/units';

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

/** JSON request to our own routes; a 4xx or 5xx becomes {@link Refused} with its problems. */
export async function request<T>(
  path: string,
  method: 'GET' | 'POST' | 'PUT' | 'DELETE' = 'GET',
  send?: unknown,
): Promise<T> {
  const response = await fetch(path, {
    method,
    headers: send === undefined ? undefined : { 'content-type': 'application/json' },
    body: send === undefined ? undefined : JSON.stringify(send),
  });
  const body: unknown = await response.json().catch(() => undefined);
  if (!response.ok)
    throw new Refused(response.status, (body as { problems?: Problem[] } | undefined)?.problems ?? [], body);
  return body as T;
}
