import { there } from '@/core/units';
import type { LifeMark } from '@/core/work/timeline';

/** A letter of a mark's words, px, and least room between two. */
const LETTER = 7.1;
const APART = 7;

export interface PlacedMark {
  readonly mark: LifeMark;
  readonly x: number;
  /** Middle of its words, kept on the ribbon. */
  readonly at: number;
  readonly row: number;
}

/** What stands under the ribbon: a pour only says which. */
export const markText = (m: LifeMark): string =>
  m.kind === 'pour' ? m.words.replace('pour ', '') : `${m.words} ${m.minutes}`;
const markWidth = (m: LifeMark): number => Math.max(16, markText(m).length * LETTER);

/** What has to be told comes first where there is no room for all. */
const WEIGHT: readonly LifeMark['kind'][] = [
  'unsafe',
  'late',
  'check',
  'plan',
  'clean',
  'cuts',
  'safe',
  'leaves',
  'pour',
  'turn',
];

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
  const byWeight = [...marks].sort((a, b) => WEIGHT.indexOf(a.kind) - WEIGHT.indexOf(b.kind) || a.atS - b.atS);
  return byWeight.flatMap((mark) => {
    const x = toX(mark.atS) * width;
    const half = markWidth(mark) / 2;
    const at = Math.min(width - half, Math.max(half, x));
    const row = rows.findIndex((list) =>
      list.every(([from, to]) => at - half >= to + APART || at + half <= from - APART),
    );
    if (row < 0) return [];
    there(rows[row]).push([at - half, at + half]);
    return [{ mark, x, at, row }];
  });
}
