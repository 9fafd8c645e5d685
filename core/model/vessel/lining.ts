import type { Vessel } from '../../kitchen';
import { sayMm } from '../../units';
import { vesselShape } from './shape';

/** A piece of paper or foil to cut, sizes in m. */
export type LiningPiece =
  | { readonly kind: 'circle'; readonly diameterM: number; readonly words: string }
  | { readonly kind: 'strip'; readonly lengthM: number; readonly widthM: number; readonly words: string }
  | { readonly kind: 'sling'; readonly lengthM: number; readonly widthM: number; readonly words: string };

/** Paper stands this far above the batter, laps over itself, and a sling's ends hang out to lift by, m. */
const ABOVE_M = 0.01;
const LAP_M = 0.02;
const HANDLE_M = 0.04;
/** A base circle is cut a little small, so that it lies flat, m. */
const SMALLER_M = 0.002;

const mm = (x: number): number => Math.round(x * 1000) / 1000;

/**
 * What to cut to line a vessel to a depth: a circle and a strip for a round one, two crossing slings for a box, a circle for a bowl or dish.
 * @param depthM depth of batter, m
 */
export function liningFor(vessel: Vessel, depthM: number): readonly LiningPiece[] {
  const shape = vesselShape(vessel);
  const riseM = Math.min(vessel.heightM, depthM + ABOVE_M);
  if (vessel.shape === 'round') {
    const base = 2 * shape.halfWidthAt(0);
    const top = 2 * shape.halfWidthAt(riseM);
    const circle = mm(base - SMALLER_M);
    const length = mm(Math.PI * Math.max(base, top) + LAP_M);
    return [
      { kind: 'circle', diameterM: circle, words: `a circle ${sayMm(circle)} across` },
      {
        kind: 'strip',
        lengthM: length,
        widthM: mm(riseM),
        words: `a strip ${sayMm(length)} by ${sayMm(mm(riseM))}`,
      },
    ];
  }
  if (vessel.shape === 'rectangular') {
    const length = vessel.baseLengthM ?? vessel.lengthM;
    const width = vessel.baseWidthM ?? vessel.widthM;
    const slant = (topSide: number, base: number) => Math.hypot(riseM, (topSide - base) / 2);
    const along = mm(length + 2 * slant(vessel.lengthM, length) + 2 * HANDLE_M);
    const across = mm(width + 2 * slant(vessel.widthM, width) + 2 * HANDLE_M);
    return [
      {
        kind: 'sling',
        lengthM: along,
        widthM: mm(width - SMALLER_M),
        words: `a sling ${sayMm(along)} by ${sayMm(mm(width - SMALLER_M))}`,
      },
      {
        kind: 'sling',
        lengthM: across,
        widthM: mm(length - SMALLER_M),
        words: `a sling ${sayMm(across)} by ${sayMm(mm(length - SMALLER_M))}`,
      },
    ];
  }
  const d = mm(2 * shape.halfWidthAt(Math.min(vessel.heightM, riseM)));
  return [{ kind: 'circle', diameterM: d, words: `a circle ${sayMm(d)} across, snipped at the edge to lie in` }];
}

/** "a circle 198 mm across and a strip 648 mm by 40 mm". */
export const liningWords = (pieces: readonly LiningPiece[]): string => pieces.map((p) => p.words).join(' and ');
