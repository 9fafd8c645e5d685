/** @jest-environment jsdom */
import { render } from '@testing-library/react';
import type { Timer } from '@/core/stove';
import { useAlarms } from './alarms';

const timer = (id: string, forS: number): Timer => ({ id, name: id, kind: 'own', startMs: 0, forS });
function Cake({ timers, nowMs, muted = false }: { timers: readonly Timer[]; nowMs: number; muted?: boolean }) {
  useAlarms(timers, nowMs, muted);
  return null;
}
const kitchen = (nowMs: number, muted = false) => (
  <>
    <Cake timers={[timer('slab', 60)]} nowMs={nowMs} muted={muted} />
    <Cake timers={[timer('sponge', 60), timer('rice', 500)]} nowMs={nowMs} muted={muted} />
  </>
);

const vibrate = jest.fn();
beforeEach(() => {
  jest.useFakeTimers();
  vibrate.mockClear();
  document.title = 'At the stove';
  Object.assign(navigator, { vibrate, userActivation: { hasBeenActive: true } });
});
afterEach(() => jest.useRealTimers());

test('two cakes that come up together ring once, every few seconds, and are both named in the title', () => {
  const page = render(kitchen(59_000));
  expect(document.title).toBe('At the stove');
  page.rerender(kitchen(61_000));
  expect(vibrate).toHaveBeenCalledTimes(1);
  expect(document.title).toBe('slab, sponge: now');
  jest.advanceTimersByTime(8_100);
  expect(vibrate).toHaveBeenCalledTimes(3);
  page.unmount();
  expect(document.title).toBe('At the stove');
  jest.advanceTimersByTime(20_000);
  expect(vibrate).toHaveBeenCalledTimes(3);
});

test('muted it is silent, and says so in the title still; what rang unseen for long is silent by itself', () => {
  const page = render(kitchen(61_000, true));
  jest.advanceTimersByTime(9_000);
  expect(vibrate).not.toHaveBeenCalled();
  expect(document.title).toBe('slab, sponge: now');
  page.rerender(kitchen(60_000 + 91_000));
  expect(document.title).toBe('At the stove');
  page.unmount();
});
