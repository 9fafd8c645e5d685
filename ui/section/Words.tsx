import type { ReactNode } from 'react';

const LOOKS = {
  strong: { fontSize: 14, fontWeight: 600, fill: 'var(--ink)' },
  plain: { fontSize: 13, fill: 'var(--ink)' },
  soft: { fontSize: 12, fill: 'var(--soft)' },
} as const;

/** Words of a drawing, in one of three weights, about their middle. */
export const Words = ({
  x,
  y,
  as = 'soft',
  children,
}: {
  x: number;
  y: number;
  as?: keyof typeof LOOKS;
  children: ReactNode;
}) => (
  <text x={x} y={y} textAnchor="middle" {...LOOKS[as]}>
    {children}
  </text>
);
