/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useNight } from './useNight';

let dark = false;
const listeners = new Set<(e: { matches: boolean }) => void>();
beforeEach(() => {
  dark = false;
  listeners.clear();
  localStorage.clear();
  document.documentElement.setAttribute('data-kitchen', 'light');
  window.matchMedia = (() => ({
    get matches() {
      return dark;
    },
    addEventListener: (_: string, on: (e: { matches: boolean }) => void) => listeners.add(on),
    removeEventListener: (_: string, on: (e: { matches: boolean }) => void) => listeners.delete(on),
  })) as unknown as typeof window.matchMedia;
});
const shown = () => document.documentElement.getAttribute('data-kitchen');
/** Does something, and waits until what watches the page has heard of it. */
const settle = (work: () => void) => act(async () => work());
const device = (is: boolean) =>
  settle(() => {
    dark = is;
    listeners.forEach((on) => on({ matches: is }));
  });

test('the night kitchen is shown at once, kept on the device, and told to whoever else keeps it', async () => {
  const told: (string | null)[] = [];
  const hear = (e: StorageEvent) => told.push(e.newValue);
  window.addEventListener('storage', hear);
  const { result } = renderHook(() => useNight());
  expect(result.current[0]).toBe(false);
  await settle(() => result.current[1](true));
  expect([shown(), localStorage.getItem('mui-mode'), told]).toEqual(['dark', 'dark', ['dark']]);
  window.removeEventListener('storage', hear);
});
test('where the cook has not chosen it follows the device; once chosen, it does not', async () => {
  const { result } = renderHook(() => useNight());
  await device(true);
  expect(shown()).toBe('dark');
  await settle(() => result.current[1](false));
  await device(true);
  expect(shown()).toBe('light');
});
test('what another window chooses is shown here too; what is no choice changes nothing', async () => {
  renderHook(() => useNight());
  const elsewhere = (key: string, newValue: string) =>
    settle(() => void window.dispatchEvent(new StorageEvent('storage', { key, newValue })));
  await elsewhere('mui-mode', 'dark');
  expect(shown()).toBe('dark');
  await elsewhere('something-else', 'light');
  expect(shown()).toBe('dark');
  await elsewhere('mui-mode', 'system');
  expect(shown()).toBe('light');
});
test('gone, it listens to nothing any more', () => {
  const { unmount } = renderHook(() => useNight());
  expect(listeners.size).toBe(1);
  unmount();
  expect(listeners.size).toBe(0);
});
