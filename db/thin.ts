import { there } from '@/core/units';
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** Up to an age, ms, one version is kept in each slot, ms. */
const SLOTS: readonly (readonly [number, number])[] = [
  [10 * MINUTE, 0],
  [DAY, 5 * MINUTE],
  [30 * DAY, DAY],
  [Infinity, 7 * DAY],
];
/** A version that was refused is kept this long, ms. */
const REFUSED_KEPT = 90 * DAY;
/** Two versions written in turn are no further apart than this, whatever the clock says: it may have been wrong, ms. */
const LEAP = 2 * DAY;
/** From a leap of the clock on this many versions are as young as those before it were. */
const SETTLED = 100;

export interface Kept {
  readonly id: number;
  readonly at: string;
  readonly refused: boolean;
  /** True for one that something rests on: a batch was made from it. */
  readonly held: boolean;
}

/**
 * Ages of versions, ms, by the gaps between their own times: a clock that leaps by months, or back, ages nothing until enough was written after it
 * to be sure that it was no slip.
 * @param times newest first, ms
 */
function agesOf(times: readonly number[], nowMs: number): readonly number[] {
  let age = 0;
  let later = nowMs;
  return times.map((at, i) => {
    const gap = Number.isNaN(at) ? 0 : Math.max(0, later - at);
    age += gap > LEAP && i < SETTLED ? 0 : gap;
    if (!Number.isNaN(at)) later = at;
    return age;
  });
}

/**
 * Which versions of a plan may go: the newest, the first and those a batch was made from stay; of the others all of the last ten minutes, one
 * in five minutes of the last day, one a day of the last month, one a week before; the newest of each slot.
 * @param versions newest first
 */
export function thinned(versions: readonly Kept[], nowMs: number): readonly number[] {
  const slots = new Set<string>();
  const times = versions.map((v) => Date.parse(v.at));
  const ages = agesOf(times, nowMs);
  return versions.flatMap((v, i) => {
    const atMs = times[i] ?? NaN;
    const age = ages[i] ?? 0;
    if (i === 0 || i === versions.length - 1 || v.held || Number.isNaN(atMs)) return [];
    if (v.refused) return age > REFUSED_KEPT ? [v.id] : [];
    const [, slot] = SLOTS.find(([to]) => age <= to) ?? there(SLOTS.at(-1));
    if (slot === 0) return [];
    const name = `${slot}/${Math.floor(atMs / slot)}`;
    if (slots.has(name)) return [v.id];
    slots.add(name);
    return [];
  });
}
