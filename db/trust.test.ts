import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { QueryTypes, Sequelize } from 'sequelize';
import { forecast } from '@/core/forecast';
import { emptyKitchen, MOST_FORGOTTEN } from '@/core/kitchen';
import { snapshotOf, type BatchEvent } from '@/core/work/notebook';
import { lookForDamage } from './damage';
import { MIGRATIONS } from './migrate';
import { savouryCoconutSlabPlan } from './testing/plans';
import { onSmallDisk } from './testing/smallDisk';
import { testDatabase, type TestDatabase } from './testing/file';
import {
  batchStore,
  clockOf,
  DatabaseTrouble,
  kitchenStore,
  openDatabase,
  photoStore,
  planStore,
  sumOf,
  trashStore,
  watchForDamage,
  type Database,
} from '.';

let made: TestDatabase;
let db: Database;
beforeEach(async () => {
  made = await testDatabase();
  db = made.db;
});
afterEach(() => made.end());
const raw = (sql: string, replacements: unknown[] = []) =>
  db.write((transaction) => db.sequelize.query(sql, { replacements, transaction }));
const pause = (ms: number) => new Promise((then) => setTimeout(then, ms));
const DAY = 86_400_000;

const snapshot = (() => {
  const f = forecast(savouryCoconutSlabPlan(), emptyKitchen());
  if (!f.ok) throw new Error(f.problems[0].sentence);
  return snapshotOf(f.value);
})();
const begin = (more: object = {}) =>
  batchStore(db).create({ planId: null, planRevision: 1, name: 'Slab', snapshot, ...more });

describe('a copy of the file', () => {
  test('taken two seconds after five hundred writes, while it runs, it has everything', async () => {
    const plans = planStore(db);
    const { id } = await plans.create(savouryCoconutSlabPlan());
    for (let r = 1; r <= 500; r++)
      await plans.save(id, r, { ...savouryCoconutSlabPlan(), guests: 1 + (r % 400), notes: `${r}` });
    await pause(2000);
    const copy = join(mkdtempSync(join(tmpdir(), 'idle-ladle-copy-')), 'copy.sqlite');
    copyFileSync(made.file, copy);
    const other = await openDatabase(copy);
    const there = await planStore(other).get(id);
    expect(there).toMatchObject({ ok: true, value: { revision: 501, plan: { notes: '500' } } });
    await other.close();
    rmSync(copy, { force: true });
  });
  test('a reader in the middle of something does not keep the log from being folded for ever', async () => {
    const reader = new Sequelize({ dialect: 'sqlite', storage: made.file, logging: false });
    await reader.query('BEGIN');
    await reader.query('SELECT count(*) FROM plans');
    const { id } = await planStore(db).create(savouryCoconutSlabPlan());
    await pause(1700);
    await reader.query('COMMIT');
    await reader.close();
    await pause(1800);
    const copy = `${made.file}.copy`;
    copyFileSync(made.file, copy);
    const other = await openDatabase(copy);
    expect((await planStore(other).get(id)).ok).toBe(true);
    await other.close();
  });
});

describe('the start', () => {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-start-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const trouble = (file: string) =>
    openDatabase(file, { patienceMs: 100 }).then(
      async (d) => {
        await d.close();
        return undefined;
      },
      (e: unknown) => (e instanceof DatabaseTrouble ? { code: e.code, sentence: e.message } : e),
    );

  test('a folder is told, and nothing is made in it', async () => {
    const place = join(folder, 'a-folder');
    mkdirSync(place);
    expect(await trouble(place)).toMatchObject({ code: 'no-place', sentence: expect.stringMatching(/is a folder/) });
  });
  test('another program’s database is left as it is, whether it bears a mark or not', async () => {
    for (const sql of [
      'CREATE TABLE songs (title TEXT)',
      'CREATE TABLE ingredients_of_x (a TEXT); PRAGMA application_id = 77',
    ]) {
      const file = join(folder, `other-${sql.length}.sqlite`);
      const s = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
      for (const part of sql.split(';')) await s.query(part);
      await s.close();
      const before = readFileSync(file);
      expect(await trouble(file)).toMatchObject({
        code: 'foreign',
        sentence: expect.stringMatching(/another program/),
      });
      expect(readFileSync(file).equals(before)).toBe(true);
      expect(existsSync(`${file}-wal`)).toBe(false);
    }
  });
  test('a new kitchen says that it is one, a known one does not; nobody else on the machine may read it', async () => {
    const file = join(folder, 'new', 'kitchen.sqlite');
    const first = await openDatabase(file);
    expect(first.isNew).toBe(true);
    await first.close();
    expect(statSync(file).mode & 0o077).toBe(0);
    const second = await openDatabase(file);
    expect(second.isNew).toBe(false);
    await second.close();
    writeFileSync(join(folder, 'empty.sqlite'), '');
    const third = await openDatabase(join(folder, 'empty.sqlite'));
    expect(third.isNew).toBe(true);
    await third.close();
  });
  test('a full disk is told', async () => {
    const place = join(folder, 'full');
    await onSmallDisk(place, 40_000, async () => {
      expect(await trouble(join(place, 'kitchen.sqlite'))).toMatchObject({
        code: 'no-room',
        sentence: expect.stringMatching(/disk is full or failing/),
      });
    });
  });
  test('a full disk refuses a write, and once there is room the next goes on', async () => {
    const place = join(folder, 'filling');
    await onSmallDisk(place, 1_500_000, async () => {
      const file = join(place, 'kitchen.sqlite');
      const small = await openDatabase(file);
      const plans = planStore(small);
      const filler = join(place, 'filler');
      writeFileSync(filler, Buffer.alloc(900_000));
      const write = (n: number) =>
        plans.create({ ...savouryCoconutSlabPlan(), notes: 'x'.repeat(3000) }, '', `plan-number-${n}`);
      let n = 0;
      await expect(
        (async () => {
          for (; n < 500; n++) await write(n);
        })(),
      ).rejects.toBeTruthy();
      rmSync(filler);
      await write(n);
      expect((await plans.page({ limit: 1 })).total).toBe(n + 1);
      await small.close();
    });
  });
  test('a file that another program holds is waited for once, not five times', async () => {
    const patient = await openDatabase(made.file, { patienceMs: 300 });
    const other = new Sequelize({ dialect: 'sqlite', storage: made.file, logging: false });
    await other.query('BEGIN EXCLUSIVE');
    const tries = performance.now();
    await expect(planStore(patient).create(savouryCoconutSlabPlan())).rejects.toMatchObject({
      parent: { code: 'SQLITE_BUSY' },
    });
    // Five waits of Sequelize's own would be 1.5 s and more.
    expect(performance.now() - tries).toBeLessThan(1400);
    await other.query('ROLLBACK');
    await other.close();
    await patient.close();
  });
});

describe('damage', () => {
  /** Flips one bit in the middle of what a row keeps, past every hook. */
  const flip = async (table: string, column: string) => {
    if (table === 'batch_events') await raw('DROP TRIGGER batch_events_no_update');
    const [row] = await db.sequelize.query<{ row: number; kept: string | Buffer }>(
      `SELECT rowid AS row, "${column}" AS kept FROM "${table}" LIMIT 1`,
      { type: QueryTypes.SELECT },
    );
    const bytes = Buffer.from(row.kept);
    bytes[bytes.length >> 1] ^= 1;
    await raw(`UPDATE "${table}" SET "${column}" = ? WHERE rowid = ?`, [
      typeof row.kept === 'string' ? bytes.toString('latin1') : bytes,
      row.row,
    ]);
  };

  test('one flipped bit of any document is found, by turns and when it is read; the rest goes on', async () => {
    const plans = planStore(db);
    const { id } = await plans.create(savouryCoconutSlabPlan());
    const other = await plans.create(savouryCoconutSlabPlan());
    const kitchen = kitchenStore(db);
    await kitchen.saveSettings(0, (await kitchen.readSettings()).value);
    await kitchen.put('scoops', 0, { id: 'ladle', name: 'Ladle', ml: 60 });
    const batch = await begin();
    const batches = batchStore(db);
    const photo = await batches.appendPhoto(batch.id, Buffer.from('a picture of a slab'), 'photo-key-1');
    await batches.append(batch.id, { kind: 'noted', note: 'fine' }, 'note-key-1');
    const tables = {
      plans: 'document',
      plan_versions: 'document',
      settings: 'document',
      scoops: 'document',
      batches: 'snapshot',
      batch_events: 'event',
      batch_photos: 'jpeg',
    };
    const all = async () => {
      const found = [];
      for (let table = 0; table < 14; table++) found.push(...(await lookForDamage(db, { table, after: 0 }, 50)).found);
      return found.map((d) => d.table);
    };
    expect(await all()).toEqual([]);
    for (const [table, column] of Object.entries(tables)) await flip(table, column);
    expect((await all()).sort()).toEqual(Object.keys(tables).sort());
    const broken = (await plans.get(id)).ok ? other.id : id;
    expect(await plans.get(broken)).toMatchObject({ ok: false, problems: [{ code: 'damaged' }] });
    expect(await plans.unreadable(broken)).toMatchObject({ id: broken });
    expect((await plans.get(broken === id ? other.id : id)).ok).toBe(true);
    expect((await kitchen.state()).unreadable.map((u) => u.kind).sort()).toEqual(['scoops', 'settings']);
    expect(await batches.get(batch.id)).toMatchObject({ ok: false, problems: [{ code: 'damaged' }] });
    const kept = photo.ok ? photo.value.events[0] : undefined;
    expect(kept?.kind === 'photographed' && (await photoStore(db).get(kept.photo))).toBeUndefined();
    const told: string[] = [];
    const watch = watchForDamage(db, (s) => told.push(s), 3_600_000);
    for (let i = 0; i < 14; i++) await watch.look();
    for (let i = 0; i < 14; i++) await watch.look();
    watch.end();
    expect(told).toHaveLength(7);
    expect(watch.found()).toHaveLength(7);
  });
  test('a damaged row that is worked out from another is worked out again, and stops nothing', async () => {
    const batches = batchStore(db);
    const ids = [];
    for (let i = 0; i < 3; i++) {
      const b = await begin();
      await batches.append(b.id, { kind: 'checked', state: 'clean', afterS: 1500 }, `check-${i}`);
      await batches.append(b.id, { kind: 'finished' }, `finish-${i}`);
      ids.push(b.id);
    }
    await raw(`UPDATE batches SET seen = '{"checks":[' WHERE id = ?`, [ids[0]]);
    await raw(`UPDATE batches SET facts = 'xx' WHERE id = ?`, [ids[1]]);
    expect((await batches.finished()).map((b) => b.id).sort()).toEqual([...ids].sort());
    expect((await batches.finished()).every((b) => b.seen.checks.length === 1)).toBe(true);
    expect((await batches.page({ limit: 9 })).rows).toHaveLength(3);
    expect((await batches.blends('savoury-coconut-slab', 9)).length).toBe(3);
  });
  test('a clock that cannot be read is the machine’s own', async () => {
    const clock = await clockOf(db);
    await clock.run(60);
    await raw("UPDATE settings SET document = '{' WHERE id = 'clock'");
    expect((await clockOf(db)).speed()).toBe(1);
  });
});

describe('the trash', () => {
  test('a plan, a batch and a photo are brought back as they were, and are gone for good after thirty days', async () => {
    const [plans, batches, photos, trash] = [planStore(db), batchStore(db), photoStore(db), trashStore(db)];
    const plan = await plans.create(savouryCoconutSlabPlan());
    const batch = await begin({ planId: plan.id });
    const kept = await begin();
    const add = async (event: BatchEvent, key: string, to = batch.id) => {
      const done = await batches.append(to, event, key);
      if (!done.ok) throw new Error(done.problems[0].sentence);
    };
    await add({ kind: 'noted', note: 'before' }, 'note-key-1');
    const photo = await batches.appendPhoto(kept.id, Buffer.from('a face'), 'photo-key-1');
    const picture = photo.ok && photo.value.events[0].kind === 'photographed' ? photo.value.events[0].photo : '';
    await plans.remove(plan.id);
    await trash.removeBatch(batch.id);
    await add({ kind: 'taken-back', of: 'photo-key-1' }, 'back-key-1', kept.id);
    expect((await trash.list()).map((t) => t.kind).sort()).toEqual(['batch', 'photo', 'plan']);
    expect(await photos.get(picture)).toBeUndefined();
    expect((await batches.page({ limit: 9 })).rows.map((b) => b.id)).toEqual([kept.id]);
    expect((await batches.running(9)).map((b) => b.id)).toEqual([kept.id]);
    expect(await batches.append(batch.id, { kind: 'noted', note: 'x' }, 'note-key-2')).toMatchObject({
      problems: [{ code: 'no-such-batch' }],
    });
    // Nothing goes before its days are over, and no event of what is not in the trash ever.
    expect(await trash.empty(Date.now() + 29 * DAY)).toBe(0);
    await expect(raw('DELETE FROM batch_events')).rejects.toThrow();
    expect((await trash.bringBack('plan', plan.id)).ok && (await trash.bringBack('batch', batch.id)).ok).toBe(true);
    await add({ kind: 'taken-back', of: 'back-key-1' }, 'back-key-2', kept.id);
    expect((await plans.get(plan.id)).ok).toBe(true);
    expect(await batches.get(batch.id)).toMatchObject({ ok: true, value: { events: [{ kind: 'noted' }] } });
    expect(await photos.get(picture)).toEqual(Buffer.from('a face'));
    expect(await trash.list()).toEqual([]);

    await plans.remove(plan.id);
    await trash.removeBatch(batch.id);
    await add({ kind: 'taken-back', of: 'photo-key-1' }, 'back-key-3', kept.id);
    expect(await trash.empty(Date.now() + 31 * DAY)).toBe(3);
    const count = async (sql: string) =>
      Object.values((await db.sequelize.query<object>(sql, { type: QueryTypes.SELECT }))[0])[0];
    expect(await count('SELECT count(*) FROM plans')).toBe(0);
    expect(await count('SELECT count(*) FROM plan_versions')).toBe(0);
    expect(await count('SELECT count(*) FROM batch_photos')).toBe(0);
    expect(await count('SELECT count(*) FROM batches')).toBe(1);
    expect(await count(`SELECT count(*) FROM batch_events WHERE batch_id <> '${kept.id}'`)).toBe(0);
    await expect(raw('DELETE FROM batch_events')).rejects.toThrow();
    expect(await trash.bringBack('batch', batch.id)).toMatchObject({ problems: [{ code: 'no-such-thing' }] });
  });
  test('a photo that must go now goes now', async () => {
    const [batches, trash] = [batchStore(db), trashStore(db)];
    const batch = await begin();
    const photo = await batches.appendPhoto(batch.id, Buffer.from('a face'), 'photo-key-1');
    const id = photo.ok && photo.value.events[0].kind === 'photographed' ? photo.value.events[0].photo : '';
    expect(await trash.eraseNow('photo', id)).toMatchObject({ problems: [{ code: 'no-such-thing' }] });
    await batches.append(batch.id, { kind: 'taken-back', of: 'photo-key-1' }, 'back-key-1');
    expect((await trash.eraseNow('photo', id)).ok).toBe(true);
    expect(await trash.list()).toEqual([]);
  });
});

describe('what is sent twice', () => {
  test('a plan, a batch and a photo sent again under their key are there once', async () => {
    const plans = planStore(db);
    const [a, b] = [
      await plans.create(savouryCoconutSlabPlan(), '', 'plan-key-1'),
      await plans.create(savouryCoconutSlabPlan(), '', 'plan-key-1'),
    ];
    expect([a.id, (await plans.page({ limit: 5 })).total]).toEqual([b.id, 1]);
    const [c, d] = await Promise.all([begin({ key: 'batch-key-1' }), begin({ key: 'batch-key-1' })]);
    const batches = batchStore(db);
    expect([c.id, (await batches.page({ limit: 5 })).total]).toEqual([d.id, 1]);
    await batches.append(c.id, { kind: 'noted', note: 'x' }, 'note-key-1');
    expect(await begin({ key: 'batch-key-1' })).toMatchObject({ events: [{ kind: 'noted' }] });
    const [e, f] = await Promise.all(
      [1, 2].map(() => batches.appendPhoto(c.id, Buffer.from('picture'), 'photo-key-1')),
    );
    expect([e.ok, f.ok, await db.models.batchPhotos.count()]).toEqual([true, true, 1]);
    // The one that is refused for being too many is not refused when it is sent again.
    for (let i = 2; i <= 12; i++) await batches.appendPhoto(c.id, Buffer.from(`${i}`), `photo-key-${i}`);
    expect(await batches.appendPhoto(c.id, Buffer.from('13'), 'photo-key-13')).toMatchObject({
      problems: [{ code: 'too-many-photos' }],
    });
    expect((await batches.appendPhoto(c.id, Buffer.from('12'), 'photo-key-12')).ok).toBe(true);
    await batches.append(c.id, { kind: 'taken-back', of: 'photo-key-3' }, 'back-key-1');
    expect((await batches.appendPhoto(c.id, Buffer.from('13'), 'photo-key-14')).ok).toBe(true);
  });
  test('a photo that the batch does not have is not told of', async () => {
    const batch = await begin();
    expect(
      await batchStore(db).append(batch.id, { kind: 'photographed', photo: 'any-string' }, 'photo-key-9'),
    ).toMatchObject({ problems: [{ code: 'no-such-photo' }] });
  });
});

test('under a clock that is set back nothing stands before the beginning, nor before what was heard already', async () => {
  const batches = batchStore(db);
  const start = Date.parse('2026-03-01T10:00:00.000Z');
  const batch = await begin({ startedAt: new Date(start).toISOString() });
  await batches.append(batch.id, { kind: 'begun', stepId: 'steam:cake' }, 'begun-1', 0, start + 60_000);
  await batches.append(batch.id, { kind: 'noted', note: 'two days back' }, 'noted-1', 0, start - 2 * DAY);
  const done = await batches.append(batch.id, { kind: 'noted', note: 'a day back' }, 'noted-2', 0, start - DAY);
  const events = done.ok ? done.value.events : [];
  expect(events.map((e) => e.key)).toEqual(['begun-1', 'noted-1', 'noted-2']);
  expect(events.every((e) => Date.parse(e.at) >= start + 60_000)).toBe(true);
});

test('a duplicated window’s change is no change of one’s own: it is told, and both are kept', async () => {
  const plans = planStore(db);
  const { id, plan } = await plans.create(savouryCoconutSlabPlan());
  // Both sent something that never arrived, under the name that they share.
  const shared = ['sent-1'];
  expect(await plans.save(id, 1, { ...plan, guests: 20 }, 'b-1', shared)).toHaveProperty('saved');
  expect(await plans.save(id, 1, { ...plan, guests: 30 }, 'a-1', shared)).toHaveProperty('stale');
});

test('settings that could not be read again are not written', async () => {
  const kitchen = kitchenStore(db);
  const { value } = await kitchen.readSettings();
  const batches = Array.from({ length: MOST_FORGOTTEN + 1 }, (_, i) => `b-${i}`);
  await expect(kitchen.saveSettings(0, { ...value, forgotten: { batches } })).rejects.toThrow();
  expect(await kitchen.saveSettings(0, { ...value, altitudeM: 1200, forgotten: { batches: batches.slice(1) } })).toBe(
    true,
  );
  expect(await kitchen.readSettings()).toMatchObject({ revision: 1, value: { altitudeM: 1200 } });
});

test('a file of the release before has its checksums made, keeps all that is in it, and its events stay as they were written', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'idle-ladle-before-')), 'before.sqlite');
  const old = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
  await old.query('CREATE TABLE "SequelizeMeta" (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)');
  for (const m of MIGRATIONS.filter((x) => x.name !== '007-trust')) {
    await m.up(old.getQueryInterface());
    await old.query('INSERT INTO "SequelizeMeta" (name) VALUES (?)', { replacements: [m.name] });
  }
  const at = '2026-01-01T00:00:00.000Z';
  const document = JSON.stringify(savouryCoconutSlabPlan());
  await old.query(
    `INSERT INTO plans (id, document, revision, created_at, updated_at, name, family) VALUES ('p', ?, 1, '${at}', '${at}', 'P', 'savoury-coconut-slab')`,
    { replacements: [document] },
  );
  await old.query(
    `INSERT INTO batches (id, plan_id, plan_revision, name, snapshot, started_at, created_at, updated_at) VALUES ('b', 'p', 1, 'B', ?, '${at}', '${at}', '${at}')`,
    { replacements: [JSON.stringify(snapshot)] },
  );
  for (let i = 0; i < 700; i++)
    await old.query(
      `INSERT INTO batch_events (batch_id, at, event, key) VALUES ('b', '${at}', '{"kind":"noted","note":"n${i}"}', 'k-${i}')`,
    );
  await old.close();
  const opened = await openDatabase(file);
  const rows = await opened.sequelize.query<{ event: string; sum: number }>('SELECT event, sum FROM batch_events', {
    type: QueryTypes.SELECT,
  });
  expect(rows).toHaveLength(700);
  expect(rows.every((r) => r.sum === sumOf(r.event))).toBe(true);
  expect((await planStore(opened).get('p')).ok).toBe(true);
  expect(await batchStore(opened).get('b')).toMatchObject({ ok: true, value: { events: { length: 700 } } });
  for (const sql of ['UPDATE batch_events SET at = 1', 'DELETE FROM batch_events'])
    await expect(opened.write((transaction) => opened.sequelize.query(sql, { transaction }))).rejects.toThrow();
  await opened.close();
});
