import { line } from 'd3-shape';

const path = line();
/** Points a side of an outline is drawn by. */
const STEPS = 24;

/**
 * A vessel cut through the middle, up to a height, as an SVG path from its left rim over the base to its right.
 * @param halfWidthAt half of the inside width at a height, m
 * @param toM that height, m
 * @param x drawing x at a distance right of the middle, m
 * @param y drawing y at a height, m
 */
export function sectionPath(
  halfWidthAt: (zM: number) => number,
  toM: number,
  x: (m: number) => number,
  y: (m: number) => number,
): string {
  const heights = Array.from({ length: STEPS + 1 }, (_, i) => (toM * i) / STEPS);
  const side = (sign: 1 | -1) => heights.map((z): [number, number] => [x(sign * halfWidthAt(z)), y(z)]);
  return path([...side(-1).reverse(), ...side(1)]) ?? '';
}
