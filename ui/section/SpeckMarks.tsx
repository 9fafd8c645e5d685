import { drawn } from '../kit/scales';
import type { Speck } from './specks';

/** Pieces are drawn in so many sizes. */
const SIZES = 3;
/** Half as wide again as their radius, and half as high as wide. */
const WIDE = 1.6;

/** Add-in pieces as ovals: the round ends of lines without length, a line a size. */
export function SpeckMarks({
  specks,
  x,
  y,
  scale,
}: {
  specks: readonly Speck[];
  /** Drawing x right of the middle, and y over the base, of so many m. */
  x: (m: number) => number;
  y: (m: number) => number;
  /** Drawing units a m. */
  scale: number;
}) {
  const radii = specks.map(([, , r]) => r);
  const [least, most] = [Math.min(...radii), Math.max(...radii)];
  const size = (r: number) =>
    most > least ? Math.min(SIZES - 1, Math.floor((SIZES * (r - least)) / (most - least))) : 0;
  return (
    <g transform="scale(1 .5)" fill="none" stroke="var(--speck)" strokeLinecap="round" opacity="0.55">
      {Array.from({ length: SIZES }, (_, k) => {
        const own = specks.filter(([, , r]) => size(r) === k);
        const width = (2 * WIDE * scale * own.reduce((a, [, , r]) => a + r, 0)) / own.length;
        return own.length === 0 ? null : (
          <path
            key={k}
            strokeWidth={drawn(width)}
            d={own.map(([dx, z]) => `M${Math.round(x(dx))},${Math.round(2 * y(z))}h0`).join('')}
          />
        );
      })}
    </g>
  );
}
