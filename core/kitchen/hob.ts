import type { Heat, RingKind } from './kinds';
import { inSentence } from '../units';
import type { Ring } from './hobSchema';

/** Usual leftover heat, s: a gas flame and an induction coil stop at once, an electric plate cools slowly. */
const LEFTOVER_S: Readonly<Record<RingKind, number>> = { gas: 0, electric: 240, induction: 0 };
export const leftoverOf = (ring: Ring): number => ring.leftoverS ?? LEFTOVER_S[ring.kind];

/**
 * A ring at a heat as the cook says it: "front ring at 5" by her own mark, "front ring, medium heat" without one.
 */
export const sayRing = (ring: Ring, heat: Heat): string => {
  const name = inSentence(ring.name);
  const mark = ring.marks[heat];
  return mark === undefined ? `${name}, ${heat} heat` : `${name} at ${mark}`;
};
