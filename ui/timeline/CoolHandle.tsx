'use client';
import { useRef } from 'react';
import type { FoldScale, LaidStep } from '@/core/work/timeline';
import type { CoolingStage, Plan } from '@/core/plan';
import { STAGE_WORDS } from '@/core/model/rest';
import { sayDuration, SURROUNDINGS } from '@/core/units';
import { GRIP, keyStep, ONE_DRAG, useHandle } from '../kit/useHandle';
import { changeStage } from '../plan/changeStage';
import look from './life.module.css';
import { pct } from './Segment';

/** Cooling goes by whole five minutes; a stage lasts three days at most, s. */
const STEP_S = 300;
const MOST_S = 72 * 3600;

/** The end of a cooling stage on the life line: taken hold of it is longer or shorter, pressed it cools in the next place. */
export function CoolHandle({
  laid,
  index,
  where,
  scale,
  ribbon,
  edit,
}: {
  laid: LaidStep;
  index: number;
  where: CoolingStage['where'];
  scale: FoldScale;
  ribbon: React.RefObject<HTMLElement | null>;
  edit: (key: string, change: (p: Plan) => Plan) => void;
}) {
  const self = useRef<HTMLDivElement>(null);
  const nowS = laid.toS - laid.handsToS;
  const to = (key: string, timeS: number) => {
    const wanted = Math.min(MOST_S, Math.max(0, Math.round(timeS / STEP_S) * STEP_S));
    return () => edit(key, (p) => changeStage(p, index, { timeS: wanted }));
  };
  function next() {
    const place = SURROUNDINGS[(SURROUNDINGS.indexOf(where) + 1) % SURROUNDINGS.length];
    edit(`cooling.${index}.where`, (p) => changeStage(p, index, { where: place }));
  }
  const handle = useHandle<{ scale: FoldScale; fromS: number }>(
    (clientX, _, held) => {
      const box = ribbon.current?.getBoundingClientRect();
      return box && to(ONE_DRAG, held.scale.toS((clientX - box.left) / box.width) - held.fromS);
    },
    () => ({ scale, fromS: laid.handsToS }),
    next,
  );
  return (
    <div
      ref={self}
      {...handle()}
      className={`${look.cool} ${GRIP.free}`}
      style={{ left: pct(scale.toX(laid.toS)) }}
      role="slider"
      tabIndex={0}
      aria-label={`Cooling ${STAGE_WORDS[where]}`}
      aria-valuemin={0}
      aria-valuemax={MOST_S / 60}
      aria-valuenow={Math.round(nowS / 60)}
      aria-valuetext={sayDuration(nowS)}
      title={`${STAGE_WORDS[where]}: ${sayDuration(nowS)}; press for the next place`}
      onKeyDown={(e) => {
        if (e.key === 'Enter') next();
        keyStep(e, { ArrowRight: STEP_S, ArrowLeft: -STEP_S, PageUp: 6 * STEP_S, PageDown: -6 * STEP_S }, (by) =>
          to(`cooling.${index}.keys`, nowS + by)(),
        );
      }}
    />
  );
}
