import { sayDuration } from '@/core/units';

const clock = (ms: number): string => new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
const DAY_MS = 86_400_000;
const dayOf = (ms: number): number => Math.floor((ms - new Date(ms).getTimezoneOffset() * 60_000) / DAY_MS);
const dayWords = (ms: number, nowMs: number): string => {
  const days = dayOf(ms) - dayOf(nowMs);
  return days === 0 ? '' : days === 1 ? ' tomorrow' : days === -1 ? ' yesterday' : ` in ${days} days`;
};

/** When a cake would be ready if it were begun now; where it is wanted by a time, when to begin, or how far too late it is. */
export function whenWords(
  totalS: number,
  nowMs: number,
  byMs: number | undefined,
): { readonly words: string; readonly late: boolean } {
  const readyMs = nowMs + totalS * 1000;
  if (byMs === undefined)
    return { words: `ready ${clock(readyMs)}${dayWords(readyMs, nowMs)} if begun now`, late: false };
  const spareMs = byMs - readyMs;
  return spareMs >= 0
    ? { words: `begin by ${clock(nowMs + spareMs)}${dayWords(nowMs + spareMs, nowMs)}`, late: false }
    : { words: `${sayDuration(-spareMs / 1000)} too late`, late: true };
}

/** The next time the clock says so much. @param hhmm "18:30" */
export function nextAt(hhmm: string, nowMs: number): number | undefined {
  const m = /^(\d{1,2}):(\d{2})$/.exec(hhmm);
  if (!m) return undefined;
  const at = new Date(nowMs);
  at.setHours(Number(m[1]), Number(m[2]), 0, 0);
  return at.getTime() > nowMs ? at.getTime() : at.getTime() + DAY_MS;
}
