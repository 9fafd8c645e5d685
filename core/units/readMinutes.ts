import { readAmount, timesAmount, type TypedAmount } from './readAmount';

const UNITS: Readonly<Record<string, number>> = { d: 1440, h: 60, m: 1, s: 1 / 60 };
const SAID =
  /^(?:(?<d>[^a-z]+?)\s*(?:d|days?))?\s*(?:(?<h>[^a-z]+?)\s*(?:h|hr|hrs|hours?))?\s*(?:(?<m>[^a-z]+?)\s*(?:m|min|mins|minutes?))?\s*(?:(?<s>[^a-z]+?)\s*(?:s|sec|secs|seconds?))?$/;

/**
 * Reads a time as a cook types it, in minutes: 90 min, 4 h, 1½ h, 1 h 30, 1:30 (hours and minutes), 2 d, 45 s. A figure alone is not read here.
 * @example readMinutes('1 h 30 min') // { kind: 'amount', value: 90 }
 */
export function readMinutes(text: string): TypedAmount {
  const t = text.trim().toLowerCase();
  const bad: TypedAmount = {
    kind: 'bad',
    sentence: `"${text}" is not a time: use figures, like 90 min, 4 h or 1 h 30.`,
  };
  const clock = /^(\d{1,3})\s*:\s*([0-5]\d)$/.exec(t);
  if (clock) return { kind: 'amount', value: 60 * Number(clock[1]) + Number(clock[2]) };
  // "1 h 30" leaves the minutes unsaid.
  const said = SAID.exec(/h[a-z]*\s*\d+$/.test(t) ? `${t} min` : t)?.groups;
  const parts = Object.entries(said ?? {}).filter(([, figures]) => figures !== undefined);
  if (parts.length === 0) return bad;
  let sum = 0;
  for (const [unit, figures] of parts) {
    const read = timesAmount(readAmount(figures), UNITS[unit] ?? NaN);
    if (read.kind === 'ask' && parts.length === 1) return read;
    if (read.kind !== 'amount' || (read.value < 0 && parts.length > 1)) return bad;
    sum += read.value;
  }
  return { kind: 'amount', value: sum };
}
