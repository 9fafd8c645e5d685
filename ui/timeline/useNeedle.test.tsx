/** @jest-environment jsdom */
import { formula } from '@/core/testing/made';
import { act, renderHook } from '@testing-library/react';
import { forecast, type Forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { lifeOf } from '@/core/work/timeline';
import { scalePlan } from '@/core/plan';
import { COARSE_GRID } from '@/core/model/steam';
import { useNeedle } from './useNeedle';

const plan = formula('savoury-coconut-slab');
if (!plan) throw new Error('no family');
const made = (by: number): Forecast => {
  const r = forecast(scalePlan(plan, by), emptyKitchen(), COARSE_GRID);
  if (!r.ok) throw new Error('no forecast');
  return r.value;
};
const [one, deeper] = [made(1), made(1.3)];
const open = () => renderHook((f: Forecast) => ({ ...useNeedle(lifeOf(f)), life: lifeOf(f) }), { initialProps: one });

test('at first it stands at the check', () => {
  const { result } = open();
  expect(result.current.atS).toBe(result.current.life.marks.find((m) => m.kind === 'check')?.atS);
});
test('when the minutes change it keeps its place in the stretch where it stood', () => {
  const page = open();
  const steam = page.result.current.life.segments.find((s) => s.station === 'steam');
  if (!steam) throw new Error('no steam');
  act(() => page.result.current.onAt(steam.fromS + 0.25 * (steam.toS - steam.fromS)));
  page.rerender(deeper);
  const { atS, life } = page.result.current;
  const now = life.segments.find((s) => s.station === 'steam');
  if (!now) throw new Error('no steam');
  expect(now.toS - now.fromS).toBeGreaterThan(steam.toS - steam.fromS);
  expect((atS - now.fromS) / (now.toS - now.fromS)).toBeCloseTo(0.25, 6);
});
test('played, it goes on to the plate and stops there; moved by hand, it stops at once', () => {
  jest.useFakeTimers();
  try {
    const page = open();
    act(() => page.result.current.play());
    expect(page.result.current.playing).toBe(true);
    const from = page.result.current.atS;
    act(() => void jest.advanceTimersByTime(1500));
    expect(page.result.current.atS).toBeGreaterThan(from);
    act(() => page.result.current.onAt(60));
    expect([page.result.current.playing, Math.round(page.result.current.atS)]).toEqual([false, 60]);
    act(() => page.result.current.play());
    act(() => void jest.advanceTimersByTime(20_000));
    expect([page.result.current.playing, page.result.current.atS]).toEqual([false, page.result.current.life.spanS]);
  } finally {
    jest.useRealTimers();
  }
});
