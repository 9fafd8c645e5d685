'use client';
import { useSyncExternalStore } from 'react';

/** A line of text that a device keeps under a name. */
export interface DeviceStore {
  readonly get: () => string | null;
  /** Null forgets it. False where the device stores nothing: then it lasts as long as the page. */
  readonly set: (text: string | null) => boolean;
  readonly listen: (changed: () => void) => () => void;
}

const made = new Map<string, DeviceStore>();

/**
 * What is kept on this device, or as long as this window is open. Where the browser bars its storage it is kept as long as the page; nothing that
 * asks for it ever fails.
 */
export function deviceStore(key: string, where: 'localStorage' | 'sessionStorage' = 'localStorage'): DeviceStore {
  const name = `${where} ${key}`;
  const found = made.get(name);
  if (found) return found;
  const listeners = new Set<() => void>();
  let onPage: string | null = null;
  const store: DeviceStore = {
    get: () => {
      try {
        return window[where].getItem(key) ?? onPage;
      } catch {
        return onPage;
      }
    },
    set: (text) => {
      let kept = true;
      onPage = null;
      try {
        if (text === null) window[where].removeItem(key);
        else window[where].setItem(key, text);
      } catch {
        onPage = text;
        kept = false;
      }
      listeners.forEach((l) => l());
      return kept;
    },
    listen: (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
  };
  made.set(name, store);
  return store;
}

/** What is kept under a name, as the page draws it; null where the page is made elsewhere, and where nothing is. */
export const useDeviceStore = (store: DeviceStore): string | null =>
  useSyncExternalStore(store.listen, store.get, () => null);
