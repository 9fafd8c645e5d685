'use client';
import { useSyncExternalStore } from 'react';
import type { DeviceReading } from '@/core/devices';

/** The last reading of each device, as this page hears of them. */
let readings: readonly DeviceReading[] = [];
const listeners = new Set<() => void>();

export function hearDevices(heard: readonly DeviceReading[]): void {
  const byName = new Map(readings.map((r) => [r.device, r]));
  for (const r of heard) byName.set(r.device, r);
  readings = [...byName.values()];
  listeners.forEach((l) => l());
}
const NONE: readonly DeviceReading[] = [];
export const useDevices = (): readonly DeviceReading[] =>
  useSyncExternalStore(
    (l) => {
      listeners.add(l);
      return () => listeners.delete(l);
    },
    () => readings,
    () => NONE,
  );
