import { FAMILIES, formulaOf } from '@/core/families';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { overWater } from '@/core/stations/steam/cooking';
import type { Turns } from '@/core/units';
import { immediately } from './immediately';
import { inTurns, Left, TURN_MS } from './inTurns';
import { workerIn } from './worker';

const plan = formulaOf(FAMILIES[0]);
const kitchen = emptyKitchen();

describe('in turns', () => {
  function* steps(n: number, each: () => void): Turns<string> {
    for (let i = 0; i < n; i++) {
      each();
      yield;
    }
    return 'done';
  }
  test('messages have a turn only every so often, however short the steps are', async () => {
    let clock = 0;
    let turns = 0;
    const got = await inTurns(
      steps(1000, () => (clock += 1)),
      async () => void turns++,
      () => false,
      () => clock,
    );
    expect([got, turns]).toEqual(['done', Math.floor(1000 / TURN_MS)]);
  });
  test('where a turn is slow they come more rarely: a fiftieth of the time at the most', async () => {
    let clock = 0;
    let inThem = 0;
    await inTurns(
      steps(20_000, () => (clock += 1)),
      async () => {
        clock += 3;
        inThem += 3;
      },
      () => false,
      () => clock,
    );
    expect(inThem / clock).toBeGreaterThan(0.01);
    expect(inThem / clock).toBeLessThanOrEqual(0.02);
  });
  test('a turn that was held up once does not shut out the next', async () => {
    let clock = 0;
    const at: number[] = [];
    await inTurns(
      steps(200, () => (clock += 1)),
      async () => {
        at.push(clock);
        clock += at.length === 2 ? 400 : 0;
      },
      () => false,
      () => clock,
    );
    expect(at.slice(0, 4)).toEqual([12, 24, 436, 448]);
  });
  test('what nobody waits for any more is left between two steps, and does nothing after', async () => {
    let done = 0;
    let clock = 0;
    const left = inTurns(
      steps(1000, () => (done++, (clock += 5))),
      async () => undefined,
      () => done >= 9,
      () => clock,
    );
    await expect(left).rejects.toThrow(Left);
    expect(done).toBe(9);
    await immediately();
    expect(done).toBe(9);
  });
});

test('a worker answers as the forecast does, lets messages in meanwhile, and leaves a run that it is told to', async () => {
  const worker = workerIn(immediately);
  let heard = 0;
  const hearing = setInterval(() => heard++, 1);
  const heat = await worker.work(1, 'heat', plan, kitchen);
  clearInterval(hearing);
  const made = forecast(plan, kitchen);
  expect(overWater(heat)?.times).toEqual(made.ok && overWater(made.value.heat)?.times);
  expect(heard).toBeGreaterThan(0);
  const under = worker.work(
    2,
    'heat',
    { ...plan, batters: plan.batters.map((b) => ({ ...b, wantedLiquidG: 700 })) },
    kitchen,
  );
  const given = expect(under).rejects.toThrow(Left);
  await immediately();
  worker.leave(2);
  await given;
  // What it knew it still knows.
  expect(overWater(await worker.work(3, 'heat', plan, kitchen))?.times).toBe(overWater(heat)?.times);
});

test('ways out are told as they are found, and their heat is kept for whoever asks next', async () => {
  const dry = { ...plan, batters: plan.batters.map((b) => ({ ...b, wantedLiquidG: 100 })) };
  const worker = workerIn(immediately);
  const told: string[] = [];
  await worker.work(1, 'ways', dry, kitchen, 1, ({ id, fixes }) => told.push(`${id} ${fixes.length > 0}`));
  expect(told).toEqual([expect.stringMatching(/ true$/)]);
});
