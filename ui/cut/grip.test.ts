import { cutPlan } from '@/core/model/cut';
import type { Vessel } from '@/core/kitchen';
import type { CutInForce } from '@/core/plan';
import { gripOf } from './grip';

const common = { id: 'v', name: 'V', material: 'steel', count: 1, provenance: 'default', heightM: 0.06 } as const;
const VESSELS: readonly (readonly [string, Vessel])[] = [
  ['round tin', { ...common, shape: 'round', diameterM: 0.2 }],
  ['loaf tin', { ...common, shape: 'rectangular', lengthM: 0.22, widthM: 0.11, cornerRadiusM: 0.015 } as Vessel],
  ['square tin', { ...common, shape: 'rectangular', lengthM: 0.2, widthM: 0.2, cornerRadiusM: 0 } as Vessel],
];
const SHAPES = ['squares', 'rectangles', 'diamonds', 'batons', 'coins'] as const;
const BY: readonly CutInForce['by'][] = [
  { kind: 'count', pieces: 16 },
  { kind: 'count', pieces: 9 },
  { kind: 'size', sizeM: 0.03, otherM: 0.03 },
  { kind: 'size', sizeM: 0.045, otherM: 0.045 },
  { kind: 'grams', grams: 60 },
];
const cases = VESSELS.flatMap(([name, vessel]) => SHAPES.map((shape) => [name, shape, vessel] as const));

test.each(cases)(
  '%s cut in %s: the grip stands on a line that is cut, and says the width that is cut',
  (_, shape, vessel) => {
    for (const by of BY) {
      const cut = cutPlan(vessel, 0.03, 1200, { shape, by });
      const grip = gripOf(cut);
      const ends = cut.pieces.filter((p) => !p.offcut).map((p) => Math.max(...p.polygon.map(([x]) => x)));
      expect(Math.min(...ends.map((e) => Math.abs(e - grip.atM)))).toBeLessThan(1e-9);
      expect(grip.sizeAt(grip.atM)).toBeCloseTo(cut.pitchM[0], 9);
      // Outwards is wider.
      expect(grip.sizeAt(grip.atM + 0.005)).toBeGreaterThan(cut.pitchM[0]);
    }
  },
);
test('from the side of a tin a piece grows by what the line moves, and from the middle by more', () => {
  const square = cutPlan(VESSELS[2][1], 0.03, 1200, { shape: 'squares', by: { kind: 'count', pieces: 16 } });
  const grip = gripOf(square);
  expect(grip.atM).toBeCloseTo(-0.05, 9);
  expect(grip.sizeAt(grip.atM + 0.01)).toBeCloseTo(0.06, 9);
});
