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
  test('a round bowl keeps its curve', () => {
    const bowl = drawn({ ...round, shape: 'bowl', diameterM: 0.2, heightM: 0.07 });
    expect(bowl.length).toBeGreaterThan(40);
  });
});
