import type { Vessel } from '../../kitchen';
import { vesselShape } from '../vessel';
import type { Polygon, Point } from './polygon';

const ROUND_SIDES = 96;

/**
 * The cake's outline from above at the middle of its depth, m, centred on the origin. Round outlines are regular polygons of
 * 96 sides with the circle's own area.
 */
export function outlineOf(vessel: Vessel, depthM: number): Polygon {
  const shape = vesselShape(vessel);
  const z = Math.min(depthM, vessel.heightM) / 2;
  if (shape.halfAt && vessel.shape === 'rectangular') {
    const [hx, hy] = shape.halfAt(z);
    const r = Math.min(vessel.cornerRadiusM, hx, hy);
    if (r < 1e-4)
      return [
        [-hx, -hy],
        [hx, -hy],
        [hx, hy],
        [-hx, hy],
      ];
    const corner = (cx: number, cy: number, from: number): Point[] =>
      Array.from(
        { length: 9 },
        (_, i) => [cx + r * Math.cos(from + (i * Math.PI) / 16), cy + r * Math.sin(from + (i * Math.PI) / 16)] as const,
      );
    return [
      ...corner(hx - r, -hy + r, -Math.PI / 2),
      ...corner(hx - r, hy - r, 0),
      ...corner(-hx + r, hy - r, Math.PI / 2),
      ...corner(-hx + r, -hy + r, Math.PI),
    ];
  }
  const radius = shape.halfWidthAt(z);
  const sector = (2 * Math.PI) / ROUND_SIDES;
  const r = radius * Math.sqrt(sector / Math.sin(sector));
  return Array.from({ length: ROUND_SIDES }, (_, i) => [r * Math.cos(i * sector), r * Math.sin(i * sector)] as const);
}
