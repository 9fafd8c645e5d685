import { there } from '../../units';
import type { Life } from './lifeOf';

/** A wait longer than this is folded: drawn as if it were so long, s. */
const FOLD_S = 45 * 60;
/** The steam is where minutes are read: it is drawn so much wider. */
const STEAM_TIMES = 2.8;
/** Least share of the ribbon for a station, of what an even share would be. */
const LEAST = 0.62;

/** A long wait that is drawn shorter than it is. */
export interface Fold {
  readonly fromS: number;
  readonly toS: number;
  /** Where on the ribbon it is drawn as broken, 0–1. */
  readonly at: number;
}

/** The clock of a life on a ribbon of width 1. */
export interface FoldScale {
  readonly toX: (atS: number) => number;
  readonly toS: (x: number) => number;
  /** Where each station begins and ends, 0–1, in working order. */
  readonly bounds: readonly (readonly [number, number])[];
  readonly folds: readonly Fold[];
}

/** Point of a line through points that rise in both, held at its ends. */
function along(xs: readonly number[], ys: readonly number[], x: number): number {
  if (x <= there(xs[0])) return there(ys[0]);
  for (let i = 1; i < xs.length; i++)
    if (x <= there(xs[i])) {
      const run = there(xs[i]) - there(xs[i - 1]);
      return run <= 0
        ? there(ys[i])
        : there(ys[i - 1]) + ((x - there(xs[i - 1])) / run) * (there(ys[i]) - there(ys[i - 1]));
    }
  return there(ys[ys.length - 1]);
}

/**
 * Lays a life on a ribbon: every station is wide enough to be read, what is left goes by minutes, and a long wait is folded.
 * @returns positions 0–1; `toX` and `toS` are each other's inverse where time passes
 */
export function foldScale(life: Life): FoldScale {
  const n = life.segments.length;
  const weigh = (fromS: number, toS: number, is: 'hands' | 'wait') =>
    is === 'wait' ? Math.min(toS - fromS, FOLD_S) : toS - fromS;
  const parts = life.segments.map((seg) => {
    const pieces = life.stretches.flatMap((s) => {
      const [fromS, toS] = [Math.max(s.fromS, seg.fromS), Math.min(s.toS, seg.toS)];
      return toS > fromS
        ? [{ fromS, toS, weight: weigh(fromS, toS, s.is), folded: s.is === 'wait' && toS - fromS > FOLD_S }]
        : [];
    });
    const weight = pieces.reduce((a, p) => a + p.weight, 0);
    return { seg, pieces, weight, drawn: weight * (seg.station === 'steam' ? STEAM_TIMES : 1) };
  });
  const all = parts.reduce((a, p) => a + p.drawn, 0);
  const least = LEAST / n;
  const points: [number, number][] = [];
  const bounds: [number, number][] = [];
  const folds: Fold[] = [];
  let x = 0;
  parts.forEach((p, i) => {
    const width = i === n - 1 ? 1 - x : least + (all > 0 ? (1 - least * n) * (p.drawn / all) : (1 - least * n) / n);
    bounds.push([x, x + width]);
    points.push([p.seg.fromS, x]);
    let at = x;
    for (const piece of p.pieces) {
      const w = p.weight > 0 ? (width * piece.weight) / p.weight : 0;
      points.push([piece.fromS, at], [piece.toS, at + w]);
      if (piece.folded) folds.push({ fromS: piece.fromS, toS: piece.toS, at: at + w / 2 });
      at += w;
    }
    x += width;
  });
  points.push([life.spanS, 1]);
  const ss = points.map((p) => p[0]);
  const xs = points.map((p) => p[1]);
  return { toX: (atS) => along(ss, xs, atS), toS: (at) => along(xs, ss, at), bounds, folds };
}
