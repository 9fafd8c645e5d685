import { bad, good, problem, type Result } from '../units';

/** Parses JSON text. Error `broken-json`, with the line where reading stopped when it is known. */
export function readJson(text: string): Result<unknown> {
  try {
    return good(JSON.parse(text) as unknown);
  } catch (e) {
    const at = /position (\d+)/.exec(e instanceof Error ? e.message : '');
    const line = at ? text.slice(0, Number(at[1])).split('\n').length : undefined;
    return bad(
      problem(
        'broken-json',
        '',
        `This is not complete JSON${line ? `: reading stopped in line ${line}` : ''}. Check for a missing comma, quote or bracket.`,
      ),
    );
  }
}
