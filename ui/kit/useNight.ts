'use client';
import { useSyncExternalStore } from 'react';
import { deviceStore } from './deviceStore';

/** Where the choice is kept on the device, under the name that the page's first script reads. */
const KEY = 'mui-mode';
const KEPT = deviceStore(KEY);
const ATTRIBUTE = 'data-kitchen';
const asked = () => window.matchMedia('(prefers-color-scheme: dark)');
const show = (night: boolean) => document.documentElement.setAttribute(ATTRIBUTE, night ? 'dark' : 'light');

/** Hears of a change here, in another window, and of the device's own where the cook has not chosen. */
function subscribe(changed: () => void): () => void {
  const watch = new MutationObserver(changed);
  watch.observe(document.documentElement, { attributes: true, attributeFilter: [ATTRIBUTE] });
  const device = asked();
  const followed = (e: MediaQueryListEvent) => {
    const kept = KEPT.get();
    if (kept === null || kept === 'system') show(e.matches);
  };
  const elsewhere = (e: StorageEvent) => {
    if (e.key === KEY && e.newValue) show(e.newValue === 'dark' || (e.newValue === 'system' && device.matches));
  };
  device.addEventListener('change', followed);
  window.addEventListener('storage', elsewhere);
  return () => {
    watch.disconnect();
    device.removeEventListener('change', followed);
    window.removeEventListener('storage', elsewhere);
  };
}

/** Whether it is the night kitchen, and how to change it. */
export function useNight(): readonly [boolean, (night: boolean) => void] {
  const night = useSyncExternalStore(
    subscribe,
    () => document.documentElement.getAttribute(ATTRIBUTE) === 'dark',
    () => false,
  );
  return [
    night,
    (on) => {
      const newValue = on ? 'dark' : 'light';
      KEPT.set(newValue);
      show(on);
      // Whoever else on this page keeps the choice hears of it as of another window's.
      window.dispatchEvent(new StorageEvent('storage', { key: KEY, newValue }));
    },
  ];
}
