import type { CutPlan } from '@/core/model/cut';

/** Where the grip stands, on a line that is cut, and how the width of a piece follows from where it is dragged to. */
export interface Grip {
  /** Its place right of the middle, m. */
  readonly atM: number;
  /** The width of a piece with that line at another place, m. */
  readonly sizeAt: (atM: number) => number;
}

/** A line nearer to the middle than this share of a piece is no line to take hold of. */
const NEAR = 0.25;
const SAME_M = 1e-6;

/**
 * The grip of a cut: the first line from the side where the pieces begin there, or the first right of the middle where they are laid out from
 * it. Such a line moves by its own share of what is added to a piece: it stands one width from the side, or half or one from the middle.
 */
export function gripOf(cut: Pick<CutPlan, 'outline' | 'pieces' | 'pitchM'>): Grip {
  const size = cut.pitchM[0];
  const left = Math.min(...cut.outline.map(([x]) => x));
  const sides = cut.pieces
    .filter((p) => !p.offcut)
    .map(({ polygon }) => {
      const xs = polygon.map(([x]) => x);
      return [Math.min(...xs), Math.max(...xs)] as const;
    });
  const fromSide = sides.some(([l, r]) => Math.abs(l - left) < SAME_M && Math.abs(r - left - size) < SAME_M);
  const rights = sides.map(([, r]) => r).filter((r) => r > NEAR * size);
  if (fromSide || rights.length === 0) return { atM: left + size, sizeAt: (atM) => atM - left };
  const atM = Math.min(...rights);
  return { atM, sizeAt: (m) => (size * m) / atM };
}
