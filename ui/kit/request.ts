import type { Problem } from '@/core/units';

export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problems: readonly Problem[],
    readonly body: unknown,
  ) {
    super(problems.map((p) => p.sentence).join(' ') || 'The kitchen did not answer as expected; try again.');
  }
}

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
