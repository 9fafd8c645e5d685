import { runs } from '@/core/testing/runs';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { isAbsolute, join, resolve } from 'node:path';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { snapshotOf, type BatchEvent } from '@/core/work/notebook';
import { withReading } from '@/core/plan';
import { MODEL_VERSION } from '@/core/units';
import { bundle } from '@/scripts/bundle.mjs';
import { testDatabase, type TestDatabase } from '@/db/testing/file';
import { savouryCoconutSlabPlan } from '@/db/testing/plans';
import type { Plan } from '@/core/plan';
import type { Kitchen } from '@/core/kitchen';
import { Broken } from '@/workers/pool';
import type { Heavy } from './heavy';
import { CORE_THREAD, heavyOnThreads } from './heavyOnThreads';
import { evidence, leftToLearn, relearnIfOld } from './learn';
import { recordEvent } from './notebook';
import { endStore, storeOf, type Store } from './storeOf';
import { overWater } from '@/core/stations/steam/cooking';

let made: TestDatabase;
let store: Store;
let asked: { plan: { guests: number; name: string }; kitchen: { altitudeM: number } }[] = [];
let hold: Promise<void> | undefined;
/** Heavy work that says so of every time it is asked. */
const saying = (timeOf: (plan: Plan, kitchen: Kitchen) => Promise<number | undefined>): Heavy => ({
  run: ((_job: string, [plan, kitchen]: [Plan, Kitchen]) => timeOf(plan, kitchen)) as Heavy['run'],
  end: () => undefined,
});
/** Says half an hour of everything, and remembers what it was asked. */
const half = saying(async (plan, kitchen) => {
  asked.push({ plan, kitchen });
  await hold;
  return 1800;
});
beforeEach(async () => {
  asked = [];
  hold = undefined;
  made = await testDatabase();
  store = await storeOf(made.db, { heavy: half });
});
afterEach(async () => {
  await endStore(store);
  await made.end();
});

const snapshot = (() => {
  const f = forecast(savouryCoconutSlabPlan(), emptyKitchen());
  if (!f.ok) throw new Error(f.problems[0].sentence);
  return snapshotOf(f.value);
})();
const model = snapshot.figures.unlearnedS ?? 0;

/** A finished batch, sticky at so many times the half hour. */
async function cooked(name: string, more: Partial<typeof snapshot>, events: readonly BatchEvent[], startedAt?: string) {
  const batch = await store.batches.create({
    planId: null,
    planRevision: 1,
    name,
    snapshot: { ...snapshot, ...more },
    startedAt,
  });
  let n = 0;
  for (const e of [...events, { kind: 'finished' } as const]) {
    const done = await store.batches.append(batch.id, e, `${batch.id}-${n++}`);
    if (!done.ok) throw new Error(done.problems[0].sentence);
  }
  return batch.id;
}
const clean = (afterS: number): BatchEvent => ({ kind: 'checked', state: 'clean', afterS });
const sticky = (afterS: number): BatchEvent => ({ kind: 'checked', state: 'sticky', afterS });
const learned = async () => (await store.kitchen.read()).timeFactors;

describe('after a change of the models', () => {
  test.each([61, runs(1000)])(
    '%i batches are all forecast again, and only then is what they teach taken over',
    async (count) => {
      // Rows as an older release left them: written at once, as a release's worth of cooking cannot be.
      const first = await cooked('First', { modelVersion: 1 }, [sticky(2400)]);
      await made.db.write(async (transaction) => {
        await made.db.sequelize.query(
          `INSERT INTO batches (id, plan_id, plan_revision, name, snapshot, sum, started_at, finished_at, created_at, updated_at, family, search, facts, seen, derived)
         WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < ${count - 1})
         SELECT 'copy-' || i, NULL, 1, 'Copy', snapshot, sum, strftime('%Y-%m-%dT%H:%M:%fZ', started_at, '-' || i || ' hours'), finished_at, created_at, updated_at, family, search, facts, seen, derived
         FROM batches, n WHERE id = ?`,
          { replacements: [first], transaction },
        );
      });
      const settings = await store.kitchen.readSettings();
      const before = { modelVersion: 1, effects: [], covariance: [] };
      await store.kitchen.saveSettings(settings.revision, { ...settings.value, timeFactors: before });
      expect(await leftToLearn(store)).toBe(count);
      let go = () => {};
      hold = new Promise((then) => (go = then));
      await relearnIfOld(store);
      // The first has begun and none is done: nothing has changed for the kitchen.
      while (asked.length === 0) await new Promise((then) => setTimeout(then, 20));
      expect(asked).toHaveLength(1);
      expect(await learned()).toEqual(before);
      go();
      await store.learner.settled();
      expect(asked).toHaveLength(count);
      expect(await leftToLearn(store)).toBe(0);
      expect((await learned()).modelVersion).toBe(MODEL_VERSION);
      expect(Math.max(...(await learned()).effects.map((e) => e.batches))).toBe(count);
      // Another start has nothing left to do.
      asked = [];
      await relearnIfOld(store);
      await store.learner.settled();
      expect(asked).toEqual([]);
    },
  );
  test('a kitchen that is stopped half way goes on where it was', async () => {
    for (let i = 0; i < 5; i++) await cooked(`B ${i}`, { modelVersion: 1 }, [sticky(2400)]);
    let go = () => {};
    hold = new Promise((then) => (go = then));
    store.learner.wake();
    await new Promise((then) => setTimeout(then, 50));
    const stopped = store.learner.end();
    go();
    await stopped;
    expect(asked).toHaveLength(1);
    store = await storeOf(made.db, { heavy: half });
    hold = undefined;
    expect(await leftToLearn(store)).toBe(4);
    await relearnIfOld(store);
    await store.learner.settled();
    expect(asked).toHaveLength(5);
    expect((await learned()).modelVersion).toBe(MODEL_VERSION);
  });
  test('a batch is forecast in the kitchen that it was cooked in, not in today’s', async () => {
    await cooked('High up', { modelVersion: 1, kitchen: { ...emptyKitchen(), altitudeM: 1500 } }, [clean(1800)]);
    store.learner.wake();
    await store.learner.settled();
    expect(asked.map((a) => a.kitchen.altitudeM)).toEqual([1500]);
  });
});

describe('what is learned of is the cake as it was cooked', () => {
  test('one poured deeper than planned is forecast as deep as it was; one cooked by its plan is not forecast anew', async () => {
    const plain = await cooked('By the plan', {}, [clean(model)]);
    store.learner.wake();
    await store.learner.settled();
    expect(asked).toEqual([]);
    expect((await evidence(store)).find((e) => e.batch.id === plain)?.modelS).toBeCloseTo(model, 6);

    const deeper = { kind: 'read', stepId: 'pour:cake', slot: 'depthMm', value: 45 } as const;
    const real = await storeOf(made.db);
    store = real;
    const id = await cooked('Deeper', {}, [deeper, clean(2400)]);
    store.learner.wake();
    await store.learner.settled();
    const asPoured = forecast(
      withReading(savouryCoconutSlabPlan(), { node: 'pour:cake', slot: 'depthMm' }, 45),
      emptyKitchen(),
    );
    const wantedS = asPoured.ok ? overWater(asPoured.value.heat)?.times?.unlearnedS : undefined;
    const found = (await evidence(store)).find((e) => e.batch.id === id);
    expect(wantedS).toBeGreaterThan(model * 1.1);
    expect(found?.modelS).toBeCloseTo(wantedS ?? 0, 6);
  });
  test('what is put right after it was finished is learned anew', async () => {
    const id = await cooked('Put right', {}, [clean(1500)]);
    store.learner.wake();
    await store.learner.settled();
    expect(asked).toEqual([]);
    await recordEvent(
      store,
      id,
      { kind: 'line-changed', stepId: 'mix:batter', line: 'tapioca', byG: 40 },
      'put-right-1',
    );
    await store.learner.settled();
    expect(asked).toHaveLength(1);
  });
});

test('whoever writes something down waits for no forecast', async () => {
  const id = await cooked('Old', { modelVersion: 1 }, [clean(1500)]);
  let go = () => {};
  hold = new Promise((then) => (go = then));
  const done = await recordEvent(store, id, { kind: 'tasted', overall: 4, axes: {}, note: '' }, 'taste-key-1');
  expect(done.ok).toBe(true);
  // It is under way, and would be for ever.
  expect(asked.length).toBeLessThanOrEqual(1);
  go();
});

test('a damaged row of one batch fails no event of another, and neither learning nor the next start', async () => {
  const torn = await cooked('Torn', {}, [clean(1500)]);
  const id = await cooked('Whole', {}, [clean(1500)]);
  await made.db.write((transaction) =>
    made.db.sequelize.query(`UPDATE batches SET seen = '{', facts = 'x' WHERE id = ?`, {
      replacements: [torn],
      transaction,
    }),
  );
  const done = await recordEvent(
    store,
    id,
    { kind: 'tasted', overall: 5, axes: { chewy: 'more' }, note: '' },
    'taste-1',
  );
  expect(done.ok).toBe(true);
  await store.learner.settled();
  expect((await evidence(store)).map((e) => [e.batch.name, e.used])).toEqual([
    ['Torn', true],
    ['Whole', true],
  ]);
  await relearnIfOld(store);
  await store.learner.settled();
  expect((await store.kitchen.read()).textureOffsets['savoury-coconut-slab']?.chewy).toBeGreaterThan(0);
});

test('a batch that cannot be forecast counts for nothing and keeps none of the others waiting', async () => {
  await cooked('Old', { modelVersion: 1 }, [clean(1500)]);
  const unsaid = await storeOf(made.db, { heavy: saying(async () => undefined) });
  unsaid.learner.wake();
  await unsaid.learner.settled();
  expect(await leftToLearn(unsaid)).toBe(0);
  expect((await evidence(unsaid)).map((e) => [e.modelS, e.used])).toEqual([[undefined, false]]);
  unsaid.damage.end();
});
test('where the thread breaks its batch waits for the next time, and is not taken for what cannot be forecast', async () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  await cooked('Old', { modelVersion: 1 }, [clean(Math.round(model))]);
  let broken = true;
  const failing = await storeOf(made.db, {
    heavy: saying(() => (broken ? Promise.reject(new Broken('no thread')) : Promise.resolve(model))),
  });
  failing.learner.wake();
  await failing.learner.settled();
  expect([await leftToLearn(failing), quiet.mock.calls.length]).toEqual([1, 1]);
  broken = false;
  failing.learner.wake();
  await failing.learner.settled();
  expect((await evidence(failing)).map((e) => [e.modelS, e.used])).toEqual([[model, true]]);
  quiet.mockRestore();
  failing.damage.end();
});
test('the thread of the build is named so that it is found wherever the program is started from', () => {
  expect(isAbsolute(CORE_THREAD)).toBe(true);
});

describe('an odd entry', () => {
  test('a check without a beginning is not taken, and one of before says nothing of a time', async () => {
    const batch = await store.batches.create({ planId: null, planRevision: 1, name: 'B', snapshot });
    expect(await store.batches.append(batch.id, clean(0), 'check-key-1')).toMatchObject({
      problems: [{ code: 'no-beginning', sentence: expect.stringMatching(/how many minutes it has steamed/) }],
    });
    // As an older release let it in.
    await made.db.write((transaction) =>
      made.db.models.batchEvents.create(
        { batchId: batch.id, at: batch.startedAt, receivedAt: null, event: JSON.stringify(clean(0)), key: 'old-check' },
        { transaction },
      ),
    );
    await recordEvent(store, batch.id, { kind: 'finished' }, 'finish-key-1');
    await store.learner.settled();
    expect((await learned()).effects).toEqual([]);
  });
  test('one far from all that was forecast counts only once the cook says that it is right, and then moves no plan by half', async () => {
    const id = await cooked('Odd', {}, [clean(60)]);
    store.learner.wake();
    await store.learner.settled();
    expect((await evidence(store))[0]).toMatchObject({ odd: true, used: false });
    expect((await learned()).effects).toEqual([]);
    await recordEvent(store, id, { kind: 'vouched' }, 'vouch-key-1');
    await store.learner.settled();
    expect((await evidence(store))[0]).toMatchObject({ odd: false, used: true });
    const shift = (await learned()).effects.reduce((s, e) => s + e.mean, 0);
    expect(Math.exp(shift)).toBeGreaterThan(0.5);
    expect(Math.exp(shift)).toBeLessThan(0.9);
  });
});

test('threads of their own say the same time, are left between two steps, and end', async () => {
  const folder = mkdtempSync(resolve('node_modules/.cache-thread-'));
  try {
    await bundle({ 'core.thread': 'workers/core.thread.ts' }, folder);
    const file = join(folder, 'core.thread.mjs');
    expect(existsSync(file)).toBe(true);
    const threads = heavyOnThreads(file, 1);
    const asked = [savouryCoconutSlabPlan(), emptyKitchen()] as const;
    expect(await Promise.all([1, 2].map(() => threads.run('timeOf', [...asked])))).toEqual([model, model]);
    // Given up while it is worked out: what comes next has the thread at once, and what was worked out before is still known.
    const stop = new AbortController();
    const deep = threads.run('timeOf', [{ ...asked[0], heat: 'gentle' }, emptyKitchen()], {
      signal: stop.signal,
    });
    const given = expect(deep).rejects.toThrow('enough');
    setTimeout(() => stop.abort(new Error('enough')), 5);
    await given;
    const from = performance.now();
    expect(await threads.run('timeOf', [...asked])).toBe(model);
    expect(performance.now() - from).toBeLessThan(200);
    threads.end();
    await expect(threads.run('timeOf', [...asked])).rejects.toThrow(/ended/);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
