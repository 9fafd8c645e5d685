import type { HeatGrid } from '../heat';

/** Share of the way and lower index of x among cell centres of n equal cells on [0, 1]. */
function place(x: number, n: number): readonly [number, number] {
  const p = Math.min(Math.max(x * n - 0.5, 0), n - 1);
  const i = Math.min(Math.floor(p), Math.max(n - 2, 0));
  return [i, n === 1 ? 0 : p - i];
}

/** Field carried from one grid to a coarser one of the same vessel, trilinear between cell centres. */
export function carryOver(from: HeatGrid, values: Float64Array, to: HeatGrid): Float64Array {
  const [fx, fy, fz] = from.n;
  const [tx, ty, tz] = to.n;
  const out = new Float64Array(to.volume.length);
  // Cells outside the vessel hold no cake: leave them out of the weights.
  const at = (i: number, j: number, k: number): readonly [number, number] => {
    const c = (k * fy + j) * fx + i;
    return [values[c], from.volume[c] > 0 ? 1 : 0];
  };
  for (let k = 0; k < tz; k++) for (let j = 0; j < ty; j++) for (let i = 0; i < tx; i++) {
    const [i0, u] = place((i + 0.5) / tx, fx);
    const [j0, v] = place((j + 0.5) / ty, fy);
    const [k0, w] = place((k + 0.5) / tz, fz);
    let sum = 0;
    let weight = 0;
    for (const [di, a] of [[0, 1 - u], [1, u]] as const) for (const [dj, b] of [[0, 1 - v], [1, v]] as const) for (const [dk, c] of [[0, 1 - w], [1, w]] as const) {
      if (a * b * c === 0) continue;
      const [value, inside] = at(Math.min(i0 + di, fx - 1), Math.min(j0 + dj, fy - 1), Math.min(k0 + dk, fz - 1));
      sum += a * b * c * value * inside;
      weight += a * b * c * inside;
    }
    out[(k * ty + j) * tx + i] = weight > 0 ? sum / weight : values[0];
  }
  return out;
}
