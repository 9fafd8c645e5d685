'use client';
import { useState } from 'react';
import { leftS, type Timer } from '@/core/work/stove';
import { sayDuration } from '@/core/units';
import { Told } from '../kit';
import look from './edge.module.css';
import presses from './presses.module.css';

/** Time left as it is read across a kitchen: 9:12, or 1:02:30. */
export function clockWords(s: number): string {
  const t = Math.max(0, Math.ceil(s));
  const [h, m, sec] = [Math.floor(t / 3600), Math.floor((t % 3600) / 60), t % 60];
  const two = (x: number) => String(x).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(sec)}` : `${m}:${two(sec)}`;
}

/** A glass that empties: full when it begins, dry when it rings. */
function Glass({ share, rung }: { share: number; rung: boolean }) {
  const h = 58 * Math.min(1, Math.max(0, share));
  return (
    <svg viewBox="0 0 40 70" width="36" height="63" aria-hidden>
      <rect
        x="4"
        y={64 - Math.max(h, rung ? 4 : 0)}
        width="32"
        height={Math.max(h, rung ? 4 : 0)}
        fill={rung ? 'var(--watch)' : 'var(--line)'}
      />
      <path d="M3 4h34v57a5 5 0 0 1-5 5H8a5 5 0 0 1-5-5z" fill="none" stroke="currentColor" strokeWidth="2.5" />
    </svg>
  );
}

/** One timer: how long yet, or how long ago it rang. */
export function TimerCard({
  timer,
  nowMs,
  of,
  onPress,
}: {
  timer: Timer;
  nowMs: number;
  /** Name of its batch, where that is not the one in view. */
  of?: string;
  onPress: () => void;
}) {
  const left = leftS(timer, nowMs);
  const rung = left <= 0;
  const ago = rung && left < -20 ? `rang ${sayDuration(-left)} ago: ` : '';
  return (
    <button
      type="button"
      className={rung ? `${look.timer} ${look.rung}` : look.timer}
      onClick={onPress}
      aria-label={`${rung ? `Rang${left < -20 ? ` ${sayDuration(-left)} ago` : ' now'}` : `${sayDuration(left)} left`}: ${timer.name}${of ? `, ${of}` : ''}`}
    >
      <Glass share={timer.forS > 0 ? left / timer.forS : 0} rung={rung} />
      <b>{clockWords(left)}</b>
      <span>
        {ago}
        <Told>{timer.name}</Told>
        {of ? <i> · {of}</i> : null}
      </span>
    </button>
  );
}

const MINUTES = [1, 3, 5, 10, 20, 30] as const;

/** A timer of the cook's own: a name if wanted, and one press for its minutes. */
export function AddTimer({ onSet, onLeave }: { onSet: (name: string, forS: number) => void; onLeave: () => void }) {
  const [name, setName] = useState('');
  const [minutes, setMinutes] = useState('');
  const own = Number(minutes.replace(',', '.'));
  const escape = (e: React.KeyboardEvent) => {
    if (e.key === 'Escape') onLeave();
  };
  const set = (forS: number) => onSet(name.trim() === '' ? 'timer' : name.trim(), forS);
  return (
    <form
      className={presses.enter}
      aria-label="New timer"
      onSubmit={(e) => {
        e.preventDefault();
        if (own > 0 && own <= 4320) set(own * 60);
      }}
    >
      <input
        className={presses.words}
        // The press that opened it was for this field.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        aria-label="What for"
        placeholder="What for"
        value={name}
        maxLength={80}
        onChange={(e) => setName(e.target.value)}
        onKeyDown={escape}
      />
      {MINUTES.map((m) => (
        <button key={m} type="button" className={presses.plain} onClick={() => set(m * 60)}>
          {m} min
        </button>
      ))}
      <input
        inputMode="decimal"
        aria-label="Minutes"
        value={minutes}
        onChange={(e) => setMinutes(e.target.value)}
        onKeyDown={escape}
      />
      <span>min</span>
      <button type="submit" className={presses.plain} disabled={!(own > 0 && own <= 4320)}>
        Set it
      </button>
      <button type="button" className={presses.quiet} onClick={onLeave}>
        Leave it
      </button>
    </form>
  );
}
