import type { Vessel } from '@/core/kitchen';
import { vesselShape } from '@/core/model/vessel';
import { linear } from '../kit/scales';
import { sectionPath } from './sectionPath';

/** All thumbnails at one scale, drawing units a metre, so that pans can be compared. */
const SCALE = 380;
const x = linear([0, 1], [62, 62 + SCALE]);
const y = linear([0, 1], [38, 38 - SCALE]);

/** A thumbnail of the cake in section. */
export function MiniSection({ vessel, depthM }: { vessel: Vessel; depthM: number }) {
  const shape = vesselShape(vessel);
  const upTo = (toM: number) => sectionPath((z) => shape.halfWidthAt(z), toM, x, y);
  return (
    <svg viewBox="0 0 124 44" width="124" height="44" aria-hidden>
      <path d={`${upTo(Math.min(depthM, vessel.heightM))}Z`} fill="var(--set)" opacity="0.75" />
      <path d={upTo(vessel.heightM)} fill="none" stroke="var(--pan)" strokeWidth="1.6" strokeLinejoin="round" />
    </svg>
  );
}
