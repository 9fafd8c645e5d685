import { vesselShape } from '@/core/vessel';
import type { Vessel } from '@/core/kitchen';
import { sectionPath } from './sectionPath';

const scale = (m: number) => 1000 * m;
const points = (path: string) =>
  path
    .slice(1)
    .split('L')
    .map((p) => p.split(',').map(Number));
/** Area inside an outline that is closed by a straight line, shoelace. */
const area = (ps: readonly number[][]) =>
  Math.abs(ps.reduce((sum, [x, y], i) => sum + x * ps[(i + 1) % ps.length][1] - ps[(i + 1) % ps.length][0] * y, 0)) / 2;
const round = { ...({ material: 'steel', count: 1, provenance: 'default' } as const), id: 'v', name: 'V' };

describe('a vessel in section', () => {
  const drawn = (vessel: Vessel) =>
    points(sectionPath((z) => vesselShape(vessel).halfWidthAt(z), vessel.heightM, scale, scale));
  test('straight sides need their corners only, and the area is that of the rectangle or trapezium', () => {
    const tin = drawn({ ...round, shape: 'round', diameterM: 0.2, heightM: 0.06 });
    expect(tin).toHaveLength(4);
    expect(area(tin)).toBeCloseTo(200 * 60, 6);
    const tapered = drawn({ ...round, shape: 'round', diameterM: 0.2, baseDiameterM: 0.15, heightM: 0.06 });
    expect(tapered).toHaveLength(4);
    expect(area(tapered)).toBeCloseTo(((200 + 150) / 2) * 60, 6);
  });
  test('what rounding does to a straight side is no corner', () => {
    const tapered = vesselShape({ ...round, shape: 'round', diameterM: 0.065, baseDiameterM: 0.05, heightM: 0.02 });
    const hundredths = (m: number) => Math.round(3100 * m * 100) / 100;
    const cup = points(sectionPath((z) => tapered.halfWidthAt(z), 0.02, hundredths, hundredths));
    expect(cup).toHaveLength(4);
  });
  test('a round bowl keeps its curve: nowhere is the drawn line seen beside it', () => {
    const vessel = { ...round, shape: 'bowl', diameterM: 0.2, heightM: 0.07 } as const;
    const bowl = drawn(vessel);
    const shape = vesselShape(vessel);
    const right = bowl.filter(([x]) => x >= 0).sort((a, b) => a[1] - b[1]);
    // Below the lowest point looked at but the base itself, a bowl turns flat within one step.
    for (let z = 0.07 / 24; z <= 0.07; z += 0.0005) {
      const i = Math.max(
        1,
        right.findIndex(([, y]) => y >= 1000 * z - 1e-9),
      );
      const [[ax, ay], [bx, by]] = [right[i - 1], right[i]];
      const x = ax + ((1000 * z - ay) / (by - ay)) * (bx - ax);
      expect(Math.abs(x - 1000 * shape.halfWidthAt(z))).toBeLessThan(0.5);
    }
    expect(
      area(bowl) /
        area(
          points(
            sectionPath(
              (z) => shape.halfWidthAt(z),
              0.07,
              (m) => 1e5 * m,
              (m) => 1e5 * m,
            ),
          ),
        ),
    ).toBeCloseTo(1e-4, 7);
  });
});
