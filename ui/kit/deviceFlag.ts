'use client';
import { deviceStore, useDeviceStore } from './deviceStore';

/** Whether a flag of this device is up; never where the browser stores nothing. */
export const deviceFlag = (key: string): boolean => deviceStore(key).get() === '1';

/** A flag that is kept on this device, and the way to set it. */
export function useDeviceFlag(key: string): readonly [boolean, (up: boolean) => void] {
  const store = deviceStore(key);
  return [useDeviceStore(store) === '1', (set) => void store.set(set ? '1' : null)];
}
