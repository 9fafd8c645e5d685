'use client';
import { there } from '@/core/units';
import { useCallback, useEffect, useRef, useState } from 'react';
import { foldScale, momentOf, type Life } from '@/core/work/timeline';
import type { StationName } from './headline';

/** All of it is played in so long, ms. */
const PLAYED_MS = 14_000;

/** Where the needle stands: a place in a station's stretch, so that it stays there when the minutes change. */
interface Held {
  readonly station: StationName;
  readonly share: number;
}

const hold = (life: Life, atS: number): Held => {
  const seg = there(
    life.segments.find((s) => s.toS > s.fromS && atS >= s.fromS && atS <= s.toS) ?? life.segments.at(-1),
  );
  return { station: seg.station, share: seg.toS > seg.fromS ? (atS - seg.fromS) / (seg.toS - seg.fromS) : 0 };
};

/** The needle on the life line: dragged, stepped, or played to its end. */
export function useNeedle(life: Life) {
  const [held, setHeld] = useState<Held | undefined>(undefined);
  const [playing, setPlaying] = useState(false);
  const seg = held && life.segments.find((s) => s.station === held.station);
  // At first it stands where a cook looks first: at the check, or in the middle of what is cooked.
  const atS = held && seg ? seg.fromS + held.share * (seg.toS - seg.fromS) : momentOf(life, 'steam');
  const now = useRef({ life, atS });
  useEffect(() => {
    now.current = { life, atS };
  });
  const set = useCallback((s: number) => setHeld(hold(now.current.life, s)), []);
  const onAt = useCallback(
    (s: number) => {
      setPlaying(false);
      set(s);
    },
    [set],
  );
  useEffect(() => {
    if (!playing) return;
    const scale = foldScale(now.current.life);
    const from = scale.toX(now.current.atS);
    let begun: number | undefined;
    let frame = 0;
    const tick = (t: number) => {
      begun ??= t;
      const x = Math.min(1, from + (t - begun) / PLAYED_MS);
      set(scale.toS(x));
      if (x >= 1) setPlaying(false);
      else frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing, set]);
  const play = useCallback(() => {
    if (now.current.atS >= now.current.life.spanS - 1) set(0);
    setPlaying((on) => !on);
  }, [set]);
  return { atS, onAt, playing, play };
}
