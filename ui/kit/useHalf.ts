'use client';
import { useMemo } from 'react';
import { deviceStore, readKept, useDeviceStore } from './deviceStore';

const kept = (key: string) => deviceStore(`idle-ladle/half/${key}`, 'sessionStorage');

/** Keeps what is half entered under a name, in this window, until it is dropped. */
export const keepHalf = (key: string, value: unknown): void => void kept(key).set(JSON.stringify(value));
export const dropHalf = (key: string): void => void kept(key).set(null);
/** What was half entered under a name; undefined: nothing that can be read. */
export const halfOf = (key: string): unknown => readKept(kept(key).get(), (x) => x ?? undefined);

/**
 * State that a reload does not lose: what is half entered and not yet written down anywhere.
 * @param key names it in this window
 * @param readHalf what was kept, or undefined where that is no such thing
 */
export function useHalf<T>(
  key: string,
  initial: T,
  readHalf: (kept: unknown) => T | undefined,
): readonly [T, (to: T) => void, () => void] {
  const raw = useDeviceStore(kept(key));
  const value = useMemo(() => (raw === null ? undefined : readHalf(halfOf(key))), [raw, key, readHalf]);
  return [value ?? initial, (to) => keepHalf(key, to), () => dropHalf(key)];
}
