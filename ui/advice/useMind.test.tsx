/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { formula } from '@/core/testing/made';
import { forecast } from '@/core/forecast';
import { kitchenSchema } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import type { Fix } from '@/core/stations/mix';
import type { Problem } from '@/core/units';
import { useMindOf } from './useMind';

type Told = (w: { id: string; fixes: readonly Fix[] }) => void;
const runs: { plan: Plan; most: number; found: Told }[] = [];
jest.mock('@/workers/corePool', () => ({
  corePool: () => ({
    run: (_job: string, [plan, , most, found]: [Plan, unknown, number, Told]) => {
      runs.push({ plan, most, found });
      return Promise.resolve();
    },
  }),
}));

const kitchen = kitchenSchema.parse({});
const well = formula('savoury-coconut-slab');
const dry: Plan = { ...well, batters: well.batters.map((b) => ({ ...b, wantedLiquidG: 560 })) };
const drier: Plan = { ...well, batters: well.batters.map((b) => ({ ...b, wantedLiquidG: 540 })) };
const at = (plan: Plan) => {
  const made = forecast(plan, kitchen);
  if (!made.ok) throw new Error(made.problems[0].sentence);
  return made.value;
};
const seen = { well: at(well), dry: at(dry), drier: at(drier) };
const NONE: readonly Problem[] = [];
const FIX: Fix = { words: '+60 g liquid', changes: [] };

interface Props {
  taken: Plan;
  shown: keyof typeof seen;
  moving: boolean;
  trying: boolean;
}
const bench = (props: Props) =>
  renderHook((p: Props) => useMindOf(p.taken, kitchen, seen[p.shown], NONE, p.moving, p.trying), {
    initialProps: props,
  });
const later = (ms: number) => act(async () => jest.advanceTimersByTimeAsync(ms));
const stiff = (said: readonly { sentence: string }[]) =>
  said.map((a) => a.sentence).find((s) => s.startsWith('Stiffer'));

beforeEach(() => {
  jest.useFakeTimers();
  runs.length = 0;
});
afterEach(() => jest.useRealTimers());

test('what is typed and not taken yet is minded at a pause, and the ways of what was before are not offered for it', async () => {
  const page = bench({ taken: dry, shown: 'dry', moving: false, trying: false });
  await later(1000);
  expect(runs.map((r) => r.plan)).toEqual([dry]);
  const { id } = page.result.current.concerns[0];
  act(() => runs[0].found({ id, fixes: [FIX] }));
  expect(page.result.current.waysFor(id)).toEqual([FIX]);
  const before = stiff(page.result.current.concerns);
  page.rerender({ taken: dry, shown: 'drier', moving: true, trying: false });
  await later(100);
  expect(stiff(page.result.current.concerns)).toBe(before);
  await later(200);
  expect(stiff(page.result.current.concerns)).not.toBe(before);
  expect(page.result.current.waysFor(id)).toBeUndefined();
  // Nothing is tried for what is not taken.
  expect(runs).toHaveLength(1);
});

test('while a way out is tried on, the list it was taken from stands still with its ways', async () => {
  const page = bench({ taken: dry, shown: 'dry', moving: false, trying: false });
  await later(1000);
  const { concerns } = page.result.current;
  act(() => runs[0].found({ id: concerns[0].id, fixes: [FIX] }));
  page.rerender({ taken: dry, shown: 'well', moving: false, trying: true });
  await later(1000);
  expect(page.result.current.concerns).toBe(concerns);
  expect(page.result.current.waysFor(concerns[0].id)).toEqual([FIX]);
  // Taken, it is the plan that is minded, and its own ways are looked for.
  page.rerender({ taken: well, shown: 'well', moving: false, trying: false });
  await later(1000);
  expect(stiff(page.result.current.concerns)).toBeUndefined();
  expect(page.result.current.waysFor(concerns[0].id)).toBeUndefined();
});
