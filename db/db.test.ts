import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { QueryTypes, Sequelize } from 'sequelize';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { snapshotOf, standing } from '@/core/work/notebook';
import { bundle } from '@/scripts/bundle.mjs';
import * as first from './migrations/001-first';
import { savouryCoconutSlabPlan } from './testing/plans';
import { testDatabase, type TestDatabase } from './testing/file';
import { batchStore, DatabaseTrouble, kitchenStore, openDatabase, planStore, type Database } from '.';

let made: TestDatabase;
let db: Database;
beforeEach(async () => {
  made = await testDatabase();
  db = made.db;
});
afterEach(() => made.end());

const raw = (sql: string, replacements: unknown[] = []) =>
  db.write((transaction) => db.sequelize.query(sql, { replacements, transaction }));

describe('plans', () => {
  test('a stale write is refused, and both versions are kept', async () => {
    const plans = planStore(db);
    const made = await plans.create(savouryCoconutSlabPlan());
    const mine = { ...made.plan, name: 'Mine' };
    const theirs = { ...made.plan, name: 'Theirs' };
    expect(await plans.save(made.id, 1, theirs, 'window-a')).toMatchObject({ saved: { revision: 2 } });
    const refused = await plans.save(made.id, 1, mine, 'window-b');
    expect(refused).toMatchObject({ stale: { current: { revision: 2, plan: { name: 'Theirs' } } } });
    const versions = await plans.versions(made.id);
    expect(versions.map((v) => [v.revision, v.refused])).toEqual([
      [2, true],
      [2, false],
      [1, false],
    ]);
  });
  test('the same content is saved, whatever revision it was made on, and makes no version', async () => {
    const plans = planStore(db);
    const made = await plans.create(savouryCoconutSlabPlan());
    await plans.save(made.id, 1, { ...made.plan, guests: 20 }, 'window-a');
    expect(await plans.save(made.id, 1, { ...made.plan, guests: 20 }, 'window-b')).toMatchObject({
      saved: { revision: 2 },
    });
    expect(await plans.versions(made.id)).toHaveLength(2);
  });
  test('a lost answer is no conflict with oneself, but it is one as soon as another has written', async () => {
    const plans = planStore(db);
    const made = await plans.create(savouryCoconutSlabPlan());
    // Saved, and the answer lost: the window goes on over revision 1.
    await plans.save(made.id, 1, { ...made.plan, guests: 20 }, 'a-1');
    expect(await plans.save(made.id, 1, { ...made.plan, guests: 21 }, 'a-2', ['a-1'])).toMatchObject({
      saved: { revision: 3, plan: { guests: 21 } },
    });
    await plans.save(made.id, 3, { ...made.plan, guests: 30 }, 'b-1');
    expect(await plans.save(made.id, 3, { ...made.plan, guests: 22 }, 'a-3', ['a-1', 'a-2'])).toMatchObject({
      stale: { current: { revision: 4, plan: { guests: 30 } } },
    });
  });
  test('a deleted plan is gone from the list and comes back whole', async () => {
    const plans = planStore(db);
    const made = await plans.create(savouryCoconutSlabPlan());
    expect(await plans.remove(made.id)).toBe(true);
    expect(await plans.page({ limit: 9 })).toEqual({ rows: [], next: undefined, total: 0 });
    expect((await plans.get(made.id)).ok).toBe(false);
    expect(await plans.restore(made.id)).toMatchObject({ ok: true, value: { plan: { name: made.plan.name } } });
  });
  test('pages hold every plan once, the last changed first, also where times are alike; a word finds them', async () => {
    const plans = planStore(db);
    for (let i = 0; i < 11; i++) await plans.create({ ...savouryCoconutSlabPlan(), name: `Plan ${i} 10%_` });
    await raw("UPDATE plans SET updated_at = '2026-01-01T00:00:00.000Z' WHERE name < 'Plan 5'");
    const seen: string[] = [];
    let after: Parameters<typeof plans.page>[0]['after'];
    do {
      const page = await plans.page({ limit: 4, after });
      expect(page.total).toBe(11);
      seen.push(...page.rows.map((r) => r.name));
      after = page.next;
    } while (after);
    expect(new Set(seen).size).toBe(11);
    expect(seen).toHaveLength(11);
    // By name and by kind of cake, a page at a time, each once.
    for (const sort of ['name', 'family'] as const) {
      const names: string[] = [];
      let place: Parameters<typeof plans.page>[0]['after'];
      do {
        const page = await plans.page({ limit: 4, sort, after: place });
        names.push(...page.rows.map((r) => r.name));
        place = page.next;
      } while (place);
      expect(new Set(names).size).toBe(11);
      expect(names).toHaveLength(11);
      if (sort === 'name')
        expect(names.map((x) => x.toLowerCase())).toEqual(names.map((x) => x.toLowerCase()).toSorted());
    }
    expect((await plans.page({ limit: 9, word: 'plan 7' })).rows.map((r) => r.name)).toEqual(['Plan 7 10%_']);
    expect((await plans.page({ limit: 20, word: '0%_' })).total).toBe(11);
    expect((await plans.page({ limit: 20, word: '%x%' })).total).toBe(0);
  });
  test('a plan whose text is broken is listed, shown as it is, and breaks no page', async () => {
    const plans = planStore(db);
    const good = await plans.create(savouryCoconutSlabPlan());
    const broken = await plans.create(savouryCoconutSlabPlan());
    await raw('UPDATE plans SET document = ? WHERE id = ?', ['{"format":"idle-la', broken.id]);
    expect((await plans.page({ limit: 9 })).rows.map((r) => r.id).sort()).toEqual([good.id, broken.id].sort());
    expect(await plans.unreadable(broken.id)).toMatchObject({ raw: '{"format":"idle-la', revision: 1 });
    expect(await plans.unreadable(good.id)).toBeUndefined();
    const some = await plans.some([good.id, broken.id]);
    expect([some.get(good.id)?.ok, some.get(broken.id)?.ok]).toEqual([true, false]);
    // An earlier version brings it back.
    const [version] = await plans.versions(broken.id);
    expect(await plans.putBack(broken.id, version.version, 1)).toMatchObject({
      ok: true,
      value: { saved: { revision: 2 } },
    });
    expect((await plans.get(broken.id)).ok).toBe(true);
  });
  test('an earlier version is made the newest, over the revision that was seen', async () => {
    const plans = planStore(db);
    const made = await plans.create(savouryCoconutSlabPlan());
    await plans.save(made.id, 1, { ...made.plan, guests: 40 });
    const [, first] = await plans.versions(made.id);
    expect(await plans.putBack(made.id, first.version, 1)).toMatchObject({ value: { stale: {} } });
    expect(await plans.putBack(made.id, first.version, 2)).toMatchObject({
      value: { saved: { revision: 3, plan: { guests: made.plan.guests } } },
    });
    expect(await plans.putBack(made.id, 99_999, 3)).toMatchObject({
      ok: false,
      problems: [{ code: 'no-such-version' }],
    });
  });
  test('old versions are thinned as it is written on, but none that a batch was made from', async () => {
    const plans = planStore(db);
    const { batches, batch, planId } = await begin();
    expect(batch.planRevision).toBe(1);
    await plans.save(planId, 1, { ...batch.snapshot.plan, guests: 2 });
    await raw("UPDATE plan_versions SET created_at = '2025-03-03T10:00:00.000Z'");
    for (let r = 2; r < 25; r++) await plans.save(planId, r, { ...batch.snapshot.plan, guests: r + 1 });
    const left = (await plans.versions(planId)).map((v) => v.revision);
    expect(left).toContain(1);
    expect(left).toContain(25);
    expect((await batches.get(batch.id)).ok).toBe(true);
  });
});

const begin = async () => {
  const stored = await planStore(db).create(savouryCoconutSlabPlan());
  const made = forecast(stored.plan, emptyKitchen());
  if (!made.ok) throw new Error(made.problems[0].sentence);
  const batches = batchStore(db);
  const batch = await batches.create({
    planId: stored.id,
    planRevision: 1,
    name: stored.plan.name,
    snapshot: snapshotOf(made.value),
    startedAt: '2026-01-02T00:00:00.000Z',
  });
  return { batches, batch, planId: stored.id };
};

describe('batches', () => {
  test('events are append-only: the database itself refuses a change or a removal', async () => {
    const { batches, batch } = await begin();
    await batches.append(batch.id, { kind: 'noted', note: 'Smells good' }, 'key-one-1');
    for (const sql of ["UPDATE batch_events SET at = 'x'", 'DELETE FROM batch_events'])
      await expect(raw(sql)).rejects.toMatchObject({ parent: { message: expect.stringMatching(/append-only/) } });
  });
  test('an event sent twice is written once; under a key of another batch it is refused', async () => {
    const { batches, batch } = await begin();
    await batches.append(batch.id, { kind: 'pulled' }, 'same-key-1');
    const twice = await batches.append(batch.id, { kind: 'pulled' }, 'same-key-1');
    expect(twice.ok && twice.value.events).toHaveLength(1);
    const other = await begin();
    expect(await batches.append(other.batch.id, { kind: 'pulled' }, 'same-key-1')).toMatchObject({
      ok: false,
      problems: [{ code: 'key-twice' }],
    });
  });
  test('what is there already is answered as it is, whatever would be asked of it today', async () => {
    const { batches, batch } = await begin();
    // As an older release took it: a check without a beginning.
    await db.write((transaction) =>
      db.models.batchEvents.create(
        {
          batchId: batch.id,
          at: '2026-01-01T00:00:00.000Z',
          event: JSON.stringify({ kind: 'checked', state: 'clean', afterS: 0 }),
          key: 'old-check-1',
        },
        { transaction },
      ),
    );
    const again = await batches.append(batch.id, { kind: 'checked', state: 'clean', afterS: 0 }, 'old-check-1');
    expect(again).toMatchObject({ ok: true });
    const fresh = await batches.append(batch.id, { kind: 'checked', state: 'clean', afterS: 0 }, 'new-check-1');
    expect(fresh).toMatchObject({ ok: false, problems: [{ code: 'no-beginning' }] });
  });
  test('an event without its batch is refused by the foreign key', async () => {
    await expect(
      db.write((transaction) =>
        db.models.batchEvents.create({ batchId: 'none', at: 'now', event: '{}', key: 'k' }, { transaction }),
      ),
    ).rejects.toThrow();
  });
  test('finishing sets the time once; taken back, the batch is at the stove again', async () => {
    const { batches, batch } = await begin();
    const at = Date.parse('2026-01-02T03:04:05.000Z');
    const done = await batches.append(batch.id, { kind: 'finished' }, 'finish-1', 0, at);
    const again = await batches.append(batch.id, { kind: 'finished' }, 'finish-2', 0, at + 86_400_000);
    expect(done.ok && done.value.finishedAt).toBe('2026-01-02T03:04:05.000Z');
    expect(again.ok && again.value.finishedAt).toBe('2026-01-02T03:04:05.000Z');
    await batches.append(batch.id, { kind: 'taken-back', of: 'finish-1' }, 'back-1', 0, at + 86_400_001);
    const both = await batches.append(batch.id, { kind: 'taken-back', of: 'finish-2' }, 'back-2', 0, at + 86_400_002);
    expect(both.ok && both.value.finishedAt).toBeNull();
    expect(await batches.append(batch.id, { kind: 'taken-back', of: 'nothing-1' }, 'back-3')).toMatchObject({
      ok: false,
      problems: [{ code: 'no-such-event' }],
    });
  });
  test('an event bears the time at which it happened, and stands in that order', async () => {
    const { batches, batch } = await begin();
    const now = Date.parse('2026-02-02T12:00:00.000Z');
    await batches.append(batch.id, { kind: 'noted', note: 'second' }, 'ago-two-2', 60_000, now);
    const both = await batches.append(batch.id, { kind: 'noted', note: 'first' }, 'ago-one-1', 3_600_000, now);
    expect(both.ok && both.value.events.map((e) => [e.kind === 'noted' && e.note, e.at])).toEqual([
      ['first', '2026-02-02T11:00:00.000Z'],
      ['second', '2026-02-02T11:59:00.000Z'],
    ]);
  });
  test('what a list shows follows the events: taken back, a check and a tasting count no more', async () => {
    const { batches, batch } = await begin();
    const now = Date.parse('2026-02-02T12:00:00.000Z');
    const add = (event: Parameters<typeof batches.append>[1], key: string, s: number) =>
      batches.append(batch.id, event, key, 0, now + s * 1000);
    await add({ kind: 'checked', state: 'clean', afterS: 900 }, 'check-one', 1);
    await add({ kind: 'tasted', overall: 2, axes: {}, note: 'Too SOFT' }, 'taste-one', 2);
    const card = async () => (await batches.page({ limit: 5 })).rows[0];
    expect(await card()).toMatchObject({
      cleanAtS: 900,
      overall: 2,
      note: 'Too SOFT',
      finished: false,
      readable: true,
    });
    expect((await batches.page({ limit: 5, word: 'soft' })).total).toBe(1);
    await add({ kind: 'taken-back', of: 'taste-one' }, 'back-taste', 3);
    const last = await add({ kind: 'taken-back', of: 'check-one' }, 'back-check', 4);
    expect(await card()).toMatchObject({ cleanAtS: null, overall: null, note: '' });
    expect(last.ok && standing(last.value.events)).toEqual([]);
    await add({ kind: 'taken-back', of: 'back-taste' }, 'back-back', 5);
    expect(await card()).toMatchObject({ cleanAtS: null, overall: 2 });
  });
  test('a batch or an event that cannot be read is shown as it is and hides nothing else', async () => {
    const { batches, batch } = await begin();
    await batches.append(batch.id, { kind: 'pulled' }, 'pulled-one');
    await raw(
      "INSERT INTO batch_events (batch_id, at, event, key) VALUES (?, '2026-01-01', '{\"kind\":\"sung\"}', 'sung-one')",
      [batch.id],
    );
    const read = await batches.get(batch.id);
    expect(read.ok && [read.value.events.length, read.value.unreadableEvents]).toEqual([
      1,
      [{ id: 2, at: '2026-01-01', raw: '{"kind":"sung"}' }],
    ]);
    await raw('UPDATE batches SET snapshot = \'{"plan":{}}\', derived = 0 WHERE id = ?', [batch.id]);
    expect(await batches.deriveOld()).toBe(1);
    expect((await batches.page({ limit: 5 })).rows).toMatchObject([{ id: batch.id, readable: false }]);
    expect(await batches.unreadable(batch.id)).toMatchObject({ raw: '{"plan":{}}', name: batch.name });
    // What is told refused is not written down either: it stays with the device that sent it.
    expect((await batches.append(batch.id, { kind: 'noted', note: 'on' }, 'noted-on-1')).ok).toBe(false);
    expect(await db.models.batchEvents.count()).toBe(2);
  });
});

describe('the kitchen', () => {
  const tin = { id: 'v', name: 'Tin', shape: 'round', material: 'steel', diameterM: 0.2, heightM: 0.05 };
  test('settings carry a revision, and a stale write is refused', async () => {
    const kitchen = kitchenStore(db);
    const { value } = await kitchen.readSettings();
    expect(await kitchen.saveSettings(0, { ...value, roomC: 18 })).toBe(true);
    expect(await kitchen.saveSettings(0, { ...value, roomC: 25 })).toBe(false);
    expect((await kitchen.read()).roomC).toBe(18);
  });
  test('settings that cannot be read are shown, and written over only where the cook says so', async () => {
    const kitchen = kitchenStore(db);
    const { value } = await kitchen.readSettings();
    await kitchen.saveSettings(0, value);
    await raw('UPDATE settings SET document = \'{"roomC":"warm"}\'');
    expect((await kitchen.state()).unreadable).toMatchObject([{ kind: 'settings', raw: '{"roomC":"warm"}' }]);
    expect(await kitchen.saveSettings(1, value)).toBe(false);
    expect(await kitchen.saveSettings(1, value, true)).toBe(true);
    expect((await kitchen.state()).unreadable).toEqual([]);
  });
  test('a thing on the rack is checked, kept over the revision that was seen, taken away and put back', async () => {
    const kitchen = kitchenStore(db);
    expect((await kitchen.put('vessels', 0, { ...tin, diameterM: 0.001 })).ok).toBe(false);
    expect(await kitchen.put('vessels', 0, tin)).toEqual({ ok: true, value: { put: { id: 'v', revision: 1 } } });
    // The same again is no conflict: its answer was lost.
    expect(await kitchen.put('vessels', 0, tin)).toMatchObject({ value: { put: { revision: 1 } } });
    expect(await kitchen.put('vessels', 1, { ...tin, name: 'Wide tin' })).toMatchObject({
      value: { put: { revision: 2 } },
    });
    expect(await kitchen.put('vessels', 1, { ...tin, name: 'Old tin' })).toMatchObject({
      value: { stale: { revision: 2, value: { name: 'Wide tin' } } },
    });
    expect((await kitchen.state()).revisions.vessels).toEqual({ v: 2 });
    expect(await kitchen.remove('vessels', 'v', 1)).toMatchObject({ value: { stale: { revision: 2 } } });
    expect(await kitchen.remove('vessels', 'v', 2)).toMatchObject({ value: { put: { revision: 3 } } });
    expect(await kitchen.remove('vessels', 'v', 3)).toMatchObject({ ok: false });
    expect((await kitchen.read()).vessels).toHaveLength(0);
    expect(await kitchen.put('vessels', 2, tin)).toMatchObject({ value: { stale: { revision: 3 } } });
    expect(await kitchen.put('vessels', 3, tin)).toMatchObject({ value: { put: { revision: 4 } } });
    expect((await kitchen.read()).vessels).toMatchObject([{ name: 'Tin' }]);
  });
  test('two that add the same thing at once: one does, the other is told, nobody fails', async () => {
    const kitchen = kitchenStore(db);
    const done = await Promise.all([1, 2, 3, 4].map((i) => kitchen.put('vessels', 0, { ...tin, name: `Tin ${i}` })));
    expect(done.filter((d) => d.ok && 'put' in d.value)).toHaveLength(1);
    expect(done.filter((d) => d.ok && 'stale' in d.value)).toHaveLength(3);
  });
  test('a thing that cannot be read is shown as it is, and the others are there', async () => {
    const kitchen = kitchenStore(db);
    await kitchen.put('vessels', 0, tin);
    await kitchen.put('vessels', 0, { ...tin, id: 'w' });
    await raw("UPDATE vessels SET document = 'no json' WHERE id = 'w'");
    const state = await kitchen.state();
    expect(state.kitchen.vessels.map((v) => v.id)).toEqual(['v']);
    expect(state.unreadable).toMatchObject([{ kind: 'vessels', id: 'w', revision: 1, raw: 'no json' }]);
    expect(await kitchen.remove('vessels', 'w', 1)).toMatchObject({ ok: true });
  });
});

describe('the file', () => {
  test('every commit is on the disk, foreign keys hold on both connections, and the reading one cannot write', async () => {
    const pragma = async (name: string, transaction?: Parameters<Parameters<typeof db.write>[0]>[0]) =>
      Object.values((await db.sequelize.query(`PRAGMA ${name}`, { type: QueryTypes.SELECT, transaction }))[0] ?? {})[0];
    expect(await db.write((t) => pragma('synchronous', t))).toBe(0);
    const kept = await testDatabase(true);
    const [row] = await kept.db.write((transaction) =>
      kept.db.sequelize.query<object>('PRAGMA synchronous', { type: QueryTypes.SELECT, transaction }),
    );
    expect(Object.values(row)).toEqual([2]);
    await kept.end();
    expect(await db.write((t) => pragma('busy_timeout', t))).toBe(10_000);
    expect(await db.write((t) => pragma('foreign_keys', t))).toBe(1);
    expect([await pragma('foreign_keys'), await pragma('busy_timeout'), await pragma('journal_mode')]).toEqual([
      1,
      10_000,
      'wal',
    ]);
    await expect(db.sequelize.query('DELETE FROM plans')).rejects.toThrow(/readonly/);
  });
  test('a write that fails leaves nothing, and the next goes on', async () => {
    const plans = planStore(db);
    await expect(
      db.write(async (transaction) => {
        await db.models.settings.create(
          { id: 'x', document: '{}', revision: 1, createdAt: '', updatedAt: '' },
          { transaction },
        );
        throw new Error('half way');
      }),
    ).rejects.toThrow('half way');
    expect(await db.models.settings.count()).toBe(0);
    await plans.create(savouryCoconutSlabPlan());
    expect((await plans.page({ limit: 1 })).total).toBe(1);
  });
  test('the stamp changes with every write and with nothing else', async () => {
    const before = await db.stamp();
    await planStore(db).page({ limit: 3 });
    expect(await db.stamp()).toBe(before);
    await planStore(db).create(savouryCoconutSlabPlan());
    expect(await db.stamp()).not.toBe(before);
  });
  test('twelve writers at once beside another program that writes too: none is turned away', async () => {
    const plans = planStore(db);
    const ids = (await Promise.all([...Array(12)].map(() => plans.create(savouryCoconutSlabPlan())))).map((p) => p.id);
    const other = await openDatabase(made.file);
    const kitchen = kitchenStore(other);
    const value = (await kitchen.readSettings()).value;
    await Promise.all([
      ...ids.map(async (id, w) => {
        for (let r = 1; r <= 8; r++)
          expect(await plans.save(id, r, { ...savouryCoconutSlabPlan(), guests: 100 + r }, `w${w}`)).toHaveProperty(
            'saved',
          );
      }),
      (async () => {
        for (let r = 0; r < 20; r++) expect(await kitchen.saveSettings(r, { ...value, altitudeM: r })).toBe(true);
      })(),
    ]);
    await other.close();
    for (const id of ids) expect(await plans.get(id)).toMatchObject({ value: { revision: 9, plan: { guests: 108 } } });
  });

  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-open-'));
  const place = (name: string) => join(folder, name);
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const trouble = (file: string, patienceMs?: number) =>
    openDatabase(file, { patienceMs }).then(
      () => undefined,
      (e: unknown) => (e instanceof DatabaseTrouble ? { code: e.code, sentence: e.message } : e),
    );
  const loose = async (file: string, work: (s: Sequelize) => Promise<unknown>) => {
    const s = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
    await work(s);
    await s.close();
  };

  test('a file that was cut off half way through an older first start opens', async () => {
    const file = place('half.sqlite');
    // As the first release left it: the tables and an index are there, the note that they are is not.
    await loose(file, async (s) => {
      await first.up(s.getQueryInterface());
      await s.query('DROP TRIGGER batch_events_no_delete');
    });
    const opened = await openDatabase(file);
    const triggers = await opened.sequelize.query("SELECT name FROM sqlite_master WHERE type = 'trigger'", {
      type: QueryTypes.SELECT,
    });
    expect(triggers).toHaveLength(2);
    await opened.close();
  });
  test('a file of a newer release, of another kind, and a damaged one are each told and left as they are', async () => {
    const newer = place('newer.sqlite');
    await (await openDatabase(newer)).close();
    await loose(newer, (s) => s.query("INSERT INTO SequelizeMeta (name) VALUES ('009-far')"));
    expect(await trouble(newer)).toMatchObject({
      code: 'newer',
      sentence: expect.stringMatching(/009-far.*update this one/),
    });
    const text = place('text.sqlite');
    writeFileSync(text, 'This is a letter and no database at all. '.repeat(50));
    expect(await trouble(text)).toMatchObject({ code: 'damaged' });
    const torn = place('torn.sqlite');
    await (await openDatabase(torn)).close();
    const { readFileSync } = await import('node:fs');
    const bytes = readFileSync(torn);
    bytes.fill(0x7a, 4096, Math.min(bytes.length, 40_000));
    writeFileSync(torn, bytes);
    expect(await trouble(torn)).toMatchObject({
      code: 'damaged',
      sentence: expect.stringMatching(/left as it is|left as it was/),
    });
  });
  test('a place that cannot be, and a file that another program holds, are told', async () => {
    writeFileSync(place('a-file'), '');
    expect(await trouble(join(place('a-file'), 'x.sqlite'))).toMatchObject({ code: 'no-place' });
    const held = place('held.sqlite');
    await (await openDatabase(held)).close();
    await loose(held, async (s) => {
      await s.query('PRAGMA journal_mode = DELETE');
      await s.query('BEGIN EXCLUSIVE');
      expect(await trouble(held, 100)).toMatchObject({
        code: 'locked',
        sentence: expect.stringMatching(/held by another/),
      });
      await s.query('ROLLBACK');
    });
  });
  test('a file that may not be written is told', async () => {
    const file = place('mine.sqlite');
    await (await openDatabase(file)).close();
    chmodSync(folder, 0o755);
    chmodSync(file, 0o444);
    const sentence = /cannot be written to; give this user the right/;
    if (process.getuid?.() !== 0) {
      expect(await trouble(file)).toMatchObject({ code: 'read-only', sentence: expect.stringMatching(sentence) });
      return;
    }
    // Root may write everything, so another user tries: where packages are found, in one file that takes no compiling.
    const rooms = mkdtempSync(resolve('node_modules/.cache-mine-'));
    try {
      chmodSync(rooms, 0o755);
      await bundle({ 'idle-ladle': 'scripts/idleLadle.ts' }, rooms);
      const tried = spawn(process.execPath, [join(rooms, 'idle-ladle.mjs'), 'migrate'], {
        uid: 65_534,
        env: { ...process.env, IDLE_LADLE_DB: file },
      });
      let said = '';
      tried.stderr.on('data', (x) => (said += String(x)));
      const [code] = (await once(tried, 'close')) as [number];
      expect(said).toMatch(sentence);
      expect(code).toBe(1);
    } finally {
      rmSync(rooms, { recursive: true, force: true });
    }
  });
});
