'use client';
import { useEffect } from 'react';
import { tinykeys } from 'tinykeys';
import { deviceFlag, useDeviceFlag } from './deviceFlag';

const OFF = 'idle-ladle/single-keys-off';
/** Whether shortcuts of a single letter or figure answer on this device. */
export function useSingleKeys(): readonly [boolean, (on: boolean) => void] {
  const [off, setOff] = useDeviceFlag(OFF);
  return [!off, (on) => setOff(!on)];
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
        guarded(single, (e) => !inField(e) && !pressesIt(e) && !deviceFlag(OFF)),
      ),
      tinykeys(
        window,
        guarded(chords, () => true),
      ),
    ];
    return () => ends.forEach((end) => end());
  }, [single, chords]);
}
