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

/** Distance from the origin to the nearest edge line of a convex polygon about it, m. */
export function innerRadius(p: Polygon): number {
  return p.reduce((least, [x0, y0], i) => {
    const [x1, y1] = p[(i + 1) % p.length];
    return Math.min(least, Math.abs(x0 * y1 - x1 * y0) / Math.hypot(x1 - x0, y1 - y0));
  }, Infinity);
}

/** The part of `subject` inside a convex `clip` polygon (Sutherland & Hodgman 1974); edges that cut nothing cost one test a corner. */
export function clipConvex(subject: Polygon, clip: Polygon): Polygon {
  let out: Polygon = subject;
  for (let i = 0; i < clip.length && out.length > 0; i++) {
    const a = clip[i];
    const b = clip[i + 1 === clip.length ? 0 : i + 1];
    const ex = b[0] - a[0];
    const ey = b[1] - a[1];
    let cuts = false;
    for (let j = 0; j < out.length; j++)
      if (ex * (out[j][1] - a[1]) - ey * (out[j][0] - a[0]) < -1e-12) {
        cuts = true;
        break;
      }
    if (cuts) out = clipByLine(out, a, ex, ey);
  }
  return out;
}

/** The part of a polygon to the left of the line through `a` along (ex, ey). */
function clipByLine(polygon: Polygon, a: Point, ex: number, ey: number): Polygon {
  const kept: Point[] = [];
  const side = (p: Point): number => ex * (p[1] - a[1]) - ey * (p[0] - a[0]);
  for (let j = 0; j < polygon.length; j++) {
    const p = polygon[j];
    const prev = polygon[j === 0 ? polygon.length - 1 : j - 1];
    const d = side(p);
    const dPrev = side(prev);
    if (d >= 0 !== dPrev >= 0) {
      const u = dPrev / (dPrev - d);
      kept.push([prev[0] + u * (p[0] - prev[0]), prev[1] + u * (p[1] - prev[1])]);
    }
    if (d >= 0) kept.push(p);
  }
  return kept;
}
