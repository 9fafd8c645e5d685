import fc from 'fast-check';
import { vesselSchema } from '../../kitchen';
import { clipConvex, cutPlan, cutSvg, outlineOf, polygonArea } from '.';

const round = vesselSchema.parse({
  id: 'r',
  name: 'Round',
  shape: 'round',
  material: 'steel',
  diameterM: 0.24,
  heightM: 0.05,
});
const rect = vesselSchema.parse({
  id: 'q',
  name: 'Rectangle',
  shape: 'rectangular',
  material: 'steel',
  lengthM: 0.24,
  widthM: 0.18,
  heightM: 0.05,
  cornerRadiusM: 0.015,
});

test('the outline has the area of the circle, and of the rounded rectangle', () => {
  expect(polygonArea(outlineOf(round, 0.03)) / (Math.PI * 0.12 ** 2)).toBeCloseTo(1, 9);
  expect(polygonArea(outlineOf(rect, 0.03)) / (0.24 * 0.18 - (4 - Math.PI) * 0.015 ** 2)).toBeCloseTo(1, 3);
});
test('clipping a square by a shifted square leaves the overlap', () => {
  expect(
    polygonArea(
      clipConvex(
        [
          [0, 0],
          [2, 0],
          [2, 2],
          [0, 2],
        ],
        [
          [1, 1],
          [3, 1],
          [3, 3],
          [1, 3],
        ],
      ),
    ),
  ).toBeCloseTo(1, 12);
});
test('pieces and offcuts together are the whole outline, within 0.1 %', () => {
  fc.assert(
    fc.property(fc.constantFrom(round, rect), fc.integer({ min: 1, max: 120 }), (v, pieces) => {
      const c = cutPlan(v, 0.03, 1500, { shape: 'squares', by: { kind: 'count', pieces } });
      const sum = c.pieces.reduce((s, p) => s + p.areaM2, 0);
      expect(Math.abs(sum / polygonArea(c.outline) - 1)).toBeLessThan(0.001);
      expect(c.pieces.reduce((s, p) => s + p.grams, 0)).toBeCloseTo(1500, 3);
    }),
    { numRuns: 60 },
  );
});
test('sixteen pieces of a square tin are four by four, all alike', () => {
  const c = cutPlan({ ...rect, lengthM: 0.2, widthM: 0.2, cornerRadiusM: 0 } as typeof rect, 0.03, 1200, {
    shape: 'squares',
    by: { kind: 'count', pieces: 16 },
  });
  expect(c.count).toBe(16);
  expect(c.largestToSmallest).toBeCloseTo(1, 9);
  expect(c.gramsAPiece).toBeCloseTo(75, 6);
});
test('a cut finer than the blade is refused in words', () => {
  const c = cutPlan(rect, 0.03, 1200, { shape: 'squares', by: { kind: 'size', sizeM: 0.002, otherM: 0.002 } });
  expect(c.problems[0].code).toBe('cut-too-fine');
  expect(c.pieces).toHaveLength(0);
});

describe('other shapes', () => {
  const at = (shape: 'diamonds' | 'wedges' | 'coins' | 'squares', by: Parameters<typeof cutPlan>[3]['by'], v = round) =>
    cutPlan(v, 0.03, 1500, { shape, by });
  test('sixty diamonds on a round pan, within three, and nothing of the cake is lost', () => {
    const c = at('diamonds', { kind: 'count', pieces: 60 });
    expect(Math.abs(c.count - 60)).toBeLessThanOrEqual(3);
    expect(c.pieces.reduce((s, p) => s + p.areaM2, 0) / polygonArea(c.outline)).toBeCloseTo(1, 3);
  });
  test('a whole diamond of side 40 mm at 60° is 40²·sin 60° = 13.86 cm²', () => {
    const c = at('diamonds', { kind: 'size', sizeM: 0.04, otherM: 0.04 });
    expect(Math.max(...c.pieces.map((p) => p.areaM2)) * 1e4).toBeCloseTo(16 * Math.sin(Math.PI / 3), 4);
  });
  test('wedges of a round cake are alike and fill it; of a square one they fill it too', () => {
    for (const n of [2, 3, 8, 12]) {
      const c = at('wedges', { kind: 'count', pieces: n });
      expect(c.count).toBe(n);
      expect(c.largestToSmallest).toBeLessThan(1.03);
      expect(c.pieces.reduce((s, p) => s + p.areaM2, 0) / polygonArea(c.outline)).toBeCloseTo(1, 6);
    }
    const sq = at('wedges', { kind: 'count', pieces: 8 }, rect);
    expect(sq.pieces.reduce((s, p) => s + p.areaM2, 0) / polygonArea(sq.outline)).toBeCloseTo(1, 6);
  });
  test('seven coins of a third of the pan lie in it; none overlap', () => {
    const c = at('coins', { kind: 'size', sizeM: 0.078, otherM: 0.078 });
    expect(c.count).toBe(7);
    const mids = c.pieces.map((p) => [
      p.polygon.reduce((s, [x]) => s + x, 0) / p.polygon.length,
      p.polygon.reduce((s, [, y]) => s + y, 0) / p.polygon.length,
    ]);
    mids.forEach((a, i) =>
      mids.forEach((b, j) => {
        if (j > i) expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThanOrEqual(0.078);
      }),
    );
  });
  test('the printed plan is at true scale and says how many pieces', () => {
    const svg = cutSvg(at('diamonds', { kind: 'size', sizeM: 0.04, otherM: 0.04 }), 'Test <cake>');
    expect(svg).toMatch(/^<svg[^>]* width="252\.\dmm"/);
    expect(svg).not.toMatch(/<cake>/);
  });
  test('a folded sheet of 240 mm cut in strips of 20 mm gives twelve, and loses nothing', () => {
    const c = cutPlan({ ...rect, cornerRadiusM: 0 } as typeof rect, 0.003, 150, {
      shape: 'folded',
      by: { kind: 'size', sizeM: 0.02, otherM: 0.02 },
    });
    expect(c.count).toBe(12);
    expect(c.gramsAPiece).toBeCloseTo(12.5, 6);
    expect(c.offcutPct).toBeCloseTo(0, 6);
  });
  test('squares are no strips: a prime count that does not go is the nearest that does', () => {
    for (const n of [5, 7, 13, 29, 31]) {
      const c = at('squares', { kind: 'count', pieces: n }, rect);
      expect(Math.max(...c.pitchM) / Math.min(...c.pitchM)).toBeLessThanOrEqual(2);
      expect(Math.abs(c.count - n)).toBeLessThanOrEqual(1);
    }
  });
  test('where no whole piece lies in it, it is said', () => {
    const c = at('squares', { kind: 'size', sizeM: 0.9, otherM: 0.9 });
    expect(c.count).toBe(0);
    expect(c.problems.map((p) => p.code)).toEqual(['coin-over-cake']);
  });
  test('a cutter wider than the cake is refused', () =>
    expect(at('coins', { kind: 'size', sizeM: 0.5, otherM: 0.5 }).problems[0].code).toBe('coin-over-cake'));
});
