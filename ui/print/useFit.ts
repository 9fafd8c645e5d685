'use client';
import { useLayoutEffect, useRef, useState } from 'react';

/** From the largest to the least type that a card is set in, pt, and by how much it is tried smaller. */
const MOST_PT = 13;
const LEAST_PT = 6.5;
const BY_PT = 0.25;

/** The largest type in which what is on a page still fits it. @param on what it depends on: looked at anew when that changes */
export function useFit<T extends HTMLElement>(on: unknown): readonly [React.RefObject<T | null>, number] {
  const page = useRef<T>(null);
  const [pt, setPt] = useState(LEAST_PT);
  useLayoutEffect(() => {
    const el = page.current;
    if (!el) return;
    const fit = () => {
      let size = MOST_PT;
      const fits = (s: number) => {
        el.style.fontSize = `${s}pt`;
        return el.scrollHeight <= el.clientHeight + 1;
      };
      while (size > LEAST_PT && !fits(size)) size -= BY_PT;
      setPt(size);
    };
    fit();
    // Once its own letters have come they may be wider.
    void document.fonts?.ready.then(fit);
  }, [on]);
  return [page, pt];
}
