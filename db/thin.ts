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

export interface Kept {
  readonly id: number;
  readonly at: string;
  readonly refused: boolean;
  /** True for one that something rests on: a batch was made from it. */
  readonly held: boolean;
}

/**
 * Which versions of a plan may go: the newest, the first and those a batch was made from stay; of the others all of the last ten minutes, one
 * in five minutes of the last day, one a day of the last month, one a week before; the newest of each slot.
 * @param versions newest first
 */
export function thinned(versions: readonly Kept[], nowMs: number): readonly number[] {
  const slots = new Set<string>();
  return versions.flatMap((v, i) => {
    const atMs = Date.parse(v.at);
    const age = nowMs - atMs;
    if (i === 0 || i === versions.length - 1 || v.held || Number.isNaN(age)) return [];
    if (v.refused) return age > REFUSED_KEPT ? [v.id] : [];
    const [, slot] = SLOTS.find(([to]) => age <= to) ?? SLOTS[SLOTS.length - 1];
    if (slot === 0) return [];
    const name = `${slot}/${Math.floor(atMs / slot)}`;
    if (slots.has(name)) return [v.id];
    slots.add(name);
    return [];
  });
}
