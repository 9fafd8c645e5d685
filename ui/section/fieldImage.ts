import type { FieldFrames } from '@/core/steam';

export type Shade = readonly [number, number, number];
/** Milk to pea-flower ink with heat; pandan glass as it sets. */
const COLD: Shade = [247, 250, 248];
const HOT: Shade = [92, 110, 196];
const SET: Shade = [150, 206, 172];

const mix = (a: Shade, b: Shade, u: number): Shade => [a[0] + (b[0] - a[0]) * u, a[1] + (b[1] - a[1]) * u, a[2] + (b[2] - a[2]) * u];

/** Index of the frame before a time, and how far on to the next. */
export function frameAt(frames: FieldFrames, timeS: number): readonly [number, number] {
  const t = frames.timesS;
  let lo = 0;
  let hi = t.length - 1;
  while (hi - lo > 1) {
    const mid = (lo + hi) >> 1;
    if (t[mid] <= timeS) lo = mid; else hi = mid;
  }
  if (t.length < 2) return [0, 0];
  return [lo, Math.min(1, Math.max(0, (timeS - t[lo]) / Math.max(t[hi] - t[lo], 1e-9)))];
}

/** Temperature and set degree at a time, between frames; arrays of nx·nz, base row first. */
export function fieldAt(frames: FieldFrames, timeS: number, temp: Float32Array, gel: Float32Array): void {
  const [i, u] = frameAt(frames, timeS);
  const j = Math.min(i + 1, frames.timesS.length - 1);
  const [ta, tb, ga, gb] = [frames.tempC[i], frames.tempC[j], frames.gel[i], frames.gel[j]];
  for (let c = 0; c < temp.length; c++) {
    temp[c] = ta[c] + u * (tb[c] - ta[c]);
    gel[c] = ga[c] + u * (gb[c] - ga[c]);
  }
}

/** Paints the mirrored field, 2·nx wide and nz high, top row first. */
export function paintField(image: ImageData, nx: number, nz: number, temp: Float32Array, gel: Float32Array, show: 'heat' | 'set', fromC: number, toC: number): void {
  const w = 2 * nx;
  for (let k = 0; k < nz; k++) for (let i = 0; i < nx; i++) {
    const c = k * nx + i;
    const t = Number.isNaN(temp[c]) ? toC : temp[c];
    const heat = Math.min(1, Math.max(0, (t - fromC) / (toC - fromC)));
    const g = Number.isNaN(gel[c]) ? 1 : gel[c];
    const [r, gr, b] = show === 'heat' ? mix(COLD, HOT, heat) : mix(COLD, SET, g);
    const row = nz - 1 - k;
    for (const x of [nx + i, nx - 1 - i]) {
      const p = 4 * (row * w + x);
      image.data[p] = r;
      image.data[p + 1] = gr;
      image.data[p + 2] = b;
      image.data[p + 3] = 255;
    }
  }
}
