import type { FieldFrames } from '@/core/model/steam';

export type Shade = readonly [number, number, number];
/** Milk to pea-flower ink with heat; pandan glass as it sets. */
const COLD: Shade = [247, 250, 248];
const HOT: Shade = [92, 110, 196];
const SET: Shade = [150, 206, 172];

const mix = (a: Shade, b: Shade, u: number): Shade => [
  a[0] + (b[0] - a[0]) * u,
  a[1] + (b[1] - a[1]) * u,
  a[2] + (b[2] - a[2]) * u,
];

/** Index of the frame before a time, and how far on to the next. */
export function frameAt(frames: FieldFrames, timeS: number): readonly [number, number] {
  const t = frames.timesS;
  let lo = 0;
  let hi = t.length - 1;
  while (hi - lo > 1) {
    const mid = (lo + hi) >> 1;
    if (t[mid] <= timeS) lo = mid;
    else hi = mid;
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

/** Columns of the painted half, and rows. */
export const COLUMNS = 96;
export const ROWS = 48;

/** Index of the cell that holds a coordinate, by its edges. */
export function cellAt(edgesM: readonly number[], atM: number): number {
  let i = 0;
  while (i + 2 < edgesM.length && edgesM[i + 1] <= atM) i++;
  return i;
}

/** How warm, °C, and how far set, 0–1, a place of the cake is at a time; undefined where no layer lies yet. */
export function placeAt(
  frames: FieldFrames,
  timeS: number,
  place: { readonly xM: number; readonly zM: number },
): { readonly tempC: number; readonly gel: number } | undefined {
  const temp = new Float32Array(frames.nx * frames.nz);
  const gel = new Float32Array(frames.nx * frames.nz);
  fieldAt(frames, timeS, temp, gel);
  const at = cellAt(frames.edgesZM, place.zM) * frames.nx + cellAt(frames.edgesXM, place.xM);
  return Number.isNaN(temp[at]) ? undefined : { tempC: temp[at], gel: gel[at] };
}

/** Coordinate of a place given in cells, between edges. */
export function edgeAt(edgesM: readonly number[], place: number): number {
  const i = Math.min(edgesM.length - 2, Math.max(0, Math.floor(place)));
  return edgesM[i] + (place - i) * (edgesM[i + 1] - edgesM[i]);
}

/** A place among cells: the one before, the one after, and how far on to it. */
type Between = readonly [number, number, number];

/** So many places along a side, each between the middles of its cells. */
function betweenCells(edgesM: readonly number[], count: number, lengthM: number): readonly Between[] {
  const middle = (i: number) => (edgesM[i] + edgesM[i + 1]) / 2;
  const last = edgesM.length - 2;
  return Array.from({ length: count }, (_, k) => {
    const at = ((k + 0.5) / count) * lengthM;
    const cell = cellAt(edgesM, at);
    const from = Math.min(last, Math.max(0, at < middle(cell) ? cell - 1 : cell));
    const to = Math.min(last, from + 1);
    return [from, to, to === from ? 0 : Math.min(1, Math.max(0, (at - middle(from)) / (middle(to) - middle(from))))];
  });
}

/** A value of the field at a place, straight between the cells round it; where one of them is not poured yet, by those that are. */
function valueAt(values: Float32Array, nx: number, [i, j, u]: Between, [k, l, v]: Between): number {
  const row = (r: number) => values[r * nx + i] + u * (values[r * nx + j] - values[r * nx + i]);
  const [low, high] = [row(k), row(l)];
  return Number.isNaN(high) ? low : Number.isNaN(low) ? high : low + v * (high - low);
}

/** Paints the mirrored field, 2·COLUMNS wide and ROWS high, top row first, smooth from cell to cell; cells may differ in width. */
export function paintField(
  image: ImageData,
  frames: FieldFrames,
  temp: Float32Array,
  gel: Float32Array,
  show: 'heat' | 'set',
  fromC: number,
  toC: number,
): void {
  const { nx } = frames;
  const w = 2 * COLUMNS;
  const across = betweenCells(frames.edgesXM, COLUMNS, frames.halfWidthM);
  const up = betweenCells(frames.edgesZM, ROWS, frames.depthM);
  const cells = Array.from({ length: ROWS }, (_, k) => cellAt(frames.edgesZM, ((k + 0.5) / ROWS) * frames.depthM));
  for (let k = 0; k < ROWS; k++)
    for (let i = 0; i < COLUMNS; i++) {
      const empty = Number.isNaN(temp[cells[k] * nx]);
      const t = valueAt(temp, nx, across[i], up[k]);
      const heat = Math.min(1, Math.max(0, (t - fromC) / (toC - fromC)));
      const [r, gr, b] = show === 'heat' ? mix(COLD, HOT, heat) : mix(COLD, SET, valueAt(gel, nx, across[i], up[k]));
      const row = ROWS - 1 - k;
      for (const x of [COLUMNS + i, COLUMNS - 1 - i]) {
        const p = 4 * (row * w + x);
        image.data[p] = r;
        image.data[p + 1] = gr;
        image.data[p + 2] = b;
        image.data[p + 3] = empty ? 0 : 255;
      }
    }
}
