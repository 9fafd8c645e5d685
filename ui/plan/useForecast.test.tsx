/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { FAMILIES, formulaOf } from '@/core/families';
import { emptyKitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { useForecast } from './useForecast';

const asked: Plan[] = [];
const drafts: Plan[] = [];
let fails = 0;
/** How long a run takes, ms. */
let takes = 0;
jest.mock('@/workers/corePool', () => ({
  corePool: () => ({
    run: async (_job: string, [p, , coarse]: [Plan, unknown, boolean]) => {
      (coarse ? drafts : asked).push(p);
      if (takes > 0) await new Promise((done) => setTimeout(done, takes));
      if (!coarse && fails > 0) {
        fails--;
        throw new Error('the worker broke');
      }
      return { coarse };
    },
  }),
}));
beforeEach(() => {
  jest.useFakeTimers();
  asked.length = 0;
  drafts.length = 0;
  fails = 0;
  takes = 0;
});
afterEach(() => jest.useRealTimers());

const plan = formulaOf(FAMILIES[1]);
const other = plan.heat === 'strong' ? 'medium' : 'strong';
const kitchen = emptyKitchen();
/** Time goes by, and the page follows it. */
async function later(ms: number) {
  for (let t = 0; t < ms; t += 50) await act(() => jest.advanceTimersByTimeAsync(50));
}
const open = () => renderHook((p: Plan) => useForecast(p, kitchen), { initialProps: plan });
jest.mock('@/core/forecast', () => ({
  ...jest.requireActual<object>('@/core/forecast'),
  composeForecast: (light: unknown, heat: unknown) => ({ light, heat }),
}));

test('a name, a note or guests neither work the heat out anew nor put off what is under way', async () => {
  const page = open();
  await later(150);
  page.rerender({ ...plan, name: 'Other' });
  await later(250);
  expect(asked).toHaveLength(1);
  page.rerender({ ...plan, name: 'Another', notes: 'soft', guests: 3 });
  await later(2000);
  expect(asked).toHaveLength(1);
  page.rerender({ ...plan, heat: other });
  await later(2000);
  expect(asked.map((p) => p.heat)).toEqual([plan.heat, other]);
});

test('a worker that fails is tried again by itself, then it is said and can be tried by hand', async () => {
  fails = 1;
  const page = open();
  await later(3000);
  expect([asked.length, page.result.current.heating, page.result.current.heatTrouble]).toEqual([2, false, undefined]);
  fails = 99;
  page.rerender({ ...plan, heat: other });
  await later(9000);
  expect(asked).toHaveLength(5);
  expect(page.result.current).toMatchObject({
    heating: true,
    heatTrouble: expect.stringMatching(/could not be worked out/),
  });
  fails = 0;
  act(() => page.result.current.heatAgain());
  await later(1000);
  expect(page.result.current).toMatchObject({ heating: false, heatTrouble: undefined });
});

test('at the first look a coarse heat comes before the full one, and only once', async () => {
  const page = open();
  await later(50);
  expect([drafts.length, asked.length]).toEqual([1, 0]);
  expect(page.result.current).toMatchObject({ heating: true, forecast: { heat: { coarse: true } } });
  await later(2000);
  expect([drafts.length, asked.length]).toEqual([1, 1]);
  expect(page.result.current).toMatchObject({ heating: false, forecast: { heat: {} } });
});

test('while a hand is moving, coarse heat follows it one run at a time; let go, the full one is worked out once', async () => {
  const page = renderHook(({ p, moving }: { p: Plan; moving: boolean }) => useForecast(p, kitchen, moving), {
    initialProps: { p: plan, moving: false },
  });
  await later(2000);
  takes = 120;
  const deeper = (x: number): Plan => ({
    ...plan,
    addIns: plan.addIns.map((l, i) => (i === 0 ? { ...l, massG: l.massG + x } : l)),
  });
  for (let i = 1; i <= 12; i++) {
    page.rerender({ p: deeper(i), moving: true });
    await later(50);
  }
  // 600 ms of moving, 120 ms a run: no run begins while one is under way.
  expect(drafts.length - 1).toBeGreaterThanOrEqual(2);
  expect(drafts.length - 1).toBeLessThanOrEqual(6);
  expect(asked).toHaveLength(1);
  await later(1000);
  expect(drafts.at(-1)).toEqual(deeper(12));
  expect(page.result.current.heating).toBe(true);
  page.rerender({ p: deeper(12), moving: false });
  await later(1000);
  expect(asked).toHaveLength(2);
  expect(page.result.current.heating).toBe(false);
});
