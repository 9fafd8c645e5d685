import fc from 'fast-check';
import { linesFor } from './lines';

test('words that fit stay on one line; longer ones go on at a space', () => {
  expect(linesFor('Plain coconut, 20 °C', 400, 14)).toEqual(['Plain coconut, 20 °C']);
  expect(linesFor('Plain coconut, 20 °C once mixed', 160, 14)).toEqual(['Plain coconut, 20 °C', 'once mixed']);
});
test('no line is longer than its room, no more lines than allowed, and what is left out is told by its end', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ maxLength: 40 })), fc.integer({ min: 40, max: 400 }), (words, widthPx) => {
      const all = words.join(' ').trim().replace(/\s+/g, ' ');
      const lines = linesFor(all, widthPx, 14);
      expect(lines.length).toBeLessThanOrEqual(2);
      for (const l of lines) expect(l.length).toBeLessThanOrEqual(Math.max(4, Math.floor(widthPx / (0.54 * 14))));
      if (lines.join(' ') !== all) expect(lines.some((l) => l.endsWith('…'))).toBe(true);
    }),
  );
});
