import type { Vessel } from '@/core/kitchen';
import { vesselShape } from '@/core/model/vessel';
import { drawn } from '../kit/scales';

/** A millimetre on paper in drawing units, as a page lays it out (96 to the inch). */
const TRUE_MM = 96 / 25.4;

/** How a vessel stands in a drawing: one scale both ways. */
export interface SectionFrame {
  readonly width: number;
  readonly height: number;
  /** Drawing units a metre. */
  readonly scale: number;
  readonly cx: number;
  readonly baseY: number;
  readonly x: (m: number) => number;
  readonly y: (m: number) => number;
  /** Metre at a drawing height. */
  readonly zAt: (y: number) => number;
}

/**
 * Frames a vessel as large as fits.
 * @param highM what has to fit in height, m: the rim, or the batter where it stands higher
 * @param room width and most height for it, the clear space at its sides, over and under it, drawing units
 */
export function sectionFrame(
  vessel: Vessel,
  highM: number,
  room: {
    readonly width: number;
    readonly mostY: number;
    readonly side: number;
    readonly head: number;
    readonly foot: number;
    readonly leastY?: number;
  },
): SectionFrame {
  const shape = vesselShape(vessel);
  const rim = Math.max(shape.halfWidthAt(vessel.heightM), shape.halfWidthAt(0));
  // However narrow the place, half of it is the vessel's.
  const wide = Math.max(room.width - 2 * room.side, room.width / 2);
  const scale = Math.min(wide / (2 * rim), room.mostY / highM);
  const baseY = drawn(Math.max(room.head + (room.leastY ?? 0), room.head + highM * scale));
  const cx = room.width / 2;
  return {
    width: room.width,
    height: drawn(baseY + room.foot),
    scale,
    cx,
    baseY,
    x: (m) => drawn(cx + m * scale),
    y: (m) => drawn(baseY - m * scale),
    zAt: (at) => (baseY - at) / scale,
  };
}

/** A frame at a place and scale that the drawing has chosen: several stand on one base line. */
export const frameAt = (cx: number, baseY: number, scale: number, width: number, height: number): SectionFrame => ({
  width,
  height,
  scale,
  cx,
  baseY,
  x: (m) => cx + m * scale,
  y: (m) => baseY - m * scale,
  zAt: (at) => (baseY - at) / scale,
});

/** "1 : 1.4" for a scale in drawing units a metre; enlarged, "2 : 1". */
export function sayScale(scale: number): string {
  const u = scale / 1000 / TRUE_MM;
  const round = (v: number) => (v < 10 ? v.toFixed(1).replace(/\.0$/, '') : String(Math.round(v)));
  return u >= 1 ? `${round(u)} : 1` : `1 : ${round(1 / u)}`;
}
