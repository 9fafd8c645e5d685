/** @jest-environment jsdom */
import { render } from '@testing-library/react';
import type { Timer } from '@/core/work/stove';
import { speak, useAlarms } from './alarms';

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

test('a page that is not in view notifies, once for what rings, where the browser grants it', () => {
  const shown: string[] = [];
  class Granted {
    static readonly permission = 'granted';
    constructor(_title: string, { body }: { body: string }) {
      shown.push(body);
    }
  }
  const view = jest.spyOn(document, 'visibilityState', 'get').mockReturnValue('hidden');
  Object.assign(globalThis, { Notification: Granted });
  const page = render(<Cake timers={[timer('slab', 60)]} nowMs={59_000} />);
  page.rerender(<Cake timers={[timer('slab', 60)]} nowMs={61_000} />);
  page.rerender(<Cake timers={[timer('slab', 60)]} nowMs={65_000} />);
  expect(shown).toEqual(['slab']);
  page.unmount();
  view.mockRestore();
  Reflect.deleteProperty(globalThis, 'Notification');
});

test('a step is spoken by the browser’s voice, the last one given up; a browser without a voice says so', () => {
  expect(speak('Fold in.')).toBe(false);
  const said: string[] = [];
  const cancel = jest.fn();
  Object.assign(window, {
    speechSynthesis: { cancel, speak: (u: { text: string }) => said.push(u.text) },
    SpeechSynthesisUtterance: class {
      constructor(readonly text: string) {}
    },
  });
  expect(speak('Fold in.')).toBe(true);
  expect([said, cancel.mock.calls.length]).toEqual([['Fold in.'], 1]);
  Reflect.deleteProperty(window, 'speechSynthesis');
});
