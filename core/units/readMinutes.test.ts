import fc from 'fast-check';
import { readMinutes, sayDuration } from '.';

test.each([
  ['90 min', 90],
  ['90m', 90],
  ['4 h', 240],
  ['4h', 240],
  ['1½ h', 90],
  ['1,5 h', 90],
  ['1/2 hour', 30],
  ['1 h 30', 90],
  ['1h30', 90],
  ['1 h 30 min', 90],
  ['1:30', 90],
  ['0:05', 5],
  ['2 days', 2880],
  ['1 d 6 h', 1800],
  ['45 s', 0.75],
  ['2 MIN 30 S', 2.5],
  ['-10 min', -10],
] as const)('%s is %d minutes', (text, minutes) => {
  expect(readMinutes(text)).toEqual({ kind: 'amount', value: expect.closeTo(minutes, 9) });
});
test.each(['', 'soon', 'h', '1:75', '30 min 1 h', '2 h -5 min', '4 hens', '1 h 2 h'])('%j is no time', (text) => {
  expect(readMinutes(text).kind).toBe('bad');
});
test('what could be two figures is asked about', () => {
  expect(readMinutes('1,250 min')).toMatchObject({ kind: 'ask', readings: [1.25, 1250] });
});
test('what a sentence says is read as it was said', () => {
  fc.assert(
    fc.property(fc.integer({ min: 5, max: 72 * 60 }), (minutes) => {
      expect(readMinutes(sayDuration(minutes * 60))).toEqual({ kind: 'amount', value: minutes });
    }),
  );
});
