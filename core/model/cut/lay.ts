import { cellArea, countWhole, latticeCells, OFFSETS, type Lattice } from './lattice';
import { clipConvex, innerRadius, polygonArea, type Point, type Polygon } from './polygon';

/** Width lost to the blade, m. */
export const KERF_M = 0.001;
/** A piece under this share of a whole one counts as an offcut. */
export const OFFCUT_BELOW = 0.6;
const COIN_SIDES = 32;

/** Beyond the most slender, a grid of pieces that are not so many is taken. */
const TOO_SLENDER = 6;

/** Columns and rows for about `pieces` pieces as square as the sides allow. @param mostSlender longest side ÷ shortest that will do */
export function gridFor(
  pieces: number,
  width: number,
  height: number,
  mostSlender = Infinity,
): readonly [number, number] {
  let best: readonly [number, number] = [1, pieces];
  let bestCost = Infinity;
  for (let nx = 1; nx <= pieces; nx++) {
    const ny = Math.max(1, Math.round(pieces / nx));
    const slender = Math.abs(Math.log(width / nx / (height / ny)));
    const cost = Math.abs(nx * ny - pieces) * 3 + slender + (slender > Math.log(mostSlender) ? TOO_SLENDER : 0);
    if (cost < bestCost) {
      bestCost = cost;
      best = [nx, ny];
    }
  }
  return best;
}

export interface Lay {
  readonly cells: readonly Polygon[];
  readonly whole: number;
  readonly pitch: readonly [number, number];
}

/** How many of the nearest lattices by sampling are cut exactly. */
const TRY_EXACTLY = 2;

/** A lattice whose whole pieces come nearest a count: over pitches about the fair one and all placings by sampling, the nearest few cut exactly. */
export function latticeForCount(
  make: (pitch: number, offset: Point) => Lattice,
  pieces: number,
  fair: number,
  outline: Polygon,
  inside: (x: number, y: number) => boolean,
): { readonly lattice: Lattice; readonly cells: readonly Polygon[] } {
  const radius = Math.max(...outline.map((p) => Math.hypot(...p)));
  const inner = innerRadius(outline);
  const tried: { lattice: Lattice; off: number; drift: number }[] = [];
  for (let step = 0; step <= 9; step++) {
    const drift = (step % 2 === 0 ? 1 : -1) * Math.ceil(step / 2) * 0.015;
    for (const offset of OFFSETS) {
      const lattice = make(fair * (1 + drift), offset);
      tried.push({
        lattice,
        off: Math.abs(countWhole(lattice, radius, inner, inside, OFFCUT_BELOW) - pieces),
        drift: Math.abs(drift),
      });
    }
  }
  tried.sort((x, y) => x.off - y.off || x.drift - y.drift);
  let best: { lattice: Lattice; cells: readonly Polygon[] } | undefined;
  let bestOff = Infinity;
  for (const t of tried.slice(0, TRY_EXACTLY)) {
    const least = OFFCUT_BELOW * cellArea(t.lattice);
    const cells = latticeCells(t.lattice, outline);
    const off = Math.abs(cells.filter((c) => polygonArea(c) >= least).length - pieces);
    if (off < bestOff) {
      bestOff = off;
      best = { lattice: t.lattice, cells };
    }
    if (off === 0) break;
  }
  return best ?? { lattice: tried[0].lattice, cells: latticeCells(tried[0].lattice, outline) };
}

export function wedges(outline: Polygon, n: number): readonly Polygon[] {
  const far = 2 * Math.max(...outline.map((p) => Math.hypot(...p)));
  const out: Polygon[] = [];
  for (let i = 0; i < n; i++) {
    const from = (2 * Math.PI * i) / n;
    const to = (2 * Math.PI * (i + 1)) / n;
    const mid = (from + to) / 2;
    const ray = (a: number): Point => [far * Math.cos(a), far * Math.sin(a)];
    out.push(n === 1 ? outline : clipConvex(outline, [[0, 0], ray(from), ray(mid), ray(to)]));
  }
  return out;
}

export function coins(
  outline: Polygon,
  diameter: number,
  inside: (x: number, y: number) => boolean,
): readonly Polygon[] {
  const pitch = diameter + KERF_M;
  const row = (pitch * Math.sqrt(3)) / 2;
  const radius = Math.max(...outline.map((p) => Math.hypot(...p)));
  const n = Math.ceil(radius / row) + 1;
  const r = diameter / 2;
  let best: Polygon[] = [];
  for (const [sx, sy] of [
    [0, 0],
    [0.5, 0],
    [0.25, 0.5],
    [0, 1 / 3],
  ] as const) {
    const list: Polygon[] = [];
    for (let j = -n; j <= n; j++)
      for (let i = -n - 1; i <= n + 1; i++) {
        const x = (i + sx + (j % 2 === 0 ? 0 : 0.5)) * pitch;
        const y = (j + sy) * row;
        const rim = Array.from({ length: COIN_SIDES }, (_, k): Point => [
          x + r * Math.cos((2 * Math.PI * k) / COIN_SIDES),
          y + r * Math.sin((2 * Math.PI * k) / COIN_SIDES),
        ]);
        if (rim.every(([px, py]) => inside(px, py))) list.push(rim);
      }
    if (list.length > best.length) best = list;
  }
  return best;
}
