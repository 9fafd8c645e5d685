import { pathOf } from '../kit/scales';

/** Points a side of an outline is looked at in, before those on a straight line are left out. */
const STEPS = 24;
/** What rounding puts a point beside a straight line, drawing units. */
const STRAIGHT = 1e-6;
type Point = readonly [number, number];

/** Whether a point lies on the straight line between two others. */
const between = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): boolean =>
  Math.abs((bx - ax) * (cy - ay) - (by - ay) * (cx - ax)) <= STRAIGHT * Math.hypot(cx - ax, cy - ay);

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
  const all = [...side(-1).reverse(), ...side(1)];
  return pathOf(all.filter((p, i) => i === 0 || i === all.length - 1 || !between(all[i - 1], p, all[i + 1])));
}
