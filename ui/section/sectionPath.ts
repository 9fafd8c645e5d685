import { there } from '@/core/units';
import { pathOf } from '../kit/scales';

/** Points a side of an outline is looked at in, closer to the base, where bowls turn, before those on a straight line are left out. */
const STEPS = 24;
/** So far beside a straight line a point is still on it, drawing units: less than is seen, and more than rounding does. */
const STRAIGHT = 0.25;
type Point = readonly [number, number];

/** How far a point lies beside the line through two others, drawing units. */
const beside = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  Math.abs((bx - ax) * (cy - ay) - (by - ay) * (cx - ax)) / Math.max(1e-9, Math.hypot(cx - ax, cy - ay));

/** The points of a line that it cannot do without: the farthest from the straight one is kept, and each half looked at in the same way. */
function needed(points: readonly Point[]): readonly Point[] {
  const [first, last] = [there(points[0]), there(points.at(-1))];
  let [at, most] = [0, STRAIGHT];
  for (let i = 1; i < points.length - 1; i++) {
    const off = beside(first, there(points[i]), last);
    if (off > most) [at, most] = [i, off];
  }
  return at === 0 ? [first, last] : [...needed(points.slice(0, at + 1)), ...needed(points.slice(at)).slice(1)];
}

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
  const heights = Array.from({ length: STEPS + 1 }, (_, i) => toM * (i / STEPS) ** 2);
  const side = (sign: 1 | -1) => heights.map((z): [number, number] => [x(sign * halfWidthAt(z)), y(z)]);
  return pathOf([...needed(side(-1).reverse()), ...needed(side(1))]);
}
