'use client';
import { there } from '@/core/units';
import { useRef } from 'react';
import { HEATS, type Heat } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { GRIP, keyStep, ONE_DRAG, useHandle } from '../kit/useHandle';
import look from './stage.module.css';

/** How far round the dial stands for each heat, degrees from straight up. */
const TURNED: Readonly<Record<Heat, number>> = { gentle: -60, medium: 20, strong: 100 };

/** The heat whose mark is nearest to a direction from the dial's middle. @param dx to the right @param dy down */
export function heatTowards(dx: number, dy: number): Heat {
  const turned = (Math.atan2(dx, -dy) * 180) / Math.PI;
  const apart = (h: Heat) => Math.abs(((turned - TURNED[h] + 540) % 360) - 180);
  return there([...HEATS].sort((a, b) => apart(a) - apart(b))[0]);
}

/** The dial of the ring, turned by hand or by arrow keys; pressed, it is turned on by one mark. */
export function DialHandle({
  x,
  y,
  heat,
  words,
  edit,
}: {
  x: number;
  y: number;
  heat: Heat;
  /** What its mark says. */
  words: string;
  edit: (key: string, change: (p: Plan) => Plan) => void;
}) {
  const knob = useRef<SVGCircleElement>(null);
  const at = HEATS.indexOf(heat);
  const turn = (key: string, to: Heat | undefined) =>
    to === undefined ? undefined : () => edit(key, (p) => ({ ...p, heat: to }));
  const handle = useHandle(
    (clientX, clientY) => {
      const box = knob.current?.getBoundingClientRect();
      return box && turn(ONE_DRAG, heatTowards(clientX - box.left - box.width / 2, clientY - box.top - box.height / 2));
    },
    undefined,
    () => turn(ONE_DRAG, HEATS[(at + 1) % HEATS.length])?.(),
  );
  return (
    <g
      {...handle()}
      transform={`translate(${x},${y})`}
      className={`${look.handle} ${GRIP.free}`}
      tabIndex={0}
      role="slider"
      aria-label="Dial, turned"
      aria-valuemin={0}
      aria-valuemax={HEATS.length - 1}
      aria-valuenow={at}
      aria-valuetext={words}
      onKeyDown={(e) =>
        keyStep(e, { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }, (by) =>
          turn('heat.keys', HEATS[at + by])?.(),
        )
      }
    >
      <circle ref={knob} r="22" fill="transparent" />
      <circle className={look.ring} r="15" fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
      <path
        d="M0,-4V-12"
        stroke="var(--ink)"
        strokeWidth="3"
        strokeLinecap="round"
        transform={`rotate(${TURNED[heat]})`}
      />
    </g>
  );
}
