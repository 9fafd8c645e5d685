import { there } from '@/core/units';
import { contours } from 'd3-contour';
import type { FieldFrames } from '@/core/model/steam';
import { fieldAt } from './fieldImage';

/** Ring points this near the middle lie on it. */
const AXIS = 0.6;
/** Least room that a line's number needs on each side, drawing units. */
const CLEAR = 8;

export interface Isoline {
  readonly level: number;
  readonly path: string;
  readonly label: readonly [number, number] | undefined;
}

/** Room that a line's number takes from its middle to the next one's, drawing units. */
const APART = [24, 14] as const;

/** The lines with a number each where it covers no other's; of two in one place the colder keeps its own: it is nearer to the cold spot. */
export function apart(lines: readonly Isoline[]): readonly Isoline[] {
  const kept: (readonly [number, number])[] = [];
  return lines.map((l) => {
    const { label } = l;
    if (!label) return l;
    const covers = kept.some(([x, y]) => Math.abs(x - label[0]) < APART[0] && Math.abs(y - label[1]) < APART[1]);
    if (covers) return { ...l, label: undefined };
    kept.push(label);
    return l;
  });
}

/**
 * Lines of equal value of a field, as SVG paths in drawing units, mirrored about the middle.
 * @param toX cell index (0 at the middle) to drawing x on the right half
 * @param toY row index from the base to drawing y
 */
export function isolines(
  frames: FieldFrames,
  timeS: number,
  of: 'temp' | 'gel',
  levels: readonly number[],
  toX: (i: number) => number,
  toY: (k: number) => number,
  mirrorX: number,
): Isoline[] {
  const { nx, nz } = frames;
  const temp = new Float32Array(nx * nz);
  const gel = new Float32Array(nx * nz);
  fieldAt(frames, timeS, temp, gel);
  const values = Array.from(of === 'temp' ? temp : gel);
  if (Number.isNaN(values[0])) return [];
  for (let k = 0; k < nz; k++) {
    // What is not poured yet is as what lies under it, what is outside the vessel as what is in it beside: neither edge is a line of heat.
    const poured = !Number.isNaN(values[k * nx]);
    for (let i = 0; i < nx; i++) {
      const c = k * nx + i;
      if (Number.isNaN(values[c])) values[c] = there(values[poured ? c - 1 : c - nx]);
    }
  }
  const border = (x: number, y: number) => x >= nx - 0.51 || y <= 0.51 || y >= nz - 0.51;
  const edge = (x: number, n: number) => x <= 0.51 || x >= n - 0.51;
  return contours()
    .size([nx, nz])
    .thresholds([...levels])(values)
    .map((c) => {
      let path = '';
      let label: [number, number] | undefined;
      let clear = CLEAR;
      for (const polygon of c.coordinates)
        for (const ring of polygon) {
          let pen = false;
          ring.forEach(([x = 0, y = 0], q) => {
            const [px = 0, py = 0] = there(ring[(q + ring.length - 1) % ring.length]);
            // The border of the grid is no isoline; the middle plane is only the mirror.
            const along = (x <= AXIS && px <= AXIS) || (border(x, y) && border(px, py));
            const right = toX(x <= AXIS ? 0 : x);
            path += `${pen && !along ? 'L' : 'M'}${right.toFixed(1)},${toY(y).toFixed(1)}`;
            pen = true;
            // Its number stands where the line is farthest from the rim, the base and the surface.
            const room = Math.min(toX(nx) - right, toY(0) - toY(y), toY(y) - toY(nz));
            if (!edge(x, nx) && !edge(y, nz) && x > nx * 0.45 && room > clear) [label, clear] = [[right, toY(y)], room];
          });
        }
      const mirrored = path.replace(
        /([ML])([-\d.]+),/g,
        (_, pen: string, x: string) => `${pen}${(2 * mirrorX - Number(x)).toFixed(1)},`,
      );
      return { level: c.value, path: path + mirrored, label };
    });
}
