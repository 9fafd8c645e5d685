'use client';
import { useId, useRef } from 'react';
import type { Ingredient } from '@/core/larder';
import { shortName, there } from '@/core/units';
import { GRIP, ONE_DRAG, useHandle } from '../kit/useHandle';
import type { PastBlend } from '@/db';
import { HEIGHT, PAD, SIDE, toShares, toXY, type Three } from './triangle';
import type { BlendFieldHand } from './useBlendField';

/** One press of an arrow key. */
const STEP = 0.02;
const ARROWS: Readonly<Record<string, Three>> = {
  ArrowUp: [STEP, -STEP / 2, -STEP / 2],
  ArrowDown: [-STEP, STEP / 2, STEP / 2],
  ArrowLeft: [0, STEP, -STEP],
  ArrowRight: [0, -STEP, STEP],
};
const CORNERS: readonly Three[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];
const EDGE = `M${CORNERS.map((c) => toXY(c).join()).join('L')}Z`;
/** Where each corner's name stands beside it. */
const NAMED = [
  { anchor: 'middle', dx: 0, dy: -10 },
  { anchor: 'start', dx: -PAD + 4, dy: 20 },
  { anchor: 'end', dx: PAD - 4, dy: 20 },
] as const;
/** A past batch with less of the three than this is not of this field. */
const OF_IT = 0.3;

const sum = (of: readonly number[]) => of.reduce((a, b) => a + b, 0);
/** Shares of three, which are one together. */
const whole = (raw: readonly number[]): Three => raw.map((x) => x / sum(raw)) as unknown as Three;

/** The three-cornered field: bands of a texture axis, where the family lives, past batches, and the point to be moved. */
export function BlendTriangle({
  three,
  field: { bands, region, shares, together, move },
  past,
}: {
  three: readonly Ingredient[];
  field: BlendFieldHand;
  past: readonly PastBlend[];
}) {
  const clip = useId();
  const svg = useRef<SVGSVGElement>(null);
  const handle = useHandle((x, y) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return undefined;
    const next = toShares(
      ((x - box.left) / box.width) * (SIDE + 2 * PAD),
      ((y - box.top) / box.height) * (HEIGHT + 2 * PAD),
    );
    return () => move(next, ONE_DRAG);
  });
  const nudge = (e: React.KeyboardEvent) => {
    const by = ARROWS[e.key];
    if (!by) return;
    e.preventDefault();
    move(whole(shares.map((x, i) => Math.max(0, x + there(by[i])))), 'blend.keys');
  };
  const [px, py] = toXY(shares);
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${SIDE + 2 * PAD} ${HEIGHT + 2 * PAD}`}
      width="100%"
      style={{ display: 'block' }}
      role="group"
      aria-label={`Blend field of ${three.map((i) => i.name).join(', ')}`}
    >
      <defs>
        <clipPath id={clip}>
          <path d={EDGE} />
        </clipPath>
      </defs>
      <g clipPath={`url(#${clip})`} aria-hidden>
        <rect width={SIDE + 2 * PAD} height={HEIGHT + 2 * PAD} fill="var(--ground)" />
        {bands.map((b) => (
          <path
            key={b.level}
            d={b.path}
            fill="var(--steam)"
            fillOpacity="0.11"
            stroke="var(--steam)"
            strokeWidth="0.7"
          />
        ))}
        {region.length > 2 ? (
          <polygon
            points={region.map((p) => p.join()).join(' ')}
            fill="none"
            stroke="var(--good)"
            strokeWidth="2.5"
            strokeDasharray="7 4"
          />
        ) : null}
      </g>
      <path d={EDGE} fill="none" stroke="var(--ink)" strokeWidth="1.4" aria-hidden />
      {past.map((b, i) => {
        const s = three.map((t) => b.shares[t.id] ?? 0);
        if (sum(s) < OF_IT) return null;
        const [x, y] = toXY(whole(s));
        return (
          <circle
            key={i}
            cx={x + (i % 3) * 3 - 3}
            cy={y + (i % 2) * 3}
            r={5 + 2 * (b.overall ?? 1)}
            fill="none"
            stroke="var(--watch)"
            strokeWidth="1.4"
          >
            <title>{`${b.name}: ${b.overall ?? 'not tasted'}`}</title>
          </circle>
        );
      })}
      {three.map((i, k) => {
        const [x, y] = toXY(there(CORNERS[k]));
        const { anchor, dx, dy } = there(NAMED[k]);
        return (
          <text key={i.id} x={x} y={y + dy} fontSize="12.5" textAnchor={anchor} dx={dx} fill="var(--ink)">
            {shortName(i.name)}
          </text>
        );
      })}
      <g
        {...handle()}
        tabIndex={0}
        role="slider"
        aria-label="Blend: arrow keys move it"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(shares[0] * 100)}
        aria-valuetext={three.map((i, k) => `${i.name} ${Math.round(there(shares[k]) * together * 100)} %`).join(', ')}
        onKeyDown={nudge}
        className={GRIP.free}
      >
        <circle cx={px} cy={py} r="26" fill="transparent" />
        <circle cx={px} cy={py} r="10" fill="var(--paper)" stroke="var(--accent)" strokeWidth="3" />
      </g>
    </svg>
  );
}
