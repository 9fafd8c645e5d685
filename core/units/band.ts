/** A usual range, low to high. */
export type Band = readonly [number, number];
