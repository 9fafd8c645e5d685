import type { Fix } from '../../stations/mix';
import type { Plan } from '../../plan';

/** A fix that makes one plan into another, as the fields in which they differ. */
export function becoming(words: string, from: Plan, to: Plan): Fix {
  const keys = [...new Set([...Object.keys(from), ...Object.keys(to)])] as (keyof Plan)[];
  const set = Object.fromEntries(keys.filter((k) => from[k] !== to[k]).map((k) => [k, to[k]]));
  return { words, changes: [{ what: 'plan', set }] };
}
/** A fix that sets some fields. */
export const setting = (words: string, set: Partial<Plan>): Fix => ({ words, changes: [{ what: 'plan', set }] });
