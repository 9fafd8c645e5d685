'use client';
import { useSyncExternalStore } from 'react';

/** A line of text that a device keeps under a name. */
export interface DeviceStore {
  readonly get: () => string | null;
  /** Null forgets it. False where the device stores nothing: then it lasts as long as the page. */
  readonly set: (text: string | null) => boolean;
  readonly listen: (changed: () => void) => () => void;
}

/** For good, or as long as this window is open. */
export type Keeps = 'localStorage' | 'sessionStorage';

const made = new Map<string, DeviceStore>();
/** What the browser would not store, while the page is open, by where it belongs and its key. */
const onPage: Readonly<Record<Keeps, Map<string, string>>> = { localStorage: new Map(), sessionStorage: new Map() };

/**
 * What is kept on this device, or as long as this window is open. Where the browser bars its storage it is kept as long as the page; nothing that
 * asks for it ever fails.
 */
export function deviceStore(key: string, where: Keeps = 'localStorage'): DeviceStore {
  const name = `${where} ${key}`;
  const found = made.get(name);
  if (found) return found;
  const listeners = new Set<() => void>();
  const held = onPage[where];
  const store: DeviceStore = {
    get: () => {
      try {
        // What it would not store is the newer.
        return held.get(key) ?? window[where].getItem(key);
      } catch {
        return null;
      }
    },
    set: (text) => {
      let kept = true;
      held.delete(key);
      try {
        if (text === null) window[where].removeItem(key);
        else window[where].setItem(key, text);
      } catch {
        // Barred storage holds nothing that could be forgotten.
        if (text !== null) held.set(key, text);
        kept = text === null;
      }
      listeners.forEach((l) => l());
      if (text === null && listeners.size === 0) made.delete(name);
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

/** Keys that begin so, of all that is kept: each a record of its own, so that two windows never write over each other. */
export function keysUnder(prefix: string, where: Keeps = 'localStorage'): readonly string[] {
  const held = [...onPage[where].keys()];
  let stored: readonly string[] = [];
  try {
    stored = Object.keys(window[where]);
  } catch {
    // Barred.
  }
  return [...new Set([...stored, ...held])].filter((k) => k.startsWith(prefix));
}

/** What was kept as JSON, read by whoever knows what it should be; undefined where there is none, or it is torn. */
export function readKept<T>(text: string | null, read: (kept: unknown) => T | undefined): T | undefined {
  if (text === null) return undefined;
  try {
    return read(JSON.parse(text));
  } catch {
    return undefined;
  }
}

/** What is kept under a name, as the page draws it; null where the page is made elsewhere, and where nothing is. */
export const useDeviceStore = (store: DeviceStore): string | null =>
  useSyncExternalStore(store.listen, store.get, () => null);
