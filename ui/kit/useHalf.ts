'use client';
import { useMemo, useSyncExternalStore } from 'react';

const PREFIX = 'idle-ladle/half/';
/** Where the browser stores nothing, it is kept as long as the page. */
const onPage = new Map<string, string>();
const listeners = new Set<() => void>();

const read = (key: string): string | null => {
  try {
    return sessionStorage.getItem(PREFIX + key) ?? onPage.get(key) ?? null;
  } catch {
    return onPage.get(key) ?? null;
  }
};

/** Keeps what is half entered under a name, in this window, until it is dropped. */
export function keepHalf(key: string, value: unknown): void {
  const raw = JSON.stringify(value);
  try {
    sessionStorage.setItem(PREFIX + key, raw);
    onPage.delete(key);
  } catch {
    onPage.set(key, raw);
  }
  listeners.forEach((l) => l());
}
export function dropHalf(key: string): void {
  onPage.delete(key);
  try {
    sessionStorage.removeItem(PREFIX + key);
  } catch {
    /* barred storage: there was nothing in it */
  }
  listeners.forEach((l) => l());
}
/** What was half entered under a name; undefined: nothing that can be read. */
export function halfOf(key: string): unknown {
  try {
    return JSON.parse(read(key) ?? 'null') ?? undefined;
  } catch {
    return undefined;
  }
}

const listen = (on: () => void) => {
  listeners.add(on);
  return () => listeners.delete(on);
};

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
  const raw = useSyncExternalStore(
    listen,
    () => read(key),
    () => null,
  );
  const value = useMemo(() => (raw === null ? undefined : readHalf(halfOf(key))), [raw, key, readHalf]);
  return [value ?? initial, (to) => keepHalf(key, to), () => dropHalf(key)];
}
