import { FAMILIES } from '@/core/families';
import { emptyKitchen } from '@/core/kitchen';
import { heatRunner } from './heatRunner';

type Make = NonNullable<Parameters<typeof heatRunner>[0]>;
type Hand = ReturnType<Make>;
const plan = FAMILIES[0].formula();
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
