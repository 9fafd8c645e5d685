import { problem, type Problem, type ConcernCode } from '../../units';
import type { FryingPan } from '../../kitchen';

const GAP_M = 0.01;

export interface Packing {
  readonly perLoad: number;
  /** Lower-left corners and sizes of one load, m, centred on the pan. */
  readonly places: readonly { readonly x: number; readonly y: number; readonly w: number; readonly h: number }[];
  readonly problems: readonly Problem<ConcernCode>[];
}

type Place = Packing['places'][number];

function rowsInCircle(diameter: number, w: number, h: number, offset: number): Place[] {
  const r = diameter / 2;
  const places: Place[] = [];
  const first = offset - Math.ceil((offset + r) / (h + GAP_M)) * (h + GAP_M);
  for (let y = first; y + h <= r + 1e-9; y += h + GAP_M) {
    if (y < -r - 1e-9) continue;
    const far = Math.max(Math.abs(y), Math.abs(y + h));
    const chord = 2 * Math.sqrt(Math.max(0, r * r - far * far));
    const n = Math.floor((chord + GAP_M) / (w + GAP_M) + 1e-9);
    const used = n * w + (n - 1) * GAP_M;
    for (let i = 0; i < n; i++) places.push({ x: -used / 2 + i * (w + GAP_M), y, w, h });
  }
  return places;
}

/** Pieces side by side in a pan with a 10 mm gap: rows, each as full as its chord allows, over row offsets and both orientations. */
export function packPan(pan: FryingPan, pieceW: number, pieceH: number): Packing {
  const sizes = [
    [pieceW, pieceH],
    [pieceH, pieceW],
  ] as const;
  let best: Place[] = [];
  for (const [w, h] of sizes) {
    if (pan.shape === 'rectangular') {
      const nx = Math.floor((pan.diameterM + GAP_M) / (w + GAP_M) + 1e-9);
      const ny = Math.floor(((pan.widthM ?? pan.diameterM) + GAP_M) / (h + GAP_M) + 1e-9);
      if (nx * ny > best.length) {
        best = Array.from({ length: nx * ny }, (_, q) => ({
          x: -(nx * (w + GAP_M) - GAP_M) / 2 + (q % nx) * (w + GAP_M),
          y: -(ny * (h + GAP_M) - GAP_M) / 2 + Math.floor(q / nx) * (h + GAP_M),
          w,
          h,
        }));
      }
      continue;
    }
    for (let s = 0; s < 48; s++) {
      const places = rowsInCircle(pan.diameterM, w, h, (s / 48) * (h + GAP_M));
      if (places.length > best.length) best = places;
    }
  }
  return {
    perLoad: best.length,
    places: best,
    problems:
      best.length > 0
        ? []
        : [
            problem(
              'pan-under-piece',
              'fryingPan',
              `A piece of ${Math.round(pieceW * 1000)} by ${Math.round(pieceH * 1000)} mm does not lie flat in "${pan.name}"; cut smaller or take a wider pan.`,
            ),
          ],
  };
}
