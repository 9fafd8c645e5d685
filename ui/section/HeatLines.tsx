'use client';
import { useMemo } from 'react';
import type { FieldFrames } from '@/core/model/steam';
import { edgeAt } from './fieldImage';
import { apart, isolines } from './isolines';

const LEVELS = [40, 60, 80, 95];
const SET_LEVEL = [0.95];

export interface HeatLinesProps {
  readonly frames: FieldFrames;
  readonly timeS: number;
  readonly show: 'heat' | 'set';
  /** Where it lies in the drawing: its middle, its foot, its half width and height, drawing units. */
  readonly cx: number;
  readonly baseY: number;
  readonly half: number;
  readonly high: number;
  /** Of the clip that keeps the lines inside the cake. */
  readonly clip: string;
  /** How many degrees a line's number says. */
  readonly degrees: (tempC: number) => number;
}

/** Lines of equal heat with their degrees, or the edge of what has set, over a cake in section. */
export default function HeatLines({ frames, timeS, show, cx, baseY, half, high, clip, degrees }: HeatLinesProps) {
  const lines = useMemo(() => {
    const toX = (i: number) => cx + (edgeAt(frames.edgesXM, i) / frames.halfWidthM) * half;
    const toY = (k: number) => baseY - (edgeAt(frames.edgesZM, k) / frames.depthM) * high;
    return show === 'heat'
      ? apart(isolines(frames, timeS, 'temp', LEVELS, toX, toY, cx))
      : isolines(frames, timeS, 'gel', SET_LEVEL, toX, toY, cx);
  }, [frames, timeS, show, cx, baseY, half, high]);
  return (
    <>
      <g clipPath={clip}>
        {lines.map((l) => (
          <path
            key={l.level}
            d={l.path}
            fill="none"
            stroke={show === 'set' ? 'var(--good)' : 'var(--accent)'}
            strokeWidth={show === 'set' ? 2 : 1}
            strokeDasharray={show === 'set' ? undefined : '4 3'}
            opacity="0.8"
          />
        ))}
      </g>
      {show === 'heat'
        ? lines.map((l) =>
            l.label ? (
              <text
                key={l.level}
                x={l.label[0]}
                y={l.label[1] + 4}
                fontSize="11"
                textAnchor="middle"
                fill="#232C66"
                stroke="#fff"
                strokeWidth="3"
                paintOrder="stroke"
              >
                {degrees(l.level)}°
              </text>
            ) : null,
          )
        : null}
    </>
  );
}
