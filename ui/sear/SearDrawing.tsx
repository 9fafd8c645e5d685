import type { FryingPan } from '@/core/kitchen';
import type { Packing } from '@/core/model/sear';
import { Words } from '../section/Words';

/** One load in the frying pan, from above, to scale. */
export function SearDrawing({
  pan,
  packing,
  colour,
  bare = false,
}: {
  pan: FryingPan;
  packing: Packing;
  colour: string;
  /** Without its name, where that would be too small to read. */
  bare?: boolean;
}) {
  const s = 220 / Math.max(pan.diameterM, pan.widthM ?? 0);
  return (
    <svg
      viewBox="0 0 320 268"
      width="100%"
      role="img"
      aria-label={`${pan.name}: ${packing.perLoad} pieces in one load.`}
      style={{ display: 'block', maxHeight: 268 }}
    >
      {pan.shape === 'round' ? (
        <circle cx="160" cy="130" r={(pan.diameterM / 2) * s} fill="none" stroke="var(--pan)" strokeWidth="4" />
      ) : (
        <rect
          x={160 - (pan.diameterM * s) / 2}
          y={130 - ((pan.widthM ?? pan.diameterM) * s) / 2}
          width={pan.diameterM * s}
          height={(pan.widthM ?? pan.diameterM) * s}
          rx="6"
          fill="none"
          stroke="var(--pan)"
          strokeWidth="4"
        />
      )}
      {packing.places.map((p, i) => (
        <rect
          key={i}
          x={160 + p.x * s}
          y={130 - (p.y + p.h) * s}
          width={p.w * s}
          height={p.h * s}
          rx="2"
          fill={colour}
          stroke="#232C66"
          strokeWidth="1.2"
        />
      ))}
      {bare ? null : (
        <Words x={160} y={264}>
          {pan.name}, one load, to scale
        </Words>
      )}
    </svg>
  );
}
