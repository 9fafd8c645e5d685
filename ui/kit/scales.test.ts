import fc from 'fast-check';
import { linear, logarithmic, pathOf } from './scales';

const finite = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test('a straight scale comes back to where it was asked from, whichever way it is drawn', () => {
  fc.assert(
    fc.property(
      finite(-50, 50),
      finite(1, 90),
      finite(0, 600),
      finite(1, 400),
      finite(-200, 200),
      (a, w, from, h, v) => {
        const s = linear([a, a + w], [from + h, from]);
        expect(s(a)).toBeCloseTo(from + h, 6);
        expect(s(a + w)).toBeCloseTo(from, 6);
        expect(s.invert(s(v))).toBeCloseTo(v, 6);
      },
    ),
  );
});
test('a scale by ratios gives equal steps to equal ratios, and holds at its ends', () => {
  const s = logarithmic([0.5, 8], [0, 400]);
  expect([0.5, 1, 2, 4, 8].map((v) => Math.round(s(v)))).toEqual([0, 100, 200, 300, 400]);
  expect([s(0.1), s(90)]).toEqual([0, 400]);
  expect(s.invert(200)).toBeCloseTo(2, 9);
  expect(s.invert(900)).toBe(8);
});
test('points become a path', () => {
  expect(
    pathOf([
      [0, 1],
      [2, 3.5],
      [4, 5],
    ]),
  ).toBe('M0,1L2,3.5L4,5');
});
