import { problem, type ConcernCode, type CutShape, type Problem } from '../../units';
import { cellArea, countWhole, diamondLattice, latticeCells, OFFSETS, rectLattice } from './lattice';
import { coins, gridFor, KERF_M, latticeForCount, OFFCUT_BELOW, wedges, type Lay } from './lay';
import { clipConvex, type Point, type Polygon } from './polygon';

/** Acute angle of a diamond, degrees. */
export const DIAMOND_DEG = 60;

/** What is asked of a cut: its shape, and by how many, how large or how heavy its pieces are. */
export interface Cut {
  readonly shape: CutShape;
  readonly by:
    | { readonly kind: 'count'; readonly pieces: number }
    | { readonly kind: 'size'; readonly sizeM: number; readonly otherM: number }
    | { readonly kind: 'grams'; readonly grams: number };
}

/** The cake from above, and what is wanted of it. */
export interface Board {
  readonly outline: Polygon;
  readonly area: number;
  /** Half of its length and width, m. */
  readonly hx: number;
  readonly hy: number;
  /** Of the circles round it and in it, m. */
  readonly radius: number;
  readonly inner: number;
  readonly round: boolean;
  readonly inside: (x: number, y: number) => boolean;
  readonly cut: Cut;
  /** Of a wanted piece, m²; 0 where its size is told. */
  readonly pieceArea: number;
  readonly gramsTotal: number;
}
type Say = (p: Problem<ConcernCode>) => void;

/** Whether a piece is wide enough for a blade; if not it is said. */
function fineness(say: Say, m: number): boolean {
  if (m > 4 * KERF_M) return true;
  say(
    problem(
      'cut-too-fine',
      'cut.by',
      `Pieces ${(m * 1000).toFixed(1)} mm wide are crumbs next to a 1 mm blade; ask for fewer or larger pieces.`,
    ),
  );
  return false;
}

/** Folded in three lengthways, then cut across: each strip runs the whole length of the sheet. */
function folded(board: Board, say: Say): Lay | undefined {
  const { outline, area, hx, hy, gramsTotal, cut } = board;
  const n =
    cut.by.kind === 'count'
      ? cut.by.pieces
      : cut.by.kind === 'size'
        ? Math.max(1, Math.round((2 * hx) / cut.by.sizeM))
        : Math.max(1, Math.round(gramsTotal / cut.by.grams));
  const w = (2 * hx) / n;
  if (!fineness(say, w)) return undefined;
  const cells = Array.from({ length: n }, (_, i) =>
    clipConvex(
      [
        [-hx + i * w, -hy],
        [-hx + (i + 1) * w, -hy],
        [-hx + (i + 1) * w, hy],
        [-hx + i * w, hy],
      ],
      outline,
    ),
  ).filter((c) => c.length >= 3);
  return { cells, whole: Math.min(w * 2 * hy, area / n), pitch: [w, 2 * hy] };
}

/** From the middle out. */
function inWedges(board: Board, say: Say): Lay | undefined {
  const { outline, area, hx, hy, gramsTotal, cut } = board;
  const n =
    cut.by.kind === 'count'
      ? cut.by.pieces
      : cut.by.kind === 'grams'
        ? Math.max(1, Math.round(gramsTotal / cut.by.grams))
        : Math.max(1, Math.round((2 * Math.PI * hx) / cut.by.sizeM));
  return fineness(say, (2 * Math.PI * Math.min(hx, hy)) / n)
    ? { cells: wedges(outline, n), whole: area / n, pitch: [(2 * Math.PI * hx) / n, Math.min(hx, hy)] }
    : undefined;
}

/** With a round cutter. */
function inCoins(board: Board, say: Say): Lay | undefined {
  const { outline, hx, hy, inside, pieceArea, cut } = board;
  const d = cut.by.kind === 'size' ? cut.by.sizeM : 2 * Math.sqrt((pieceArea * 0.8) / Math.PI);
  if (!fineness(say, d)) return undefined;
  if (d > 2 * Math.min(hx, hy)) {
    say(
      problem(
        'coin-over-cake',
        'cut.by',
        `A ${Math.round(d * 1000)} mm cutter is wider than the cake; take a smaller one.`,
      ),
    );
    return undefined;
  }
  const cells = coins(outline, d, inside);
  return { cells, whole: (Math.PI * d * d) / 4, pitch: [d, d] };
}

/** On a slanting lattice. */
function inDiamonds(board: Board, say: Say): Lay | undefined {
  const { outline, inside, pieceArea, cut } = board;
  const fair = cut.by.kind === 'size' ? cut.by.sizeM : Math.sqrt(pieceArea / Math.sin((DIAMOND_DEG * Math.PI) / 180));
  if (!fineness(say, fair)) return undefined;
  const make = (p: number, offset: Point) => diamondLattice(p, DIAMOND_DEG, offset);
  const fixed = make(fair, OFFSETS[0]);
  const { lattice, cells } =
    cut.by.kind === 'count'
      ? latticeForCount(make, cut.by.pieces, fair, outline, inside)
      : { lattice: fixed, cells: latticeCells(fixed, outline) };
  return { cells, whole: cellArea(lattice), pitch: [2 * lattice.u[1], 2 * lattice.u[0]] };
}

/** An even grid, as near to p by q as goes into it whole, m. */
function evenly(board: Board, say: Say, p: number, q: number): Lay | undefined {
  const { outline, hx, hy } = board;
  const [nx, ny] = [Math.max(1, Math.round((2 * hx) / p)), Math.max(1, Math.round((2 * hy) / q))];
  const pitch = [(2 * hx) / nx, (2 * hy) / ny] as const;
  if (!fineness(say, Math.min(...pitch))) return undefined;
  const cells = Array.from({ length: nx * ny }, (_, k): Polygon => {
    const x0 = -hx + (k % nx) * pitch[0];
    const y0 = -hy + Math.floor(k / nx) * pitch[1];
    const cell: Polygon = [
      [x0, y0],
      [x0 + pitch[0], y0],
      [x0 + pitch[0], y0 + pitch[1]],
      [x0, y0 + pitch[1]],
    ];
    return clipConvex(cell, outline);
  }).filter((c) => c.length >= 3);
  return { cells, whole: pitch[0] * pitch[1], pitch };
}

/** A square is no longer than so many times its width. */
const SQUARE = 2;

/** Squares, rectangles, batons: an even grid on a rectangle, else a lattice at its best offset. */
function inGrid(board: Board, say: Say): Lay | undefined {
  const { outline, hx, hy, radius, inner, round, inside, pieceArea, cut } = board;
  if (cut.by.kind === 'count') {
    if (!round) {
      const [nx, ny] = gridFor(cut.by.pieces, 2 * hx, 2 * hy, cut.shape === 'squares' ? SQUARE : Infinity);
      return evenly(board, say, (2 * hx) / nx, (2 * hy) / ny);
    }
    const fair = Math.sqrt(pieceArea);
    if (!fineness(say, fair)) return undefined;
    const { lattice, cells } = latticeForCount((p, o) => rectLattice(p, p, o), cut.by.pieces, fair, outline, inside);
    return { cells, whole: cellArea(lattice), pitch: [lattice.u[0], lattice.v[1]] };
  }
  const [p, q] = cut.by.kind === 'size' ? [cut.by.sizeM, cut.by.otherM] : [Math.sqrt(pieceArea), Math.sqrt(pieceArea)];
  if (!round) return evenly(board, say, p, q);
  if (!fineness(say, Math.min(p, q))) return undefined;
  const best = OFFSETS.map((o) => rectLattice(p, q, o)).reduce((a, b) =>
    countWhole(b, radius, inner, inside, OFFCUT_BELOW) > countWhole(a, radius, inner, inside, OFFCUT_BELOW) ? b : a,
  );
  return { cells: latticeCells(best, outline), whole: p * q, pitch: [p, q] };
}

/** How each shape is laid out. */
export const LAYS: Readonly<Record<Cut['shape'], (board: Board, say: Say) => Lay | undefined>> = {
  whole: ({ outline, area, hx, hy }) => ({ cells: [outline], whole: area, pitch: [2 * hx, 2 * hy] }),
  folded,
  wedges: inWedges,
  coins: inCoins,
  diamonds: inDiamonds,
  squares: inGrid,
  rectangles: inGrid,
  batons: inGrid,
};
