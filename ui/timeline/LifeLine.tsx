'use client';
import { useDrag } from '@use-gesture/react';
import { useMemo, useRef } from 'react';
import type { Forecast } from '@/core/forecast';
import { foldScale, sayClock, type Life } from '@/core/work/timeline';
import type { Plan } from '@/core/plan';
import { there } from '@/core/units';
import { useWidth } from '../kit/useWidth';
import { CoolHandle } from './CoolHandle';
import { headlineOf, type StationName } from './headline';
import { LifeFoot, MarkLines, MarkWords } from './LifeMarks';
import { markRows } from './markRows';
import { pct, Segment } from './Segment';
import look from './life.module.css';

/** One press of an arrow key, as a share of the ribbon; with shift. */
const STEP = 0.004;
const STRIDE = 0.03;

/** The whole life of the cake as one ribbon: stations, hands and waits, the moments that matter, and the needle. */
export function LifeLine({
  forecast,
  life,
  heating,
  station,
  onStation,
  atS,
  onAt,
  onPlay,
  edit,
}: {
  forecast: Forecast;
  life: Life;
  heating: boolean;
  station: StationName;
  onStation: (s: StationName) => void;
  atS: number;
  onAt: (atS: number) => void;
  onPlay: () => void;
  edit: (key: string, change: (p: Plan) => Plan) => void;
}) {
  const [ribbon, width] = useWidth<HTMLDivElement>(1180);
  const strip = useRef<HTMLDivElement>(null);
  const scale = useMemo(() => foldScale(life), [life]);
  const under = useMemo(
    () =>
      markRows(
        // Where the next load goes in, a line is enough.
        life.marks.filter((m) => m.kind !== 'turn'),
        scale.toX,
        width,
      ),
    [life, scale, width],
  );
  const cooling = life.laid.filter((l) => l.step.op === 'cool');
  const order = life.segments.map((s) => s.station);
  const x = scale.toX(atS);
  const goTo = (clientX: number) => {
    const box = ribbon.current?.getBoundingClientRect();
    if (box) onAt(scale.toS(Math.min(1, Math.max(0, (clientX - box.left) / box.width))));
  };
  const drag = useDrag(
    ({ xy: [cx], event }) => {
      event.stopPropagation();
      goTo(cx);
    },
    { pointer: { capture: true, keys: false } },
  );
  const onNeedleKey = (e: React.KeyboardEvent) => {
    if (e.key === ' ') {
      e.preventDefault();
      onPlay();
      return;
    }
    const by = e.shiftKey ? STRIDE : STEP;
    const to = { ArrowRight: x + by, ArrowLeft: x - by, PageUp: x + STRIDE, PageDown: x - STRIDE, Home: 0, End: 1 }[
      e.key
    ];
    if (to === undefined) return;
    e.preventDefault();
    onAt(scale.toS(Math.min(1, Math.max(0, to))));
  };
  const onTabKey = (e: React.KeyboardEvent) => {
    const by = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
    if (by === 0) return;
    e.preventDefault();
    const next = there(order[(order.indexOf(station) + by + order.length) % order.length]);
    onStation(next);
    strip.current?.querySelector<HTMLElement>(`#tab-${next}`)?.focus();
  };
  return (
    <section className={look.life} aria-label="Life of the cake" aria-busy={heating}>
      <div className={look.scroll}>
        <div className={look.inner} ref={ribbon}>
          <div className={look.over}>
            <div className={look.catch} {...drag()} style={{ touchAction: 'pan-x' }} />
            <LifeFoot atS={atS} right={x > 0.5} folds={scale.folds} spanS={life.spanS} />
          </div>
          <div
            className={look.ribbon}
            role="tablist"
            aria-label="Stations"
            tabIndex={-1}
            ref={strip}
            onKeyDown={onTabKey}
          >
            {order.map((s, i) => {
              const head = headlineOf(s, forecast);
              return (
                <Segment
                  key={s}
                  station={s}
                  head={head}
                  stale={head.heat && heating}
                  chosen={s === station}
                  from={there(scale.bounds[i])[0]}
                  to={there(scale.bounds[i])[1]}
                  life={life}
                  scale={scale}
                  onStation={onStation}
                />
              );
            })}
          </div>
          <MarkLines life={life} scale={scale} />
          <MarkWords under={under} life={life} onAt={onAt} />
          {cooling.map((l, i) => {
            const stage = forecast.light.resolved.plan.cooling[i];
            return stage ? (
              <CoolHandle
                key={l.step.id + String(i)}
                laid={l}
                index={i}
                where={stage.where}
                scale={scale}
                ribbon={ribbon}
                edit={edit}
              />
            ) : null;
          })}
          <div
            {...drag()}
            className={look.needle}
            style={{ left: pct(x) }}
            role="slider"
            tabIndex={0}
            aria-label="Moment of its life"
            aria-valuemin={0}
            aria-valuemax={Math.round(life.spanS)}
            aria-valuenow={Math.round(atS)}
            aria-valuetext={sayClock(atS)}
            onKeyDown={onNeedleKey}
          />
        </div>
      </div>
    </section>
  );
}
