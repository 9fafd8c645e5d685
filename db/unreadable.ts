import { bad, problem, type Problem, type Result } from '@/core/units';

/** A row whose document cannot be read: shown as it is, never hidden, never written over unasked. */
export interface Unreadable {
  readonly id: string;
  readonly revision: number;
  readonly raw: string;
  readonly problems: readonly Problem[];
}

/** Reads the text of a document; text that is no JSON is a problem like any other. */
export function readDocument<T>(raw: string, read: (doc: unknown) => Result<T>): Result<T> {
  let doc: unknown;
  try {
    doc = JSON.parse(raw);
  } catch {
    return bad(problem('broken-json', '', 'It is not complete JSON.'));
  }
  return read(doc);
}
