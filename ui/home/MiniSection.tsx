import type { Vessel } from '@/core/kitchen';
import { vesselShape } from '@/core/vessel';

/** A thumbnail of the cake in section, all at one scale so that pans can be compared. */
export function MiniSection({ vessel, depthM }: { vessel: Vessel; depthM: number }) {
  const shape = vesselShape(vessel);
  const s = 380;
  const cx = 62;
  const base = 38;
  const line = (to: number) =>
    Array.from({ length: 9 }, (_, i) => [shape.halfWidthAt((to * i) / 8) * s, base - ((to * i) / 8) * s] as const);
  const points = (to: number) => {
    const o = line(to);
    return [...o.map(([x, y]) => `${cx - x},${y}`).reverse(), ...o.map(([x, y]) => `${cx + x},${y}`)].join(' ');
  };
  return (
    <svg viewBox="0 0 124 44" width="124" height="44" aria-hidden>
      <polygon points={points(Math.min(depthM, vessel.heightM))} fill="var(--set)" opacity="0.75" />
      <polyline
        points={points(vessel.heightM)}
        fill="none"
        stroke="var(--pan)"
        strokeWidth="1.6"
        strokeLinejoin="round"
      />
    </svg>
  );
}
