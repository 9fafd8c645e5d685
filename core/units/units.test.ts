import fc from 'fast-check';
import { boilingPointC, roundGrams, roundSpoonOrCup, sayDuration } from '.';

test('kitchen rounding: 1 g under 100, 5 g above, 0.1 g for yeast, and never more than 3 % unsaid', () => {
  expect(roundGrams(268).value).toBe(270);
  expect(roundGrams(42.4).value).toBe(42);
  expect(roundGrams(3.26, 'fine').value).toBe(3.3);
  fc.assert(
    fc.property(fc.double({ min: 2, max: 9000, noNaN: true }), (g) => {
      const r = roundGrams(g);
      expect(Math.abs(r.error) <= 0.03 || r.mustSay).toBe(true);
    }),
  );
  expect(roundSpoonOrCup(0.3, 'cup')).toMatchObject({ value: 0.25, mustSay: true });
});
test('water boils at 96.6 °C at 1000 m', () => expect(boilingPointC(1000)).toBeCloseTo(96.6, 9));
test('durations as people say them', () => {
  expect([30, 60, 91, 1500, 5400, 7260].map(sayDuration)).toEqual([
    '30 s',
    '1 min',
    '1 min 30 s',
    '25 min',
    '1 h 30 min',
    '2 h 1 min',
  ]);
});
