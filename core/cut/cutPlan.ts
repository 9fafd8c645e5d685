import { problem, type Problem } from '../units';
import type { Vessel } from '../kitchen';
import type { Plan } from '../plan';
import { clipConvex, innerRadius, polygonArea, type Polygon } from './polygon';
import { outlineOf } from './outline';

/** Width lost to the blade, m. */
export const KERF_M = 0.001;
/** A piece under this share of a whole one counts as an offcut. */
const OFFCUT_BELOW = 0.6;

export interface CutPlan {
  readonly outline: Polygon;
  readonly pieces: readonly { readonly polygon: Polygon; readonly areaM2: number; readonly grams: number; readonly offcut: boolean }[];
  readonly count: number;
  readonly offcutPct: number;
  readonly largestToSmallest: number;
  readonly gramsAPiece: number;
  readonly pitchM: readonly [number, number];
  readonly problems: readonly Problem[];
}

const bounds = (p: Polygon) => ({ hx: Math.max(...p.map(([x]) => Math.abs(x))), hy: Math.max(...p.map(([, y]) => Math.abs(y))) });

/** Columns and rows for about `pieces` pieces as square as the sides allow. */
function gridFor(pieces: number, width: number, height: number): readonly [number, number] {
  let best: readonly [number, number] = [1, pieces];
  let bestCost = Infinity;
  for (let nx = 1; nx <= pieces; nx++) {
    const ny = Math.max(1, Math.round(pieces / nx));
    const cost = Math.abs(nx * ny - pieces) * 3 + Math.abs(Math.log(width / nx / (height / ny)));
    if (cost < bestCost) { bestCost = cost; best = [nx, ny]; }
  }
  return best;
}

function layGrid(outline: Polygon, nx: number, ny: number, px: number, py: number): Polygon[] {
  const cells: Polygon[] = [];
  const inside = innerRadius(outline);
  for (let j = 0; j < ny; j++) for (let i = 0; i < nx; i++) {
    const x0 = (i - nx / 2) * px;
    const y0 = (j - ny / 2) * py;
    const whole: Polygon = [[x0, y0], [x0 + px, y0], [x0 + px, y0 + py], [x0, y0 + py]];
    const far = Math.hypot(Math.max(Math.abs(x0), Math.abs(x0 + px)), Math.max(Math.abs(y0), Math.abs(y0 + py)));
    const cell = far <= inside ? whole : clipConvex(whole, outline);
    if (cell.length >= 3 && polygonArea(cell) > 1e-8) cells.push(cell);
  }
  return cells;
}

const SAMPLES = 8;

/** How many cells of a square grid keep at least the offcut share within a circle; by sampling, for searching a pitch. */
function wholeCells(k: number, pitch: number, radius: number): number {
  let count = 0;
  for (let j = 0; j < k; j++) for (let i = 0; i < k; i++) {
    let hit = 0;
    for (let b = 0; b < SAMPLES; b++) for (let a = 0; a < SAMPLES; a++) {
      const x = (i - k / 2 + (a + 0.5) / SAMPLES) * pitch;
      const y = (j - k / 2 + (b + 0.5) / SAMPLES) * pitch;
      if (x * x + y * y <= radius * radius) hit++;
    }
    if (hit >= OFFCUT_BELOW * SAMPLES * SAMPLES) count++;
  }
  return count;
}

/**
 * Square and rectangular cut plan on the real outline. By count: on a rectangle the even grid nearest the count; on a round pan
 * the square pitch whose whole pieces come nearest it. By size: that pitch, evened out. By grams: the pitch that weighs so.
 * @param gramsTotal the cake in this vessel, g
 */
export function cutPlan(vessel: Vessel, depthM: number, gramsTotal: number, cut: NonNullable<Plan['cut']>): CutPlan {
  const outline = outlineOf(vessel, depthM);
  const area = polygonArea(outline);
  const { hx, hy } = bounds(outline);
  const problems: Problem[] = [];
  const round = vessel.shape !== 'rectangular';
  const gramsOf = (a: number) => (gramsTotal * a) / area;
  let pitch: readonly [number, number];
  let n: readonly [number, number];
  const fromPitch = (p: number, q: number): void => {
    n = round ? [Math.ceil((2 * hx) / p), Math.ceil((2 * hy) / q)] : [Math.max(1, Math.round((2 * hx) / p)), Math.max(1, Math.round((2 * hy) / q))];
    pitch = round ? [p, q] : [(2 * hx) / n[0], (2 * hy) / n[1]];
  };
  n = [1, 1];
  pitch = [2 * hx, 2 * hy];
  if (cut.by.kind === 'count') {
    if (round) {
      let best = Infinity;
      const guess = Math.sqrt(area / cut.by.pieces);
      for (let f = 0.75; f <= 1.25; f += 0.02) {
        const p = guess * f;
        for (const extra of [0, 1]) {
          const k = Math.ceil((2 * hx) / p) + extra;
          const off = Math.abs(wholeCells(k, p, hx) - cut.by.pieces) + Math.abs(f - 1) * 0.5;
          if (off < best) { best = off; n = [k, k]; pitch = [p, p]; }
        }
      }
    } else {
      n = gridFor(cut.by.pieces, 2 * hx, 2 * hy);
      pitch = [(2 * hx) / n[0], (2 * hy) / n[1]];
    }
  } else if (cut.by.kind === 'size') fromPitch(cut.by.sizeM, cut.by.otherM ?? cut.by.sizeM);
  else {
    const side = Math.sqrt((cut.by.grams / gramsTotal) * area);
    fromPitch(side, side);
  }
  if (Math.min(...pitch) <= 4 * KERF_M) problems.push(problem('cut-too-fine', 'cut.by', `Pieces ${(Math.min(...pitch) * 1000).toFixed(1)} mm wide are crumbs next to a 1 mm blade; ask for fewer or larger pieces.`));
  const cells = problems.length > 0 ? [] : layGrid(outline, n[0], n[1], pitch[0], pitch[1]);
  const full = pitch[0] * pitch[1];
  const pieces = cells.map((polygon) => {
    const areaM2 = polygonArea(polygon);
    return { polygon, areaM2, grams: gramsOf(areaM2), offcut: areaM2 < OFFCUT_BELOW * full };
  });
  const kept = pieces.filter((p) => !p.offcut);
  const sizes = kept.map((p) => p.areaM2);
  return {
    outline, pieces, count: kept.length,
    offcutPct: (100 * pieces.filter((p) => p.offcut).reduce((s, p) => s + p.areaM2, 0)) / area,
    largestToSmallest: sizes.length > 0 ? Math.max(...sizes) / Math.min(...sizes) : 1,
    gramsAPiece: kept.length > 0 ? kept.reduce((s, p) => s + p.grams, 0) / kept.length : 0,
    pitchM: pitch, problems,
  };
}

/** Blade care in a few words, by stickiness (0–10) and add-ins. */
export function bladeCare(sticky: number, tapiocaShare: number, addIns: boolean): string {
  if (tapiocaShare > 0.5) return 'A plastic knife, oiled; wipe after each cut.';
  if (sticky > 5) return 'Oil the blade or wrap it in film; wipe after each cut.';
  if (addIns) return 'A serrated blade, wetted; saw, do not press.';
  return 'Wet the blade between cuts.';
}
