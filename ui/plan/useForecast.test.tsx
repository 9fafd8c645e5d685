/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { FAMILIES } from '@/core/families';
import { emptyKitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { useForecast } from './useForecast';

const asked: Plan[] = [];
let fails = 0;
jest.mock('@/workers/heatRunner', () => ({
  heatRunner: () => ({
    run: async (p: Plan) => {
      asked.push(p);
      if (fails > 0) {
        fails--;
        throw new Error('the worker broke');
      }
      return { stopped: false, heat: undefined };
    },
    end: () => undefined,
  }),
}));
beforeEach(() => {
  jest.useFakeTimers();
  asked.length = 0;
  fails = 0;
});
afterEach(() => jest.useRealTimers());

const plan = FAMILIES[1].formula();
const other = plan.heat === 'strong' ? 'medium' : 'strong';
const kitchen = emptyKitchen();
/** Time goes by, and the page follows it. */
async function later(ms: number) {
  for (let t = 0; t < ms; t += 50) await act(() => jest.advanceTimersByTimeAsync(50));
}
const open = () => renderHook((p: Plan) => useForecast(p, kitchen), { initialProps: plan });

test('a name, a note or guests neither work the heat out anew nor put off what is under way', async () => {
  const page = open();
  await later(150);
  page.rerender({ ...plan, name: 'Other' });
  await later(100);
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
