'use client';
import { foldScale } from '@/core/work/timeline';
import { inUnits, sayDuration } from '@/core/units';
import { useUnits } from '../kit';
import { STATION_WORDS } from '../timeline/headline';
import type { OfPair } from './PairStage';
import look from './compare.module.css';

/** Marks that tell two lives apart at a look. */
const TOLD: ReadonlySet<string> = new Set(['check', 'plan', 'cuts', 'safe', 'unsafe']);

/** Two lives, one under the other, on one clock: that of the longer one, its long waits folded for both. */
export function PairLines({ pair, atS, onAt }: { pair: readonly OfPair[]; atS: number; onAt: (s: number) => void }) {
  const units = useUnits();
  const longest = pair.reduce((a, b) => (b.life.spanS > a.life.spanS ? b : a));
  const clock = foldScale(longest.life);
  const x = (s: number) => `${(100 * clock.toX(Math.min(s, longest.life.spanS))).toFixed(2)}%`;
  const width = (from: number, to: number) => `calc(${x(to)} - ${x(from)})`;
  return (
    <div className={look.lines}>
      {pair.map(({ name, life }) => (
        <div key={name} className={look.line}>
          <b>{name}</b>
          <div className={look.ribbon}>
            {life.segments.map((s) => (
              <span key={s.station} className={look.segment} style={{ left: x(s.fromS), width: width(s.fromS, s.toS) }}>
                {STATION_WORDS[s.station]}
              </span>
            ))}
            {life.marks
              .filter((m) => TOLD.has(m.kind))
              .map((m) => (
                <i
                  key={m.kind + String(m.atS)}
                  data-kind={m.kind}
                  style={{ left: x(m.atS) }}
                  title={inUnits(`${m.words} ${m.minutes}`, units)}
                />
              ))}
          </div>
          <span>{`${sayDuration(life.spanS)} in all`}</span>
        </div>
      ))}
      <input
        type="range"
        className={look.needle}
        aria-label="Moment of both lives"
        aria-valuetext={`${sayDuration(atS)} from the first step`}
        min={0}
        max={1000}
        value={Math.round(1000 * clock.toX(atS))}
        onChange={(e) => onAt(clock.toS(Number(e.target.value) / 1000))}
      />
    </div>
  );
}
