import { problem, type ConcernCode, type Problem } from '../../units';
import type { Vessel } from '../../kitchen';
import { innerRadius, polygonArea, type Polygon } from './polygon';
import { OFFCUT_BELOW } from './lay';
import { outlineOf } from './outline';
import { LAYS, type Cut } from './shapes';

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
  const round = vessel.shape !== 'rectangular';
  const inside = round
    ? (x: number, y: number) => x * x + y * y <= hx * hx
    : (x: number, y: number) => Math.abs(x) <= hx && Math.abs(y) <= hy;
  const problems: Problem<ConcernCode>[] = [];
  const pieceArea =
    cut.by.kind === 'count' ? area / cut.by.pieces : cut.by.kind === 'grams' ? (cut.by.grams / gramsTotal) * area : 0;

  const laid = LAYS[cut.shape](
    { outline, area, hx, hy, radius, inner: innerRadius(outline), round, inside, cut, pieceArea, gramsTotal },
    (p) => problems.push(p),
  );
  const pieces: CutPiece[] = (laid?.cells ?? []).map((polygon) => {
    const areaM2 = polygonArea(polygon);
    return { polygon, areaM2, grams: (gramsTotal * areaM2) / area, offcut: areaM2 < OFFCUT_BELOW * (laid?.whole ?? 0) };
  });
  const kept = pieces.filter((p) => !p.offcut);
  if (kept.length === 0 && problems.length === 0)
    problems.push(
      problem(
        'coin-over-cake',
        'cut.by',
        'No whole piece of that size lies in this pan: ask for smaller ones, or for more of them.',
      ),
    );
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
