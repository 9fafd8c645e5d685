/** A convex polygon, counter-clockwise, m. */
export type Point = readonly [number, number];
export type Polygon = readonly Point[];

/** Area by the shoelace sum, m². */
export function polygonArea(p: Polygon): number {
  let twice = 0;
  for (let i = 0; i < p.length; i++) {
    const [x0, y0] = p[i];
    const [x1, y1] = p[(i + 1) % p.length];
    twice += x0 * y1 - x1 * y0;
  }
  return Math.abs(twice) / 2;
}

/** The part of `subject` inside a convex `clip` polygon (Sutherland & Hodgman 1974). */
export function clipConvex(subject: Polygon, clip: Polygon): Polygon {
  let out: Point[] = [...subject];
  for (let i = 0; i < clip.length && out.length > 0; i++) {
    const [ax, ay] = clip[i];
    const [bx, by] = clip[(i + 1) % clip.length];
    const inside = ([x, y]: Point) => (bx - ax) * (y - ay) - (by - ay) * (x - ax) >= -1e-12;
    const cross = (p: Point, q: Point): Point => {
      const d1 = (bx - ax) * (p[1] - ay) - (by - ay) * (p[0] - ax);
      const d2 = (bx - ax) * (q[1] - ay) - (by - ay) * (q[0] - ax);
      const u = d1 / (d1 - d2);
      return [p[0] + u * (q[0] - p[0]), p[1] + u * (q[1] - p[1])];
    };
    const input = out;
    out = [];
    for (let j = 0; j < input.length; j++) {
      const p = input[j];
      const prev = input[(j + input.length - 1) % input.length];
      if (inside(p)) {
        if (!inside(prev)) out.push(cross(prev, p));
        out.push(p);
      } else if (inside(prev)) out.push(cross(prev, p));
    }
  }
  return out;
}
