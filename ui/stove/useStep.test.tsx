/** @jest-environment jsdom */
import { act, cleanup, renderHook } from '@testing-library/react';
import type { BatchEvent } from '@/core/work/notebook';
import { madeOf, formula } from '@/core/testing/made';
import { courseOf } from '@/core/work/stove';
import type { Cooking } from './useCooking';
import { useStep } from './useStep';

afterEach(cleanup);
const forecast = madeOf(formula('savoury-coconut-slab'));
const check = forecast.steps.find((s) => s.id.startsWith('check:'));
if (!check) throw new Error('no check');

/** The check of a batch that has been in the steam so long. */
function atCheck(inSteamS: number | undefined, medianS = 1500) {
  const written: BatchEvent[] = [];
  const cooking = {
    hand: { events: [] },
    forecast,
    course: courseOf(forecast.steps, [], 0, 60),
    chance: undefined,
    inSteamS,
    nowMs: 0,
    expected: { medianS, sigma: 0.25 },
  } as unknown as Cooking;
  const hook = renderHook(() => useStep(cooking, check as NonNullable<typeof check>, (e) => written.push(e)));
  return { written, step: () => hook.result.current };
}

test('“Clean” without a beginning asks how long it has steamed, and writes that down', () => {
  const { written, step } = atCheck(undefined);
  act(() => step().pick('clean'));
  expect(written).toEqual([]);
  const ask = step().ask;
  expect(ask?.words).toMatch(/^Nothing was begun here: how many minutes has it steamed/);
  act(() => (ask?.is === 'minutes' ? ask.take(26) : undefined));
  expect(written).toEqual([{ kind: 'checked', state: 'clean', afterS: 1560 }]);
  expect(step().ask).toBeUndefined();
});
test('a pick far from all that was forecast is asked about; left, nothing is written; right, it is vouched for', () => {
  const { written, step } = atCheck(60);
  act(() => step().pick('clean'));
  expect(step().ask).toMatchObject({ is: 'sure', words: expect.stringMatching(/^Clean at 1 min, where about 25 min/) });
  act(() => step().ask?.leave());
  expect([written, step().ask]).toEqual([[], undefined]);
  act(() => step().pick('clean'));
  act(() => {
    const ask = step().ask;
    if (ask?.is === 'sure') ask.yes();
  });
  expect(written).toEqual([{ kind: 'checked', state: 'clean', afterS: 60 }, { kind: 'vouched' }]);
});
test('what is within what was forecast is written down at once', () => {
  const { written, step } = atCheck(1400);
  act(() => step().pick('sticky'));
  expect([written, step().ask]).toEqual([[{ kind: 'checked', state: 'sticky', afterS: 1400 }], undefined]);
});
