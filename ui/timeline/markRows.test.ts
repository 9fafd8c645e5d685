import fc from 'fast-check';
import type { LifeMark, MarkKind } from '@/core/work/timeline';
import { markRows, markText } from './markRows';

const mark = (kind: MarkKind, atS: number, words: string = kind): LifeMark => ({ kind, atS, words, minutes: '20 min' });
const toX = (s: number) => s / 1000;

test('words never touch in a row, stay on the ribbon, and what is unsafe finds room before a pour', () => {
  const kinds: readonly MarkKind[] = ['check', 'clean', 'plan', 'late', 'unsafe', 'cuts', 'leaves', 'pour'];
  fc.assert(
    fc.property(
      fc.array(fc.record({ kind: fc.constantFrom(...kinds), atS: fc.nat(1000) }), { maxLength: 14 }),
      fc.integer({ min: 360, max: 1400 }),
      (list, width) => {
        const placed = markRows(
          list.map((m) => mark(m.kind, m.atS)),
          toX,
          width,
        );
        const span = (p: (typeof placed)[number]) => {
          const half = Math.max(16, markText(p.mark).length * 7.1) / 2;
          return [p.at - half, p.at + half] as const;
        };
        for (const p of placed) {
          expect(span(p)[0]).toBeGreaterThanOrEqual(-1e-9);
          expect(span(p)[1]).toBeLessThanOrEqual(width + 1e-9);
          for (const q of placed)
            if (q !== p && q.row === p.row) expect(span(p)[1] <= span(q)[0] || span(q)[1] <= span(p)[0]).toBe(true);
        }
        // Four of them in one place have no room in three rows, but never for something lighter.
        const unsafe = list.filter((m) => m.kind === 'unsafe').map((m) => mark(m.kind, m.atS));
        expect(placed.filter((p) => p.mark.kind === 'unsafe')).toEqual(markRows(unsafe, toX, width));
      },
    ),
  );
});
test('a pour says only which it is', () => {
  expect(markText(mark('pour', 5, 'pour 3'))).toBe('3');
  expect(markText(mark('check', 5))).toBe('check 20 min');
});
