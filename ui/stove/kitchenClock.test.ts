/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { leftS, type Timer } from '@/core/work/stove';
import { kitchenMsOf, setKitchenClock, useKitchenNow } from './kitchenClock';
import { clockWords } from './TimerEdge';

const HOUR = 3600_000;
const noon = Date.parse('2026-05-06T12:00:00Z');
const rice: Timer = { id: 'a', name: 'rice', kind: 'own', startMs: noon, forS: 1800 };
beforeEach(() => jest.useFakeTimers({ now: noon }));
afterEach(() => jest.useRealTimers());

test('a device whose clock is three hours wrong shows the kitchen’s time left', () => {
  jest.setSystemTime(noon + 3 * HOUR);
  setKitchenClock(noon, 1);
  const { result } = renderHook(() => useKitchenNow(noon));
  act(() => jest.advanceTimersByTime(600_000));
  expect(leftS(rice, result.current)).toBe(1200);
});

test('a clock that is set while the page is open is right again with the next word of the kitchen', () => {
  setKitchenClock(noon, 1);
  jest.setSystemTime(noon + 2 * HOUR);
  expect(leftS(rice, kitchenMsOf(Date.now()))).toBeLessThan(0);
  setKitchenClock(noon + 60_000, 1);
  expect(leftS(rice, kitchenMsOf(Date.now()))).toBe(1740);
});

test('on the practice clock a minute passes in a second', () => {
  setKitchenClock(noon, 60);
  const { result } = renderHook(() => useKitchenNow(noon));
  act(() => jest.advanceTimersByTime(10_000));
  expect(leftS(rice, result.current)).toBe(1200);
});

test('the night the clocks go back a timer of eight hours takes eight hours', () => {
  const start = Date.parse('2026-10-24T22:00:00Z');
  const soak: Timer = { ...rice, startMs: start, forS: 8 * 3600 };
  expect(leftS(soak, Date.parse('2026-10-25T05:59:00Z'))).toBe(60);
  expect([clockWords(28_800), clockWords(61), clockWords(0.2), clockWords(-5)]).toEqual([
    '8:00:00',
    '1:01',
    '0:01',
    '0:00',
  ]);
});
