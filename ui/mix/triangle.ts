import { there } from '@/core/units';
import { contours } from 'd3-contour';

/** The three-cornered field in drawing units: corner 0 at the top, 1 at the lower left, 2 at the lower right. */
export const SIDE = 300;
export const HEIGHT = (SIDE * Math.sqrt(3)) / 2;
export const PAD = 34;

export type Three = readonly [number, number, number];

export const toXY = ([a, , c]: Three): readonly [number, number] => [PAD + SIDE * (c + a / 2), PAD + HEIGHT * (1 - a)];

/** Shares of a place, each within 0–1 and summing to 1. */
export function toShares(x: number, y: number): Three {
  const a = 1 - (y - PAD) / HEIGHT;
  const c = (x - PAD) / SIDE - a / 2;
  const raw = [a, 1 - a - c, c].map((v) => Math.max(0, v));
  const sum = raw.reduce((s, v) => s + v, 0) || 1;
  return [there(raw[0]) / sum, there(raw[1]) / sum, there(raw[2]) / sum];
}

const GRID = 56;

/** Bands of a value over the field as SVG paths, at whole steps of one. */
export function fieldContours(
  valueAt: (s: Three) => number,
): readonly { readonly level: number; readonly path: string }[] {
  const cell = SIDE / GRID;
  const rows = Math.ceil(HEIGHT / cell);
  const values: number[] = [];
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < GRID; i++) {
      const x = PAD + (i + 0.5) * cell;
      const y = PAD + (j + 0.5) * cell;
      values.push(valueAt(toShares(x, y)));
    }
  return contours()
    .size([GRID, rows])
    .thresholds([1, 2, 3, 4, 5, 6, 7, 8, 9])(values)
    .filter((c) => c.coordinates.length > 0)
    .map((c) => ({
      level: c.value,
      path: c.coordinates
        .map((poly) =>
          poly
            .map(
              (ring) =>
                `M${ring.map(([x = 0, y = 0]) => `${(PAD + x * cell).toFixed(1)},${(PAD + y * cell).toFixed(1)}`).join('L')}Z`,
            )
            .join(''),
        )
        .join(''),
    }));
}

/** The part of the field within bands of shares, as drawing points; empty where none is. */
export function regionOf(bands: readonly (readonly [number, number])[]): readonly (readonly [number, number])[] {
  let shape: Three[] = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  const clip = (inside: (s: Three) => number) => {
    const out: Three[] = [];
    shape.forEach((p, i) => {
      const prev = there(shape[(i + shape.length - 1) % shape.length]);
      const [d, e] = [inside(p), inside(prev)];
      if (d >= 0 !== e >= 0) {
        const u = e / (e - d);
        out.push([prev[0] + u * (p[0] - prev[0]), prev[1] + u * (p[1] - prev[1]), prev[2] + u * (p[2] - prev[2])]);
      }
      if (d >= 0) out.push(p);
    });
    shape = out;
  };
  bands.forEach(([lo, hi], k) => {
    clip((s) => there(s[k]) - lo);
    clip((s) => hi - there(s[k]));
  });
  return shape.map(toXY);
}
