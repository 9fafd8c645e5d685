'use client';
import { foldScale } from '@/core/work/timeline';
import { inUnits, sayDuration, there } from '@/core/units';
import { useUnits } from '../kit';
import { STATION_WORDS } from '../timeline/headline';
import type { Card } from '@/core/desk/card';
import look from './print.module.css';

/** Marks that are worth their ink. */
const TOLD: ReadonlySet<string> = new Set(['check', 'plan', 'late', 'cuts', 'safe', 'unsafe']);

/** The life of the cake as a ribbon for paper: stations, folded waits, and its marks in words under it. */
export function PrintedLife({ life }: { life: Card['life'] }) {
  const units = useUnits();
  const clock = foldScale({ ...life, laid: [] });
  const pct = (x: number) => `${(100 * x).toFixed(2)}%`;
  const marks = life.marks.filter((m) => TOLD.has(m.kind));
  return (
    <div className={look.life} aria-label="Its clock" role="group">
      <div className={look.ribbon}>
        {life.segments.map((s, i) => {
          const [from, to] = there(clock.bounds[i]);
          return (
            <span key={s.station} style={{ left: pct(from), width: pct(to - from) }}>
              {STATION_WORDS[s.station]}
            </span>
          );
        })}
        {marks.map((m) => (
          <i key={m.kind + String(m.atS)} style={{ left: pct(clock.toX(m.atS)) }} />
        ))}
      </div>
      <p>
        {inUnits(
          `${marks.map((m) => `${m.words} ${m.minutes}`).join(' · ')} · ${sayDuration(life.spanS)} in all${
            clock.folds.length > 0
              ? `, ${clock.folds.map((f) => sayDuration(f.toS - f.fromS)).join(' and ')} of it waits`
              : ''
          }`,
          units,
        )}
      </p>
    </div>
  );
}
