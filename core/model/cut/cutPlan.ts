import { problem, type CutShape, type Problem, type ConcernCode } from '../../units';
import type { Vessel } from '../../kitchen';
import { cellArea, countWhole, OFFSETS, diamondLattice, latticeCells, rectLattice } from './lattice';
import { clipConvex, innerRadius, polygonArea, type Point, type Polygon } from './polygon';
import { coins, gridFor, KERF_M, latticeForCount, OFFCUT_BELOW, wedges, type Lay } from './lay';
import { outlineOf } from './outline';

/** Acute angle of a diamond, degrees. */
export const DIAMOND_DEG = 60;

/** What is asked of a cut: its shape, and by how many, how large or how heavy its pieces are. */
export interface Cut {
  readonly shape: CutShape;
  readonly by:
    | { readonly kind: 'count'; readonly pieces: number }
    | { readonly kind: 'size'; readonly sizeM: number; readonly otherM?: number | undefined }
    | { readonly kind: 'grams'; readonly grams: number };
}
export interface CutPiece {
  readonly polygon: Polygon;
  readonly areaM2: number;
  readonly grams: number;
  readonly offcut: boolean;
}

export interface CutPlan {
  readonly outline: Polygon;
  readonly pieces: readonly CutPiece[];
  readonly count: number;
  readonly offcutPct: number;
  readonly largestToSmallest: number;
  readonly gramsAPiece: number;
  /** Widths of a whole piece across and along, m. */
  readonly pitchM: readonly [number, number];
  /** In which order to cut, in words. */
  readonly order: string;
  readonly problems: readonly Problem<ConcernCode>[];
}

const ORDER: Readonly<Record<Cut['shape'], string>> = {
  squares: 'Halve it, halve the halves, then cut the other way.',
  rectangles: 'Long cuts first, from the middle out, then across.',
  batons: 'Cut slabs first, then lay each on its side and cut batons.',
  diamonds: 'All cuts of one slant first, from the middle out, then the other slant.',
  wedges: 'Across the middle, then turn and halve each part.',
  coins: 'From the rim inwards; press, twist, lift.',
  folded: 'Fold in three, then cut across.',
  whole: 'Leave it whole.',
};

/**
 * Cut plan on the real outline, seen from above: squares, rectangles and batons, diamonds, wedges, coins; by count, by size, or by grams.
 * On a rectangle by count the grid is even; elsewhere the pitch is searched. Pieces under 60 % of a whole one are offcuts.
 * @param gramsTotal the cake in this vessel, g
 */
export function cutPlan(vessel: Vessel, depthM: number, gramsTotal: number, cut: Cut): CutPlan {
  const outline = outlineOf(vessel, depthM);
  const area = polygonArea(outline);
  const hx = Math.max(...outline.map(([x]) => Math.abs(x)));
  const hy = Math.max(...outline.map(([, y]) => Math.abs(y)));
  const radius = Math.max(...outline.map((p) => Math.hypot(...p)));
  const inner = innerRadius(outline);
  const round = vessel.shape !== 'rectangular';
  const inside = round
    ? (x: number, y: number) => x * x + y * y <= hx * hx
    : (x: number, y: number) => Math.abs(x) <= hx && Math.abs(y) <= hy;
  const problems: Problem<ConcernCode>[] = [];
  const fineness = (m: number): boolean => {
    if (m > 4 * KERF_M) return true;
    problems.push(
      problem(
        'cut-too-fine',
        'cut.by',
        `Pieces ${(m * 1000).toFixed(1)} mm wide are crumbs next to a 1 mm blade; ask for fewer or larger pieces.`,
      ),
    );
    return false;
  };
  const pieceArea =
    cut.by.kind === 'count' ? area / cut.by.pieces : cut.by.kind === 'grams' ? (cut.by.grams / gramsTotal) * area : 0;

  const lay = (): Lay | undefined => {
    switch (cut.shape) {
      case 'whole':
        return { cells: [outline], whole: area, pitch: [2 * hx, 2 * hy] };
      case 'folded': {
        // Folded in three lengthways, then cut across: each strip runs the whole length of the sheet.
        const n =
          cut.by.kind === 'count'
            ? cut.by.pieces
            : cut.by.kind === 'size'
              ? Math.max(1, Math.round((2 * hx) / cut.by.sizeM))
              : Math.max(1, Math.round(gramsTotal / cut.by.grams));
        const w = (2 * hx) / n;
        if (!fineness(w)) return undefined;
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
      case 'wedges': {
        const n =
          cut.by.kind === 'count'
            ? cut.by.pieces
            : cut.by.kind === 'grams'
              ? Math.max(1, Math.round(gramsTotal / cut.by.grams))
              : Math.max(1, Math.round((2 * Math.PI * hx) / cut.by.sizeM));
        return fineness((2 * Math.PI * Math.min(hx, hy)) / n)
          ? { cells: wedges(outline, n), whole: area / n, pitch: [(2 * Math.PI * hx) / n, Math.min(hx, hy)] }
          : undefined;
      }
      case 'coins': {
        const d = cut.by.kind === 'size' ? cut.by.sizeM : 2 * Math.sqrt((pieceArea * 0.8) / Math.PI);
        if (!fineness(d)) return undefined;
        if (d > 2 * Math.min(hx, hy)) {
          problems.push(
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
      case 'diamonds': {
        const fair =
          cut.by.kind === 'size' ? cut.by.sizeM : Math.sqrt(pieceArea / Math.sin((DIAMOND_DEG * Math.PI) / 180));
        if (!fineness(fair)) return undefined;
        const make = (p: number, offset: Point) => diamondLattice(p, DIAMOND_DEG, offset);
        const fixed = make(fair, OFFSETS[0]);
        const { lattice, cells } =
          cut.by.kind === 'count'
            ? latticeForCount(make, cut.by.pieces, fair, outline, inside)
            : { lattice: fixed, cells: latticeCells(fixed, outline) };
        return { cells, whole: cellArea(lattice), pitch: [2 * lattice.u[1], 2 * lattice.u[0]] };
      }
      default: {
        const evenly = (p: number, q: number): Lay | undefined => {
          const [nx, ny] = [Math.max(1, Math.round((2 * hx) / p)), Math.max(1, Math.round((2 * hy) / q))];
          const pitch = [(2 * hx) / nx, (2 * hy) / ny] as const;
          if (!fineness(Math.min(...pitch))) return undefined;
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
        };
        if (cut.by.kind === 'count') {
          if (!round) {
            const [nx, ny] = gridFor(cut.by.pieces, 2 * hx, 2 * hy);
            return evenly((2 * hx) / nx, (2 * hy) / ny);
          }
          const fair = Math.sqrt(pieceArea);
          if (!fineness(fair)) return undefined;
          const { lattice, cells } = latticeForCount(
            (p, o) => rectLattice(p, p, o),
            cut.by.pieces,
            fair,
            outline,
            inside,
          );
          return { cells, whole: cellArea(lattice), pitch: [lattice.u[0], lattice.v[1]] };
        }
        const [p, q] =
          cut.by.kind === 'size'
            ? [cut.by.sizeM, cut.by.otherM ?? cut.by.sizeM]
            : [Math.sqrt(pieceArea), Math.sqrt(pieceArea)];
        if (!round) return evenly(p, q);
        if (!fineness(Math.min(p, q))) return undefined;
        const best = OFFSETS.map((o) => rectLattice(p, q, o)).reduce((a, b) =>
          countWhole(b, radius, inner, inside, OFFCUT_BELOW) > countWhole(a, radius, inner, inside, OFFCUT_BELOW)
            ? b
            : a,
        );
        return { cells: latticeCells(best, outline), whole: p * q, pitch: [p, q] };
      }
    }
  };

  const laid = lay();
  const pieces: CutPiece[] = (laid?.cells ?? []).map((polygon) => {
    const areaM2 = polygonArea(polygon);
    return { polygon, areaM2, grams: (gramsTotal * areaM2) / area, offcut: areaM2 < OFFCUT_BELOW * (laid?.whole ?? 0) };
  });
  const kept = pieces.filter((p) => !p.offcut);
  const keptArea = kept.reduce((s, p) => s + p.areaM2, 0);
  const sizes = kept.map((p) => p.areaM2);
  return {
    outline,
    pieces,
    count: kept.length,
    offcutPct: laid ? 100 * (1 - keptArea / area) : 0,
    largestToSmallest: sizes.length > 0 ? Math.max(...sizes) / Math.min(...sizes) : 1,
    gramsAPiece: kept.length > 0 ? kept.reduce((s, p) => s + p.grams, 0) / kept.length : 0,
    pitchM: laid?.pitch ?? [2 * hx, 2 * hy],
    order: ORDER[cut.shape],
    problems,
  };
}

/** Blade care in a few words, by stickiness (0–10) and add-ins. */
export function bladeCare(sticky: number, tapiocaShare: number, addIns: boolean): string {
  if (tapiocaShare > 0.5) return 'A plastic knife, oiled; wipe after each cut.';
  if (sticky > 5) return 'Oil the blade or wrap it in film; wipe after each cut.';
  if (addIns) return 'A serrated blade, wetted; saw, do not press.';
  return 'Wet the blade between cuts.';
}
