import { vesselShape } from '@/core/model/vessel';
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
    const beside = ([x, y]: readonly [number, number]) =>
      Math.min(
        ...right.slice(1).map(([bx, by], i) => {
          const [ax, ay] = right[i];
          const long = (bx - ax) ** 2 + (by - ay) ** 2;
          const way = long === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / long));
          return Math.hypot(x - ax - way * (bx - ax), y - ay - way * (by - ay));
        }),
      );
    for (let z = 0; z <= 0.07; z += 0.0005) expect(beside([1000 * shape.halfWidthAt(z), 1000 * z])).toBeLessThan(0.3);
    // The exact area: a spherical cap in section is a part of a disc.
    const radius = (100 ** 2 + 70 ** 2) / (2 * 70);
    const half = Math.acos(1 - 70 / radius);
    expect(area(bowl) / (radius ** 2 * (half - Math.sin(half) * Math.cos(half)))).toBeCloseTo(1, 2);
  });
});
