'use client';
import { useEffect, useRef, useState, type RefObject } from 'react';

/** The width of an element as it is laid out, px; the one given before it is. */
export function useWidth<T extends HTMLElement>(before: number): readonly [RefObject<T | null>, number] {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(before);
  useEffect(() => {
    const el = ref.current;
    if (!el) return;
    const seen = () => setWidth((w) => (Math.abs(el.clientWidth - w) < 1 || el.clientWidth === 0 ? w : el.clientWidth));
    seen();
    if (typeof ResizeObserver === 'undefined') return;
    const watch = new ResizeObserver(seen);
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  return [ref, width];
}
