import fc from 'fast-check';
import { vesselSchema } from '../kitchen';
import { clipConvex, cutPlan, outlineOf, polygonArea } from '.';

const round = vesselSchema.parse({ id: 'r', name: 'Round', shape: 'round', material: 'steel', diameterM: 0.24, heightM: 0.05 });
const rect = vesselSchema.parse({ id: 'q', name: 'Rectangle', shape: 'rectangular', material: 'steel', lengthM: 0.24, widthM: 0.18, heightM: 0.05, cornerRadiusM: 0.015 });

test('the outline has the area of the circle, and of the rounded rectangle', () => {
  expect(polygonArea(outlineOf(round, 0.03)) / (Math.PI * 0.12 ** 2)).toBeCloseTo(1, 9);
  expect(polygonArea(outlineOf(rect, 0.03)) / (0.24 * 0.18 - (4 - Math.PI) * 0.015 ** 2)).toBeCloseTo(1, 3);
});
test('clipping a square by a shifted square leaves the overlap', () => {
  expect(polygonArea(clipConvex([[0, 0], [2, 0], [2, 2], [0, 2]], [[1, 1], [3, 1], [3, 3], [1, 3]]))).toBeCloseTo(1, 12);
});
test('pieces and offcuts together are the whole outline, within 0.1 %', () => {
  fc.assert(fc.property(fc.constantFrom(round, rect), fc.integer({ min: 1, max: 120 }), (v, pieces) => {
    const c = cutPlan(v, 0.03, 1500, { shape: 'squares', by: { kind: 'count', pieces } });
    const sum = c.pieces.reduce((s, p) => s + p.areaM2, 0);
    expect(Math.abs(sum / polygonArea(c.outline) - 1)).toBeLessThan(0.001);
    expect(c.pieces.reduce((s, p) => s + p.grams, 0)).toBeCloseTo(1500, 3);
  }), { numRuns: 60 });
});
test('sixteen pieces of a square tin are four by four, all alike', () => {
  const c = cutPlan({ ...rect, lengthM: 0.2, widthM: 0.2, cornerRadiusM: 0 } as typeof rect, 0.03, 1200, { shape: 'squares', by: { kind: 'count', pieces: 16 } });
  expect(c.count).toBe(16);
  expect(c.largestToSmallest).toBeCloseTo(1, 9);
  expect(c.gramsAPiece).toBeCloseTo(75, 6);
});
test('a cut finer than the blade is refused in words', () => {
  const c = cutPlan(rect, 0.03, 1200, { shape: 'squares', by: { kind: 'size', sizeM: 0.002 } });
  expect(c.problems[0].code).toBe('cut-too-fine');
  expect(c.pieces).toHaveLength(0);
});
