import { savouryCoconutSlabPlan } from './testing/plans';
import { batchStore, kitchenStore, openDatabase, planStore, type Database } from '.';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { snapshotOf } from '@/core/notebook';

let db: Database;
beforeEach(async () => {
  db = await openDatabase(':memory:');
});
afterEach(async () => {
  await db.sequelize.close();
});

describe('plans', () => {
  test('a stale write is refused, and both versions are kept', async () => {
    const plans = planStore(db);
    const made = await plans.create(savouryCoconutSlabPlan());
    const mine = { ...made.plan, name: 'Mine' };
    const theirs = { ...made.plan, name: 'Theirs' };
    expect(await plans.save(made.id, 1, theirs)).toMatchObject({ saved: { revision: 2 } });
    const refused = await plans.save(made.id, 1, mine);
    expect(refused).toMatchObject({ stale: { current: { revision: 2, plan: { name: 'Theirs' } } } });
    const versions = await plans.versions(made.id);
    expect(versions.map((v) => [v.revision, v.refused])).toEqual([
      [2, true],
      [2, false],
      [1, false],
    ]);
  });
  test('a deleted plan is gone from the list and comes back whole', async () => {
    const plans = planStore(db);
    const made = await plans.create(savouryCoconutSlabPlan());
    expect(await plans.remove(made.id)).toBe(true);
    expect(await plans.list()).toHaveLength(0);
    expect((await plans.get(made.id)).ok).toBe(false);
    expect(await plans.restore(made.id)).toMatchObject({ ok: true, value: { plan: { name: made.plan.name } } });
  });
});

describe('batches', () => {
  const begin = async () => {
    const stored = await planStore(db).create(savouryCoconutSlabPlan());
    const made = forecast(stored.plan, emptyKitchen());
    if (!made.ok) throw new Error(made.problems[0].sentence);
    const batches = batchStore(db);
    return {
      batches,
      batch: await batches.create({
        planId: stored.id,
        planRevision: 1,
        name: stored.plan.name,
        snapshot: snapshotOf(made.value),
      }),
    };
  };
  test('events are append-only: the database itself refuses a change or a removal', async () => {
    const { batches, batch } = await begin();
    await batches.append(batch.id, { kind: 'noted', note: 'Smells good' }, 'key-one-1');
    await expect(db.sequelize.query("UPDATE batch_events SET at = 'x'")).rejects.toMatchObject({
      parent: { message: expect.stringMatching(/append-only/) },
    });
    await expect(db.sequelize.query('DELETE FROM batch_events')).rejects.toMatchObject({
      parent: { message: expect.stringMatching(/append-only/) },
    });
  });
  test('an event sent twice is written once', async () => {
    const { batches, batch } = await begin();
    await batches.append(batch.id, { kind: 'pulled' }, 'same-key-1');
    const twice = await batches.append(batch.id, { kind: 'pulled' }, 'same-key-1');
    expect(twice.ok && twice.value.events).toHaveLength(1);
  });
  test('an event without its batch is refused by the foreign key', async () => {
    await expect(db.models.batchEvents.create({ batchId: 'none', at: 'now', event: '{}', key: 'k' })).rejects.toThrow();
  });
  test('finishing sets the time once', async () => {
    const { batches, batch } = await begin();
    const done = await batches.append(batch.id, { kind: 'finished' }, 'finish-1', '2026-01-02T03:04:05.000Z');
    const again = await batches.append(batch.id, { kind: 'finished' }, 'finish-2', '2026-01-03T03:04:05.000Z');
    expect(done.ok && done.value.finishedAt).toBe('2026-01-02T03:04:05.000Z');
    expect(again.ok && again.value.finishedAt).toBe('2026-01-02T03:04:05.000Z');
  });
});

describe('the kitchen', () => {
  test('settings carry a revision, and a stale write is refused', async () => {
    const kitchen = kitchenStore(db);
    const { value } = await kitchen.readSettings();
    expect(await kitchen.saveSettings(0, { ...value, roomC: 18 })).toBe(true);
    expect(await kitchen.saveSettings(0, { ...value, roomC: 25 })).toBe(false);
    expect((await kitchen.read()).roomC).toBe(18);
  });
  test('a thing on the rack is checked, kept, taken away and put back', async () => {
    const kitchen = kitchenStore(db);
    const bad = await kitchen.put('vessels', {
      id: 'v',
      name: 'Thimble',
      shape: 'round',
      material: 'steel',
      diameterM: 0.001,
      heightM: 0.05,
    });
    expect(bad.ok).toBe(false);
    expect(
      await kitchen.put('vessels', {
        id: 'v',
        name: 'Tin',
        shape: 'round',
        material: 'steel',
        diameterM: 0.2,
        heightM: 0.05,
      }),
    ).toEqual({ ok: true, value: { id: 'v' } });
    expect((await kitchen.read()).vessels.map((v) => v.name)).toEqual(['Tin']);
    await kitchen.remove('vessels', 'v');
    expect((await kitchen.read()).vessels).toHaveLength(0);
    await kitchen.restore('vessels', 'v');
    expect((await kitchen.read()).vessels).toHaveLength(1);
  });
});
