/**
 * An expected failure, told to the cook: where it is, a stable code, and one sentence that says what to change.
 * `path` is a dotted path into the document that was read, e.g. `batters.0.lines.2.massG`.
 */
export interface Problem<Code extends string = string> {
  readonly code: Code;
  readonly path: string;
  readonly sentence: string;
}

/** Either a value, or every problem that was found (collected, not the first one only). */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

export const good = <T>(value: T): Result<T> => ({ ok: true, value });
export const bad = (...problems: Problem[]): Result<never> => ({ ok: false, problems });
export const problem = <Code extends string>(code: Code, path: string, sentence: string): Problem<Code> => ({
  code,
  path,
  sentence,
});
