'use client';
import { useSyncExternalStore } from 'react';

const listeners = new Set<() => void>();

/** Whether a flag of this device is up; never where the browser stores nothing. */
export function deviceFlag(key: string): boolean {
  try {
    return localStorage.getItem(key) === '1';
  } catch {
    return false;
  }
}

/** A flag that is kept on this device, and the way to set it. */
export function useDeviceFlag(key: string): readonly [boolean, (up: boolean) => void] {
  const up = useSyncExternalStore(
    (l) => {
      listeners.add(l);
      return () => listeners.delete(l);
    },
    () => deviceFlag(key),
    () => false,
  );
  return [
    up,
    (set) => {
      try {
        if (set) localStorage.setItem(key, '1');
        else localStorage.removeItem(key);
      } catch {
        /* barred storage: it stays as it is */
      }
      listeners.forEach((l) => l());
    },
  ];
}
