import { MOST_VESSELS } from './kinds';
import type { Vessel } from './vesselSchema';

/** Vessels that a ruler cannot tell apart, m. */
const ALIKE_M = 0.0006;
const APART = new Set(['id', 'name', 'count', 'provenance']);

/** True for two of a kind: the same shape and material, each size the same by a ruler. */
export function isAlike(a: Vessel, b: Vessel): boolean {
  const [x, y] = [a, b] as unknown as readonly [Record<string, unknown>, Record<string, unknown>];
  const keys = new Set([...Object.keys(x), ...Object.keys(y)].filter((k) => !APART.has(k)));
  return [...keys].every((k) => {
    const [p, q] = [x[k], y[k]];
    return typeof p === 'number' && typeof q === 'number' ? Math.abs(p - q) <= ALIKE_M : p === q;
  });
}

/**
 * A vessel of the rack with every other of its kind counted in: two sets of twelve dishes are twenty-four. One that is written into a plan
 * is as many as it says.
 */
export const withItsKind = (vessel: Vessel, rack: readonly Vessel[]): Vessel => {
  if (!rack.includes(vessel)) return vessel;
  const count = rack.reduce((n, v) => (isAlike(v, vessel) ? n + v.count : n), 0);
  return count > vessel.count ? { ...vessel, count: Math.min(MOST_VESSELS, count) } : vessel;
};

/** The rack by kinds: the first of each, with all of them counted. */
export const kindsOf = (rack: readonly Vessel[]): readonly Vessel[] =>
  rack.filter((v, i) => rack.findIndex((w) => isAlike(w, v)) === i).map((v) => withItsKind(v, rack));
