import { FAMILIES, formulaOf } from '@/core/families';
import { emptyKitchen } from '@/core/kitchen';
import { keptHand, type Hand as AnyHand } from './hand';
import { heatRunner } from './heatRunner';

type Make = NonNullable<Parameters<typeof heatRunner>[0]>;
type Hand = ReturnType<Make>;
const plan = formulaOf(FAMILIES[0]);
const kitchen = emptyKitchen();

/** Hands whose answers, and failures, the test gives. */
function hands() {
  const made: { answer: (x: unknown) => void; fail: (e: Error) => void; breakDown: () => void; ended: boolean }[] = [];
  const make: Make = () => {
    let breakDown: () => void = () => undefined;
    const broken = new Promise<never>((_, fail) => (breakDown = () => fail(new Error('could not start'))));
    broken.catch(() => undefined);
    const hand = {
      answer: (_: unknown) => undefined as void,
      fail: (_: Error) => undefined as void,
      breakDown,
      ended: false,
    };
    made.push(hand);
    return {
      worker: { terminate: () => (hand.ended = true) },
      api: { heat: () => new Promise((done, fail) => Object.assign(hand, { answer: done, fail })) },
      broken,
    } as unknown as Hand;
  };
  return { made, make };
}

test('a newer plan ends the older one’s worker for good', async () => {
  const { made, make } = hands();
  const runner = heatRunner(make);
  void runner.run(plan, kitchen);
  const second = runner.run({ ...plan, guests: 2 }, kitchen);
  expect(made[0].ended).toBe(true);
  made[1].answer({ heat: 2 });
  expect(await second).toEqual({ stopped: false, heat: { heat: 2 } });
  runner.end();
});

test('a worker that cannot start, or breaks, fails the run; the next has a new one', async () => {
  const { made, make } = hands();
  const runner = heatRunner(make);
  const first = runner.run(plan, kitchen);
  made[0].breakDown();
  await expect(first).rejects.toThrow('could not start');
  const second = runner.run(plan, kitchen);
  made[1].fail(new Error('out of memory'));
  await expect(second).rejects.toThrow('out of memory');
  expect([made[0].ended, made[1].ended]).toEqual([true, true]);
  const third = runner.run(plan, kitchen);
  made[2].answer('done');
  expect(await third).toEqual({ stopped: false, heat: 'done' });
  runner.end();
});

test('a kept worker that breaks is replaced once by itself; where the new one breaks too, it is told', async () => {
  let made = 0;
  const hand = (works: boolean) => ({
    worker: { terminate: () => undefined },
    api: { add: async (n: number) => (works ? n + 1 : Promise.reject(new Error('broke'))) },
    broken: new Promise<never>(() => undefined),
  });
  const withHand = keptHand(() => hand(++made > 1) as unknown as AnyHand<{ add: (n: number) => number }>);
  expect(await withHand((api) => api.add(1) as unknown as Promise<number>)).toBe(2);
  expect(await withHand((api) => api.add(2) as unknown as Promise<number>)).toBe(3);
  expect(made).toBe(2);
  const never = keptHand(() => hand(false) as unknown as AnyHand<{ add: (n: number) => number }>);
  await expect(never((api) => api.add(1) as unknown as Promise<number>)).rejects.toThrow('broke');
});
