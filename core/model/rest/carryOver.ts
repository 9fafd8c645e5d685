import type { HeatGrid } from '../heat';

const centre = (e: Float64Array, i: number): number => (e.length > i + 1 ? (e[i] + e[i + 1]) / 2 : 0);

/** Lower index and share of the way of x among the centres of the cells with edges `e`. */
function place(x: number, e: Float64Array): readonly [number, number] {
  const n = Math.max(1, e.length - 1);
  let i = 0;
  while (i + 2 < n && centre(e, i + 1) <= x) i++;
  if (n === 1) return [0, 0];
  return [i, Math.min(1, Math.max(0, (x - centre(e, i)) / (centre(e, i + 1) - centre(e, i))))];
}

/** Field carried from one grid to a coarser one of the same vessel, trilinear between cell centres. */
export function carryOver(from: HeatGrid, values: Float64Array, to: HeatGrid): Float64Array {
  const [fx, fy] = from.n;
  const [tx, ty, tz] = to.n;
  const out = new Float64Array(to.volume.length);
  // Cells outside the vessel hold no cake: leave them out of the weights.
  const at = (i: number, j: number, k: number): readonly [number, number] => {
    const c = (k * fy + j) * fx + i;
    return [values[c], from.volume[c] > 0 ? 1 : 0];
  };
  for (let k = 0; k < tz; k++)
    for (let j = 0; j < ty; j++)
      for (let i = 0; i < tx; i++) {
        const [i0, u] = place(centre(to.edgesX, i), from.edgesX);
        const [j0, v] = place(centre(to.edgesY, j), from.edgesY);
        const [k0, w] = place(centre(to.edgesZ, k), from.edgesZ);
        let sum = 0;
        let weight = 0;
        for (const [di, a] of [
          [0, 1 - u],
          [1, u],
        ] as const)
          for (const [dj, b] of [
            [0, 1 - v],
            [1, v],
          ] as const)
            for (const [dk, c] of [
              [0, 1 - w],
              [1, w],
            ] as const) {
              if (a * b * c === 0) continue;
              const [value, inside] = at(
                Math.min(i0 + di, fx - 1),
                Math.min(j0 + dj, fy - 1),
                Math.min(k0 + dk, from.n[2] - 1),
              );
              sum += a * b * c * value * inside;
              weight += a * b * c * inside;
            }
        out[(k * ty + j) * tx + i] = weight > 0 ? sum / weight : values[0];
      }
  return out;
}

/**
 * Field of one portion from the whole cake's: each height keeps the whole's warmest, on the safe side.
 * @param to grid of a portion, as deep as the whole
 */
export function inPieces(from: HeatGrid, values: Float64Array, to: HeatGrid): Float64Array {
  const plane = from.n[0] * from.n[1];
  const warmest = Array.from({ length: from.n[2] }, (_, k) => {
    let w = -Infinity;
    for (let c = k * plane; c < (k + 1) * plane; c++) if (from.volume[c] > 0) w = Math.max(w, values[c]);
    return w;
  });
  const small = to.n[0] * to.n[1];
  return Float64Array.from({ length: to.volume.length }, (_, c) => {
    const [k, share] = place(centre(to.edgesZ, Math.floor(c / small)), from.edgesZ);
    return warmest[k] + share * (warmest[Math.min(k + 1, from.n[2] - 1)] - warmest[k]);
  });
}
