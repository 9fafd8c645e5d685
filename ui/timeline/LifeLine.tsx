'use client';
import { useDrag } from '@use-gesture/react';
import { useMemo, useRef } from 'react';
import type { Forecast } from '@/core/forecast';
import { foldScale, sayClock, type Life, type LifeMark } from '@/core/work/timeline';
import type { Plan } from '@/core/plan';
import { inUnits, sayDuration, there } from '@/core/units';
import { useUnits } from '../kit';
import { useWidth } from '../kit/useWidth';
import { CoolHandle } from './CoolHandle';
import { headlineOf, type StationName } from './headline';
import { markRows, markText } from './markRows';
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
  const units = useUnits();
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
  const clean = life.marks.find((m) => m.kind === 'clean');
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
  const say = (m: LifeMark) => inUnits(`${m.words} ${m.minutes}${m.atS > life.spanS ? ' ▸' : ''}`, units);
  return (
    <section className={look.life} aria-label="Life of the cake" aria-busy={heating}>
      <div className={look.scroll}>
        <div className={look.inner} ref={ribbon}>
          <div className={look.over}>
            <div className={look.catch} {...drag()} style={{ touchAction: 'pan-x' }} />
            {/* On the side where the needle is not. */}
            <div className={look.foot} data-side={x > 0.5 ? 'left' : undefined}>
              <span>{sayClock(atS)}</span>
              <span className={look.key}>
                <i className={look.hands} /> hands
              </span>
              <span className={look.key}>
                <i className={look.waits} /> waiting
              </span>
              {scale.folds.length > 0 ? (
                <span className={look.folded}>
                  {`folded: ${scale.folds.map((f) => sayDuration(f.toS - f.fromS)).join(', ')}`}
                </span>
              ) : null}
              <span className={look.total}>{`${sayDuration(life.spanS)} in all`}</span>
            </div>
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
          {clean ? (
            <div
              className={look.band}
              style={{
                left: pct(scale.toX(clean.atS)),
                width: pct(Math.max(0.002, scale.toX(clean.toS ?? clean.atS) - scale.toX(clean.atS))),
              }}
            />
          ) : null}
          {life.marks.map((m) =>
            m.kind === 'clean' ? null : (
              <div
                key={m.kind + m.atS}
                className={look.line}
                data-kind={m.kind}
                style={{ left: pct(scale.toX(m.atS)) }}
              />
            ),
          )}
          {scale.folds.map((f) => (
            <svg key={f.fromS} className={look.fold} style={{ left: pct(f.at) }} viewBox="0 0 12 24" aria-hidden>
              <path d="M5,0l5,6l-8,6l8,6l-5,6" />
              <path d="M5,0l5,6l-8,6l8,6l-5,6" />
            </svg>
          ))}
          <div className={look.under} data-rows={1 + under.reduce((most, u) => Math.max(most, u.row), 0)}>
            {under.map(({ mark, at, row }) => (
              <button
                key={mark.kind + mark.atS}
                type="button"
                className={look.mark}
                style={{ left: at, top: 3 + 25 * row }}
                aria-label={mark.kind === 'pour' ? say(mark) : undefined}
                title={mark.kind === 'pour' ? say(mark) : undefined}
                onClick={() => onAt(mark.atS)}
              >
                {mark.kind === 'pour' ? markText(mark) : say(mark)}
              </button>
            ))}
          </div>
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
