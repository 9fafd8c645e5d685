import { clipConvex, innerRadius, polygonArea, type Point, type Polygon } from './polygon';

/** A cell pattern: parallelograms spanned by `u` and `v`, m; `offset` moves the origin off a corner, in cells ([0.5, 0.5]: onto a cell's middle). */
export interface Lattice {
  readonly u: Point;
  readonly v: Point;
  readonly offset: Point;
}

/** Placings that are worth trying. */
export const OFFSETS: readonly Point[] = [
  [0, 0],
  [0.5, 0.5],
  [0.5, 0],
  [0.25, 0.25],
];

export const cellArea = ({ u, v }: Lattice): number => Math.abs(u[0] * v[1] - u[1] * v[0]);

/** Squares or rectangles; diamonds with an acute angle between their sides. */
export const rectLattice = (w: number, h: number, offset: Point): Lattice => ({ u: [w, 0], v: [0, h], offset });
export const diamondLattice = (side: number, acuteDeg: number, offset: Point): Lattice => {
  const half = (acuteDeg * Math.PI) / 360;
  return {
    u: [side * Math.cos(half), side * Math.sin(half)],
    v: [side * Math.cos(half), -side * Math.sin(half)],
    offset,
  };
};

/** Lattice indices whose cells can reach a disc of the radius. */
function reach({ u, v, offset }: Lattice, radius: number): readonly (readonly [number, number])[] {
  const n =
    Math.ceil((radius + Math.hypot(...u) + Math.hypot(...v)) / Math.min(heightOver(u, v), heightOver(v, u))) + 1;
  const far = radius + Math.hypot(u[0] + v[0], u[1] + v[1]);
  const out: [number, number][] = [];
  for (let i = -n; i <= n; i++)
    for (let j = -n; j <= n; j++) {
      const [a, b] = [i - offset[0], j - offset[1]];
      const x = (a + 0.5) * u[0] + (b + 0.5) * v[0];
      const y = (a + 0.5) * u[1] + (b + 0.5) * v[1];
      if (x * x + y * y <= far * far) out.push([a, b]);
    }
  return out;
}
const heightOver = (a: Point, b: Point): number => Math.abs(a[0] * b[1] - a[1] * b[0]) / Math.hypot(...a);

/** All cells clipped to a convex outline, crumbs left out. */
export function latticeCells(lattice: Lattice, outline: Polygon): readonly Polygon[] {
  const { u, v } = lattice;
  const outer = Math.max(...outline.map((p) => Math.hypot(...p)));
  const inner = innerRadius(outline);
  const out: Polygon[] = [];
  for (const [i, j] of reach(lattice, outer)) {
    const at = (a: number, b: number): Point => [(i + a) * u[0] + (j + b) * v[0], (i + a) * u[1] + (j + b) * v[1]];
    const corners: Point[] = [at(0, 0), at(1, 0), at(1, 1), at(0, 1)];
    const whole: Polygon = u[0] * v[1] - u[1] * v[0] > 0 ? corners : [...corners].reverse();
    const far = Math.max(...whole.map(([x, y]) => x * x + y * y));
    const cell = far <= inner * inner ? whole : clipConvex(whole, outline);
    if (cell.length >= 3 && polygonArea(cell) > 1e-9) out.push(cell);
  }
  return out;
}

const SAMPLES = 6;

/**
 * How many cells keep at least a share of themselves inside; for searching a pitch. Cells well within count at once, cells well outside never,
 * those at the rim by sampling.
 * @param radius the outline lies within it; @param inner it lies within the outline
 */
export function countWhole(
  lattice: Lattice,
  radius: number,
  inner: number,
  inside: (x: number, y: number) => boolean,
  share: number,
): number {
  const { u, v } = lattice;
  const half = Math.max(Math.hypot(u[0] + v[0], u[1] + v[1]), Math.hypot(u[0] - v[0], u[1] - v[1])) / 2;
  let count = 0;
  for (const [i, j] of reach(lattice, radius)) {
    const mx = (i + 0.5) * u[0] + (j + 0.5) * v[0];
    const my = (i + 0.5) * u[1] + (j + 0.5) * v[1];
    const middle = Math.sqrt(mx * mx + my * my);
    if (middle + half <= inner) {
      count++;
      continue;
    }
    if (middle - half >= radius) continue;
    let hit = 0;
    for (let b = 0; b < SAMPLES; b++)
      for (let a = 0; a < SAMPLES; a++) {
        const s = i + (a + 0.5) / SAMPLES;
        const t = j + (b + 0.5) / SAMPLES;
        if (inside(s * u[0] + t * v[0], s * u[1] + t * v[1])) hit++;
      }
    if (hit >= share * SAMPLES * SAMPLES) count++;
  }
  return count;
}
