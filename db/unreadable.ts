import type { z } from 'zod';
import { problemsOf } from '@/core/plan';
import { bad, good, problem, type Problem, type Result } from '@/core/units';
import { isWhole } from './sum';

/** A row whose document cannot be read: shown as it is, never hidden, never written over unasked. */
export interface Unreadable {
  readonly id: string;
  readonly revision: number;
  readonly raw: string;
  readonly problems: readonly Problem[];
}

/** Reads what a schema checks, for {@link readDocument}. */
export const readWith =
  <T>(schema: z.ZodType<T>) =>
  (doc: unknown): Result<T> => {
    const parsed = schema.safeParse(doc);
    return parsed.success ? good(parsed.data) : bad(...problemsOf(parsed.error));
  };

/**
 * Reads the text of a document; text that is no JSON, or not the text that was written, is a problem like any other.
 * @param sum its checksum as it was written; absent for what has none
 */
export function readDocument<T>(raw: string, read: (doc: unknown) => Result<T>, sum?: number | null): Result<T> {
  if (!isWhole(raw, sum))
    return bad(
      problem('damaged', '', 'What stands in the file here is not what was written: a part of it has been damaged.'),
    );
  let doc: unknown;
  try {
    doc = JSON.parse(raw);
  } catch {
    return bad(problem('broken-json', '', 'It is not complete JSON.'));
  }
  return read(doc);
}
