import type { LifeMark } from '@/core/life';

/** A letter of a mark's words, px, and least room between two. */
const LETTER = 7.1;
const APART = 8;

export interface PlacedMark {
  readonly mark: LifeMark;
  readonly x: number;
  /** Middle of its words, kept on the ribbon. */
  readonly at: number;
  readonly row: number;
}

export const markWidth = (m: LifeMark): number => (m.words.length + m.minutes.length + 1) * LETTER;

/**
 * Sets the words of marks under the ribbon: each in the first row where it touches no other, none beyond its ends.
 * @param width of the ribbon, px
 * @param most rows; what finds no room in any is left to its line
 */
export function markRows(
  marks: readonly LifeMark[],
  toX: (atS: number) => number,
  width: number,
  most = 3,
): readonly PlacedMark[] {
  const rows: (readonly [number, number])[][] = Array.from({ length: most }, () => []);
  // What is watched comes before what is only a stage on the way.
  const byWeight = [...marks].sort((a, b) => Number(a.kind === 'pour') - Number(b.kind === 'pour') || a.atS - b.atS);
  return byWeight.flatMap((mark) => {
    const x = toX(mark.atS) * width;
    const half = markWidth(mark) / 2;
    const at = Math.min(width - half, Math.max(half, x));
    const row = rows.findIndex((list) =>
      list.every(([from, to]) => at - half >= to + APART || at + half <= from - APART),
    );
    if (row < 0) return [];
    rows[row].push([at - half, at + half]);
    return [{ mark, x, at, row }];
  });
}
