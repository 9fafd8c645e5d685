import { useEffect, useRef, useState } from 'react';
import type { Lever, Quick } from '@/core/desk/whatIf';
import { there } from '@/core/units';
import type { AskPoints } from './useSweep';

/** So many fields are worked out in one go, and what has come is drawn so often, ms. */
const IN_ONE = 4;
const DRAW_MS = 200;

/** Works out every field of the map on all cores, as it comes; stopped at will. */
export function useMapRun(ask: AskPoints) {
  const [done, setDone] = useState<ReadonlyMap<string, Quick | null>>(new Map());
  const [left, setLeft] = useState(0);
  const stop = useRef<AbortController | undefined>(undefined);
  useEffect(() => () => stop.current?.abort(), []);
  const stopIt = () => {
    stop.current?.abort();
    setLeft(0);
  };
  const again = () => {
    stopIt();
    setDone(new Map());
  };
  const begin = (x: Lever, y: Lever, xs: readonly number[], ys: readonly number[]) => {
    again();
    const own = new AbortController();
    stop.current = own;
    const points = ys.flatMap((yv) => xs.map((xv) => [xv, yv] as const));
    setLeft(points.length);
    // What has come is drawn some of it at a time: drawn one by one it holds up the workers that it came from.
    const found = new Map<string, Quick | null>();
    let come = 0;
    let drawing: ReturnType<typeof setTimeout> | undefined;
    const draw = () => {
      drawing = undefined;
      if (own.signal.aborted) return;
      setDone(new Map(found));
      setLeft(points.length - come);
    };
    for (let i = 0; i < points.length; i += IN_ONE) {
      const some = points.slice(i, i + IN_ONE);
      const told = (quick: readonly (Quick | null)[]) => {
        quick.forEach((q, j) => found.set(`${there(some[j])[0]} ${there(some[j])[1]}`, q));
        come += some.length;
        if (come === points.length) {
          clearTimeout(drawing);
          draw();
        } else drawing ??= setTimeout(draw, DRAW_MS);
      };
      void ask(
        some.map(([xv, yv]) => [[x.id, xv] as const, [y.id, yv] as const]),
        false,
        own.signal,
      ).then(told, () => told([]));
    }
  };
  return { done, left, again, begin, stop: stopIt };
}
