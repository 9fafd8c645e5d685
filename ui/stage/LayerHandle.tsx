'use client';
import { useRef } from 'react';
import type { Plan } from '@/core/plan';
import { GRIP, keyStep, ONE_DRAG, useHandle, yIn } from '../kit/useHandle';
import type { SectionFrame } from '../section/sectionFrame';
import { Knob } from './Knob';
import look from './stage.module.css';

const MOST = 30;

/** The top of the first layer, taken hold of: thicker layers are fewer, thinner ones more. */
export function LayerHandle({
  count,
  firstM,
  depthM,
  frame,
  halfM,
  edit,
}: {
  count: number;
  firstM: number;
  depthM: number;
  frame: SectionFrame;
  halfM: number;
  edit: (key: string, change: (p: Plan) => Plan) => void;
}) {
  const group = useRef<SVGGElement>(null);
  const to = (key: string, layers: number) => {
    const n = Math.min(MOST, Math.max(1, layers));
    return () => edit(key, (p) => ({ ...p, layers: n }));
  };
  const handle = useHandle<{ frame: SectionFrame; depthM: number }>(
    (_, clientY, held) => {
      const at = yIn(group.current?.ownerSVGElement, clientY, held.frame.height);
      if (at === undefined) return undefined;
      const z = held.frame.zAt(at);
      return to(ONE_DRAG, Math.round(held.depthM / Math.max(held.depthM / MOST, z)));
    },
    () => ({ frame, depthM }),
  );
  const y = frame.y(firstM);
  const x = frame.x(-halfM) - 20;
  return (
    <g
      ref={group}
      {...handle()}
      className={`${look.handle} ${GRIP.upDown}`}
      tabIndex={0}
      role="slider"
      aria-label="Layers"
      aria-valuemin={1}
      aria-valuemax={MOST}
      aria-valuenow={count}
      aria-valuetext={`${count} layers`}
      onKeyDown={(e) =>
        keyStep(e, { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }, (by) => to('layers.keys', count + by)())
      }
    >
      <path d={`M${x + 14},${y}H${x + 22 + 2 * halfM * frame.scale}`} stroke="var(--ink)" strokeDasharray="2 3" />
      <Knob x={x} y={y} width={28} />
      <text x={x} y={y + 5} fontSize="13" fontWeight="600" textAnchor="middle" fill="var(--ink)">
        {count}
      </text>
    </g>
  );
}
