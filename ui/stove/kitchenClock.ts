'use client';
import { useEffect, useState, useSyncExternalStore } from 'react';

/**
 * The kitchen's clock on this device: timers run by the time of the machine that keeps them, whatever the clock of the tablet says. Told anew every
 * few seconds, so that a clock that was set, or a device that slept, is right again at once.
 */
export interface Pace {
  readonly deviceMs: number;
  readonly kitchenMs: number;
  readonly speed: number;
}
let pace: Pace = { deviceMs: 0, kitchenMs: 0, speed: 1 };
const listeners = new Set<() => void>();

/** The kitchen says what time it is. */
export function setKitchenClock(kitchenMs: number, speed: number, deviceMs = Date.now()): void {
  pace = { deviceMs, kitchenMs, speed };
  listeners.forEach((l) => l());
}
/** Kitchen time of a moment of this device, ms since 1970. */
export const kitchenMsOf = (deviceMs: number): number => pace.kitchenMs + (deviceMs - pace.deviceMs) * pace.speed;
export const kitchenNowMs = (): number => kitchenMsOf(Date.now());

const subscribe = (l: () => void) => {
  listeners.add(l);
  return () => listeners.delete(l);
};
/** How fast the kitchen's clock runs: 1, or more for practice. */
export const useKitchenSpeed = (): number =>
  useSyncExternalStore(
    subscribe,
    () => pace.speed,
    () => 1,
  );

/** The kitchen's time, again every so often. @param initialMs where the page is made, and until the first look */
export function useKitchenNow(initialMs: number, everyMs = 500): number {
  const [now, setNow] = useState(initialMs);
  useEffect(() => {
    const look = () => setNow(kitchenNowMs());
    const first = setTimeout(look, 0);
    const timer = setInterval(look, everyMs);
    // A tab that was asleep looks the moment it is seen again.
    document.addEventListener('visibilitychange', look);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, [everyMs]);
  return now;
}
