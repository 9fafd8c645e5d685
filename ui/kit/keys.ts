'use client';
import { useEffect, useSyncExternalStore } from 'react';
import { tinykeys } from 'tinykeys';

const OFF = 'idle-ladle/single-keys-off';
const listeners = new Set<() => void>();
const offNow = (): boolean => {
  try {
    return localStorage.getItem(OFF) === '1';
  } catch {
    return false;
  }
};

/** Whether shortcuts of a single letter or figure answer on this device. */
export function useSingleKeys(): readonly [boolean, (on: boolean) => void] {
  const off = useSyncExternalStore(
    (on) => {
      listeners.add(on);
      return () => listeners.delete(on);
    },
    offNow,
    () => false,
  );
  return [
    !off,
    (on) => {
      try {
        if (on) localStorage.removeItem(OFF);
        else localStorage.setItem(OFF, '1');
      } catch {
        /* barred storage: they stay as they are */
      }
      listeners.forEach((l) => l());
    },
  ];
}

/** True when a key press belongs to a field, not to the page. */
export const inField = (e: KeyboardEvent): boolean =>
  e.target instanceof HTMLElement &&
  (e.target.isContentEditable ||
    e.target.getAttribute('role') === 'combobox' ||
    /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName));
/** True where Space presses what has the focus. */
const pressesIt = (e: KeyboardEvent): boolean =>
  e.key === ' ' && e.target instanceof HTMLElement && e.target.closest('button, a, summary, [role]') !== null;
/** True while a dialog or menu is open: the page beneath it hears no keys. */
export const underDialog = (): boolean =>
  document.querySelector('[role="dialog"], [role="alertdialog"], [role="menu"], [role="listbox"]') !== null;

type Bindings = Readonly<Record<string, (e: KeyboardEvent) => void>>;

/** Shortcuts of this page; asleep under a dialog. Those in `single` are of one key: they can be turned off, and a field takes them first. */
export function useKeys(single: Bindings, chords: Bindings = {}): void {
  useEffect(() => {
    const guarded = (bindings: Bindings, lets: (e: KeyboardEvent) => boolean) =>
      Object.fromEntries(
        Object.entries(bindings).map(([key, act]) => [
          key,
          (e: KeyboardEvent) => {
            if (underDialog() || !lets(e)) return;
            e.preventDefault();
            act(e);
          },
        ]),
      );
    const ends = [
      tinykeys(
        window,
        guarded(single, (e) => !inField(e) && !pressesIt(e) && !offNow()),
      ),
      tinykeys(
        window,
        guarded(chords, () => true),
      ),
    ];
    return () => ends.forEach((end) => end());
  }, [single, chords]);
}
