'use client';
import { memo } from 'react';
import type { FoldScale, Life } from '@/core/work/timeline';
import { Told } from '../kit';
import { path } from '../kit/scales';
import { STATION_WORDS, type Headline, type StationName } from './headline';
import look from './life.module.css';

/** A place on the ribbon, 0–1, as a share of its width. */
export const pct = (x: number): string => `${(100 * x).toFixed(2)}%`;

/** A station's stretch of the ribbon, with its headline figure; pressed, it is opened. */
export const Segment = memo(function Segment({
  station,
  head,
  stale,
  chosen,
  from,
  to,
  life,
  scale,
  onStation,
}: {
  station: StationName;
  head: Headline;
  stale: boolean;
  chosen: boolean;
  from: number;
  to: number;
  life: Life;
  scale: FoldScale;
  onStation: (s: StationName) => void;
}) {
  const seg = life.segments.find((s) => s.station === station);
  const strands = life.stretches.filter((s) => seg && s.toS > seg.fromS && s.fromS < seg.toS);
  const within = (atS: number) => Math.min(1, Math.max(0, (scale.toX(atS) - from) / (to - from)));
  /** All stretches of a kind as one line; none shorter than is seen. */
  const strand = (is: 'hands' | 'wait', least: number) =>
    strands
      .filter((s) => s.is === is)
      .map((s) => {
        const [a, b] = [100 * within(s.fromS), 100 * within(s.toS)];
        return path`M${a},5.5h${Math.max(least, b - a)}`;
      })
      .join('');
  const [hands, waits] = [strand('hands', 0.6), strand('wait', 0)];
  return (
    <button
      type="button"
      role="tab"
      id={`tab-${station}`}
      aria-controls="station"
      aria-selected={chosen}
      tabIndex={chosen ? 0 : -1}
      className={look.segment}
      style={{ left: pct(from), width: `calc(${pct(to - from)} - 4px)` }}
      onClick={() => onStation(station)}
    >
      <span className={look.name}>
        {STATION_WORDS[station]}
        {head.trouble ? (
          <span className={look.flag} data-is={head.trouble}>
            <span className="unseen">, {head.trouble}</span>
          </span>
        ) : null}
      </span>
      <span className={stale ? `${look.figure} ${look.stale}` : look.figure}>
        {head.figure === undefined && !stale ? (
          // Nothing is being worked out and nothing has come of it: what to mind says why.
          <>
            <span data-testid={`headline-${station}`}>stopped</span> <span className={look.unit}>see what to mind</span>
          </>
        ) : head.figure === undefined ? (
          <span className={look.soon} data-testid={`headline-${station}`}>
            <span className="unseen">{head.unit}</span>
          </span>
        ) : (
          <>
            <span data-testid={`headline-${station}`}>
              <Told>{head.figure}</Told>
            </span>{' '}
            <span className={look.unit}>{head.unit}</span>
          </>
        )}
      </span>
      <svg className={look.strand} viewBox="0 0 100 14" preserveAspectRatio="none" aria-hidden>
        {hands ? <path d={hands} stroke="currentColor" strokeWidth="7" opacity="0.75" /> : null}
        {waits ? <path d={waits} stroke="currentColor" strokeWidth="1" strokeDasharray="1 2" opacity="0.7" /> : null}
      </svg>
    </button>
  );
});
