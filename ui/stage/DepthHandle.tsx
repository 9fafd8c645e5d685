'use client';
import { useRef } from 'react';
import type { Vessel } from '@/core/kitchen';
import { scalePlan, type Plan } from '@/core/plan';
import { inUnits, sayMm } from '@/core/units';
import { volumeAtDepth } from '@/core/model/vessel';
import { useUnits } from '../kit';
import { GRIP, keyStep, ONE_DRAG, useHandle, yIn } from '../kit/useHandle';
import { drawn } from '../kit/scales';
import type { SectionFrame } from '../section/sectionFrame';
import { Knob } from './Knob';
import look from './stage.module.css';

/** Depths go by whole half millimetres; one press of an arrow key, m. */
const STEP_M = 0.0005;
const KEY_M = 0.001;
const LEAST_M = 0.002;

/** The surface of the batter, taken hold of: more or less batter in the same vessel, everything in it in proportion. */
export function DepthHandle({
  vessel,
  depthM,
  frame,
  edit,
}: {
  vessel: Vessel;
  depthM: number;
  frame: SectionFrame;
  edit: (key: string, change: (p: Plan) => Plan) => void;
}) {
  const group = useRef<SVGGElement>(null);
  const units = useUnits();
  const to = (key: string, fromM: number, wantedM: number) => {
    const toM = Math.min(vessel.heightM, Math.max(LEAST_M, Math.round(wantedM / STEP_M) * STEP_M));
    const by = volumeAtDepth(vessel, toM) / Math.max(1e-9, volumeAtDepth(vessel, Math.min(fromM, vessel.heightM)));
    return Math.abs(by - 1) < 1e-6 || !Number.isFinite(by) || by <= 0
      ? undefined
      : () => edit(key, (p) => scalePlan(p, by));
  };
  const handle = useHandle<{ depthM: number; frame: SectionFrame }>(
    (_, clientY, held) => {
      const at = yIn(group.current?.ownerSVGElement, clientY, held.frame.height);
      return at === undefined ? undefined : to(ONE_DRAG, held.depthM, held.frame.zAt(at));
    },
    () => ({ depthM, frame }),
  );
  const y = drawn(frame.y(Math.min(depthM, vessel.heightM)));
  const x = drawn(frame.cx);
  return (
    <g
      ref={group}
      {...handle()}
      className={`${look.handle} ${GRIP.upDown}`}
      tabIndex={0}
      role="slider"
      aria-label="Depth of the batter"
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={Math.round(vessel.heightM * 1000)}
      aria-valuenow={Math.round(depthM * 10_000) / 10}
      aria-valuetext={inUnits(sayMm(depthM), units)}
      onKeyDown={(e) =>
        keyStep(e, { ArrowUp: KEY_M, ArrowDown: -KEY_M, PageUp: 5 * KEY_M, PageDown: -5 * KEY_M }, (by) =>
          to('depth.keys', depthM, depthM + by)?.(),
        )
      }
    >
      <Knob x={x} y={y} width={44} />
      <path
        d={`M${x - 6},${y - 3}l6,-5l6,5M${x - 6},${y + 3}l6,5l6,-5`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
    </g>
  );
}
