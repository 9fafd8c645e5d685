/**
 * Structured finite-volume grids. Cells are numbered x fastest, then y, then z (z up from the base).
 * Axisymmetric grids use x = r and ny = 1. Curved or tapered walls cut cells: partial volumes, partial face apertures
 * and true wall area, so that volume and area are right on any grid.
 */
export type Side = 'base' | 'wall' | 'top';
export const SIDES: readonly Side[] = ['base', 'wall', 'top'];

export interface WallFace {
  readonly cell: number;
  /** Which sweep the face belongs to: 0 x or r, 1 y, 2 z. */
  readonly axis: 0 | 1 | 2;
  readonly areaM2: number;
  /** From the cell's centre to the wall, m. */
  readonly distanceM: number;
  readonly side: Side;
}

export interface HeatGrid {
  readonly n: readonly [number, number, number];
  /** Cell volumes, m³; 0 marks a cell outside the vessel. For quarter grids these are of the quarter. */
  readonly volume: Float64Array;
  /** Aperture ÷ centre distance between each cell and the next along x, y, z, m. */
  readonly link: readonly [Float64Array, Float64Array, Float64Array];
  readonly faces: readonly WallFace[];
  /** 1 for a cell next to a sloping wall that was cut or joined: it does not steer the step size. */
  readonly minor: Uint8Array;
  /** The grid's volume times this is the whole cake's (4 for a quarter). */
  readonly symmetry: number;
  /** Cell edges: r or x, y (empty when axisymmetric), and z, m. */
  readonly edgesX: Float64Array;
  readonly edgesY: Float64Array;
  readonly edgesZ: Float64Array;
}

/** How strongly cells narrow, by least error against the series at a number of cells: towards base and top, and towards the wall. */
const TO_ENDS = 1.4;
const TO_WALL = 2;

/** Cells that narrow towards both ends (base and top). */
const bothEnds = (n: number, length: number): Float64Array =>
  Float64Array.from({ length: n + 1 }, (_, i) => {
    const s = (2 * i) / n - 1;
    return (length / 2) * (1 + Math.sign(s) * (1 - (1 - Math.abs(s)) ** TO_ENDS));
  });

/** Cells that narrow towards the wall, where the field is steep: e(i) = L(1 − (1 − i/n)^2). */
const graded = (n: number, length: number): Float64Array =>
  Float64Array.from({ length: n + 1 }, (_, i) => length * (1 - (1 - i / n) ** TO_WALL));

const middle = (e: Float64Array, i: number): number => (e[i] + e[i + 1]) / 2;

/** A cell is a sliver when the wall leaves less than this of it. */
const SLIVER = 0.34;

/**
 * Slivers are joined, with their walls, to their neighbour `towards` cells back, towards the axis: they would only stiffen the system.
 * Volume and wall area are kept; a sliver's own paths, which are as small, are dropped.
 * @param towards by cell: how many cells back its inner neighbour lies; 0 for what is no sliver
 */
function mergeSlivers(
  faces: WallFace[],
  volume: Float64Array,
  links: readonly Float64Array[],
  strides: readonly number[],
  towards: Int32Array,
): void {
  const byCell = new Map<number, number[]>();
  faces.forEach((f, i) => byCell.set(f.cell, [...(byCell.get(f.cell) ?? []), i]));
  for (let c = volume.length - 1; c > 0; c--) {
    const into = c - towards[c];
    if (into === c || volume[c] === 0) continue;
    volume[into] += volume[c];
    volume[c] = 0;
    const moved = byCell.get(c) ?? [];
    for (const f of moved) faces[f] = { ...faces[f], cell: into };
    byCell.set(into, [...(byCell.get(into) ?? []), ...moved]);
    byCell.delete(c);
    links.forEach((l, axis) => {
      l[c] = 0;
      if (c >= strides[axis]) l[c - strides[axis]] = 0;
    });
  }
}

/** A wall that widens less than this a metre counts as upright. */
const LEVEL = 0.01;
/** Points of a midpoint rule within a cell, for cut cells. */
const SUB = 8;

/**
 * Axisymmetric grid of a vessel whose inside radius at height z is `radiusAt(z)`, filled to `depthM`.
 * @param radiusAt inside radius, m, non-decreasing in z
 * @param edgesZ cell edges of one's own from 0 to the depth, m (layers); absent: narrowing towards base and top
 * @param reachM depth whose radius the rings reach out to, m, so that rings stay where they are as it fills; absent: its own
 */
export function roundGrid(
  radiusAt: (z: number) => number,
  depthM: number,
  nr: number,
  nz: number,
  edgesZ?: Float64Array,
  reachM = depthM,
): HeatGrid {
  const rMax = radiusAt(depthM);
  const er = graded(nr, radiusAt(reachM));
  const ez = edgesZ ?? bothEnds(nz, depthM);
  const volume = new Float64Array(nr * nz);
  const linkR = new Float64Array(nr * nz);
  const linkZ = new Float64Array(nr * nz);
  const faces: WallFace[] = [];
  const minor = new Uint8Array(nr * nz);
  const towards = new Int32Array(nr * nz);
  const ring = (i: number, radius: number): number => {
    const out = Math.min(er[i + 1], radius);
    return out <= er[i] ? 0 : Math.PI * (out * out - er[i] * er[i]);
  };
  for (let k = 0; k < nz; k++) {
    const dz = ez[k + 1] - ez[k];
    for (let i = 0; i < nr; i++) {
      const cell = k * nr + i;
      let wallR = 0;
      let wallZ = 0;
      let wallTrue = 0;
      let open = 0;
      for (let q = 0; q < SUB; q++) {
        const z = ez[k] + ((q + 0.5) / SUB) * dz;
        const h = dz / SUB;
        const radius = radiusAt(z);
        volume[cell] += ring(i, radius) * h;
        if (radius > er[i + 1] + 1e-12) open += h;
        else if (radius > er[i]) {
          const slope = (radiusAt(z + h / 2) - radiusAt(z - h / 2)) / h;
          const girth = 2 * Math.PI * radius * h;
          wallR += girth;
          wallZ += girth * slope;
          wallTrue += girth * Math.hypot(1, slope);
        }
      }
      if (volume[cell] < SLIVER * Math.PI * (er[i + 1] ** 2 - er[i] ** 2) * dz) {
        minor[cell] = 1;
        if (i > 0) towards[cell] = 1;
      }
      if (i + 1 < nr) linkR[cell] = (2 * Math.PI * er[i + 1] * open) / (middle(er, i + 1) - middle(er, i));
      if (k + 1 < nz) linkZ[cell] = ring(i, radiusAt(ez[k + 1])) / (middle(ez, k + 1) - middle(ez, k));
      if (volume[cell] > 0 && wallTrue > 0) {
        const fair = wallTrue / (wallR + wallZ);
        const full = volume[cell] / (Math.PI * (er[i + 1] ** 2 - er[i] ** 2) * dz);
        faces.push({
          cell,
          axis: 0,
          areaM2: wallR * fair,
          distanceM: ((er[i + 1] - er[i]) / 2) * Math.min(1, full + 1e-9),
          side: 'wall',
        });
        if (wallZ > 1e-15)
          faces.push({
            cell,
            axis: 2,
            areaM2: wallZ * fair,
            distanceM: (dz / 2) * Math.min(1, full + 1e-9),
            side: 'wall',
          });
      }
      if (k === 0 && volume[cell] > 0) {
        const a = ring(i, radiusAt(0));
        if (a > 0) faces.push({ cell, axis: 2, areaM2: a, distanceM: dz / 2, side: 'base' });
      }
      if (k === nz - 1 && volume[cell] > 0)
        faces.push({ cell, axis: 2, areaM2: ring(i, rMax), distanceM: dz / 2, side: 'top' });
    }
  }
  mergeSlivers(faces, volume, [linkR, linkZ], [1, nr], towards);
  // Where a sloping wall pulls a cell in two sweeps at once, the splitting ripples a little in that cell alone: it must not steer the step.
  for (const f of faces)
    if (f.axis === 2 && f.side === 'wall') for (const near of [f.cell, f.cell - 1]) if (near >= 0) minor[near] = 1;
  return {
    n: [nr, 1, nz],
    volume,
    link: [linkR, new Float64Array(nr * nz), linkZ],
    faces,
    minor,
    symmetry: 1,
    edgesX: er,
    edgesY: new Float64Array(0),
    edgesZ: ez,
  };
}

/**
 * Quarter of a box (or of a tapered loaf or tray) in three dimensions; planes x = 0 and y = 0 are symmetry planes.
 * @param halfAt inside half-length and half-width at height z, m, non-decreasing in z
 * @param edgesZ as of {@link roundGrid} @param reachM as of {@link roundGrid}
 */
export function boxGrid(
  halfAt: (z: number) => readonly [number, number],
  depthM: number,
  nx: number,
  ny: number,
  nz: number,
  edgesZ?: Float64Array,
  reachM = depthM,
): HeatGrid {
  const [hx, hy] = halfAt(reachM);
  const ex = graded(nx, hx);
  const ey = graded(ny, hy);
  const ez = edgesZ ?? bothEnds(nz, depthM);
  const size = nx * ny * nz;
  const volume = new Float64Array(size);
  const link: [Float64Array, Float64Array, Float64Array] = [
    new Float64Array(size),
    new Float64Array(size),
    new Float64Array(size),
  ];
  const faces: WallFace[] = [];
  const minor = new Uint8Array(size);
  const towards = new Int32Array(size);
  const span = (e: Float64Array, i: number, half: number): number => Math.max(0, Math.min(e[i + 1], half) - e[i]);
  for (let k = 0; k < nz; k++) {
    const dz = ez[k + 1] - ez[k];
    const [mx, my] = halfAt(ez[k] + dz / 2);
    const [tx, ty] = halfAt(ez[k + 1]);
    const [bx, by] = halfAt(ez[k]);
    const slopeX = (tx - bx) / dz;
    const slopeY = (ty - by) / dz;
    for (let j = 0; j < ny; j++) {
      const wy = span(ey, j, my);
      if (wy <= 0) continue;
      const lastY = my <= ey[j + 1] + 1e-12;
      for (let i = 0; i < nx; i++) {
        const wx = span(ex, i, mx);
        if (wx <= 0) continue;
        const cell = (k * ny + j) * nx + i;
        const lastX = mx <= ex[i + 1] + 1e-12;
        volume[cell] = wx * wy * dz;
        // Cells that a sloping wall cuts, and their inner neighbours, ripple a little in the splitting: they must not steer the step.
        if (lastX && slopeX > LEVEL) for (let n = Math.max(0, i - 1); n <= i; n++) minor[cell - i + n] = 1;
        if (lastY && slopeY > LEVEL) for (let n = Math.max(0, j - 1); n <= j; n++) minor[cell - (j - n) * nx] = 1;
        if (i > 0 && wx < SLIVER * (ex[i + 1] - ex[i])) towards[cell] = 1;
        else if (j > 0 && wy < SLIVER * (ey[j + 1] - ey[j])) towards[cell] = nx;
        if (i + 1 < nx && !lastX) link[0][cell] = (wy * dz) / (middle(ex, i + 1) - middle(ex, i));
        if (j + 1 < ny && !lastY) link[1][cell] = (wx * dz) / (middle(ey, j + 1) - middle(ey, j));
        // Up through the smaller of the two cross-sections, which for a taper is this one.
        if (k + 1 < nz)
          link[2][cell] =
            (span(ex, i, Math.min(mx, tx)) * span(ey, j, Math.min(my, ty))) / (middle(ez, k + 1) - middle(ez, k));
        if (lastX)
          faces.push({ cell, axis: 0, areaM2: wy * dz * Math.hypot(1, slopeX), distanceM: wx / 2, side: 'wall' });
        if (lastY)
          faces.push({ cell, axis: 1, areaM2: wx * dz * Math.hypot(1, slopeY), distanceM: wy / 2, side: 'wall' });
        if (k === 0) faces.push({ cell, axis: 2, areaM2: wx * wy, distanceM: dz / 2, side: 'base' });
        if (k === nz - 1) faces.push({ cell, axis: 2, areaM2: wx * wy, distanceM: dz / 2, side: 'top' });
      }
    }
  }
  mergeSlivers(faces, volume, link, [1, nx, nx * ny], towards);
  return { n: [nx, ny, nz], volume, link, faces, minor, symmetry: 4, edgesX: ex, edgesY: ey, edgesZ: ez };
}
