import { createHash, randomBytes } from 'node:crypto';
import { copyFileSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import fc from 'fast-check';
import { openDatabase } from '../connect';
import { batchStore } from '../batches';
import { kitchenStore } from '../kitchen';
import { planStore } from '../plans';
import { testDatabase, type TestDatabase } from '../testing/file';
import { onSmallDisk } from '../testing/smallDisk';
import { savouryCoconutSlabPlan } from '../testing/plans';
import { readArchive, writeArchive } from './archive';
import { openPlain } from './plain';
import {
  canTake,
  copyTroubleOf,
  endWork,
  lineKey,
  makeCopy,
  newWork,
  openCopy,
  previewOf,
  proveCopy,
  selectOn,
  takeIn,
  undoOpening,
  workFolder,
  type CopyLine,
  type Opened,
} from '.';
import { DOINGS, doOne, entered, type Doing } from './testing/kitchens';

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-copies-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const made: TestDatabase[] = [];
const kitchenIn = async (): Promise<TestDatabase> => {
  const one = await testDatabase();
  made.push(one);
  return one;
};
afterEach(async () => {
  for (const one of made.splice(0)) await one.end();
});

let count = 0;
/** A copy of one kitchen, opened beside another. */
async function copyBeside(of: TestDatabase, beside: TestDatabase): Promise<Opened> {
  const file = join(folder, `copy-${count++}.zip`);
  await makeCopy(of.file, file, { why: 'command' });
  return openCopy(file, 'copy.zip', beside.file);
}
const copy = {
  called: 'copy.zip',
  madeAt: '2026-12-01T03:00:00.000Z',
  kitchen: 'Gannet Quay galley',
  safety: 'safe.zip',
};
const lines = async (here: TestDatabase, opened: Opened) =>
  previewOf(here.file, opened, await kitchenStore(here.db).read());
const take = async (here: TestDatabase, opened: Opened, chosen: readonly CopyLine[]) =>
  takeIn(here.db, opened.database, { kitchen: await kitchenStore(here.db).read(), chosen, copy });

const doing: fc.Arbitrary<Doing> = fc.tuple(
  fc.constantFrom(...DOINGS),
  fc.integer({ min: 0, max: 3 }),
  fc.integer({ min: 0, max: 30 }),
);
/** What is in both kitchens before they go apart. */
const BASE: readonly Doing[] = [
  ['plan', 0, 0],
  ['plan', 1, 0],
  ['tin', 0, 1],
  ['settings', 0, 3],
  ['begin', 0, 0],
  ['note', 0, 99],
  ['begin', 1, 0],
  ['photo', 1, 99],
];
const EVERY_CASE = process.env.IDLE_LADLE_EVERY_CASE === '1';
const RUNS = EVERY_CASE ? 40 : 4;

test('restoring does what its preview says, and undoing it gives back the very same', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(doing, { maxLength: 4 }),
      fc.array(doing, { maxLength: 14 }),
      fc.array(doing, { minLength: 4, maxLength: 20 }),
      fc.infiniteStream(fc.boolean()),
      async (before, onHere, onThere, picks) => {
        const here = await kitchenIn();
        for (const d of [...BASE, ...before]) await doOne(here.db, d, 'both');
        const there = await kitchenIn();
        await there.db.close();
        await here.db.close();
        copyFileSync(here.file, there.file);
        const [a, b] = [
          await openDatabase(here.file, { durable: false }),
          await openDatabase(there.file, { durable: false }),
        ];
        for (const d of onHere) await doOne(a, d, 'here');
        for (const d of onThere) await doOne(b, d, 'there');
        const [mine, theirs] = [
          { ...here, db: a },
          { ...there, db: b },
        ];
        const was = await entered(a);
        const wanted = await entered(b);
        const opened = await copyBeside(theirs, mine);
        try {
          const preview = await lines(mine, opened);
          const chosen = preview.filter((l) => canTake(l) && picks.next().value);
          const { opening } = await take(mine, opened, chosen);
          const after = await lines(mine, opened);
          const keys = new Set(chosen.map(lineKey));
          const said = (l: CopyLine) => `${lineKey(l)} ${l.where} ${l.changes.join()}`;
          // What was chosen is no difference any more, but that a batch which is deleted there stays deleted with its new entries.
          expect(after.map(said)).toEqual(preview.filter((l) => !keys.has(lineKey(l))).map(said));
          const is = await entered(a);
          for (const [key, row] of was) {
            const [kind, id] = [key.slice(0, key.indexOf(' ')), key.slice(key.indexOf(' ') + 1)];
            const owner =
              kind === 'event' || kind === 'photo' ? `batch ${(row as { batch_id: string }).batch_id}` : key;
            if (!keys.has(owner)) expect([id, is.get(key)]).toEqual([id, row]);
            // What was written down is never lost.
            if (kind === 'event') expect(is.get(key)).toEqual(row);
          }
          for (const l of chosen)
            if (l.where !== 'here' && l.kind !== 'batch') expect(is.get(lineKey(l))).toEqual(wanted.get(lineKey(l)));
            else if (l.where === 'there') expect(is.get(lineKey(l))).toEqual(wanted.get(lineKey(l)));
          for (const [key, row] of wanted)
            if (
              key.startsWith('event ') &&
              keys.has(`batch ${(row as { batch_id: string }).batch_id}`) &&
              chosen.find((l) => l.where !== 'here' && l.id === (row as { batch_id: string }).batch_id)
            )
              expect(is.get(key)).toEqual(row);
          expect(await undoOpening(a, opening)).toMatchObject({ undone: chosen.length, stayed: [] });
          expect(await entered(a)).toEqual(was);
        } finally {
          endWork(opened.folder);
          await a.close();
          await b.close();
        }
      },
    ),
    { numRuns: RUNS },
  );
}, 300_000);

const BASIC: readonly Doing[] = [...BASE, ['rename', 0, 4], ['finish', 0, 0], ['delete plan', 1, 0], ['tin', 1, 7]];
async function filled(): Promise<TestDatabase> {
  const one = await kitchenIn();
  for (const d of BASIC) await doOne(one.db, d, 'filled');
  return one;
}
const fileOf = (name: string): string => join(folder, `${count++}-${name}`);
/** What is left of work beside a kitchen. */
const left = (db: string): string[] => (existsSync(workFolder(db)) ? readdirSync(workFolder(db)) : []);
const parts = (where: string): string[] => readdirSync(where).filter((f) => f.includes('.part'));

describe('a copy', () => {
  test('opened in an empty kitchen is the same kitchen, all that was deleted with it', async () => {
    const [of, beside] = [await filled(), await kitchenIn()];
    const opened = await copyBeside(of, beside);
    const preview = await lines(beside, opened);
    expect(preview.every((l) => l.where === 'there')).toBe(true);
    await take(beside, opened, preview);
    expect(await entered(beside.db)).toEqual(await entered(of.db));
    expect(await lines(beside, opened)).toEqual([]);
    endWork(opened.folder);
  });
  test('of the release before, brought up to date, saved and opened in an empty kitchen, is equal', async () => {
    const old = fileOf('release.sqlite');
    writeFileSync(old, gunzipSync(readFileSync(join('db', 'testing', 'release-007.sqlite.gz'))));
    const was = await openPlain(old);
    const plans = await was.select('SELECT id, document FROM plans ORDER BY id');
    const events = await was.select('SELECT key, event, at FROM batch_events ORDER BY key');
    const photos = await was.select('SELECT id, hex(jpeg) AS jpeg FROM batch_photos ORDER BY id');
    await was.close();
    // Copied as it is, and once more after it was brought up to date.
    const before = fileOf('before.zip');
    expect((await makeCopy(old, before, { why: 'before-upgrade' })).manifest.schema).toHaveLength(7);
    const now = await openDatabase(old, { durable: false });
    const after = fileOf('after.zip');
    await makeCopy(old, after, { why: 'command' });
    for (const copied of [before, after]) {
      const empty = await kitchenIn();
      const opened = await openCopy(copied, copied, empty.file);
      await take(empty, opened, await lines(empty, opened));
      expect(await entered(empty.db)).toEqual(await entered(now));
      const all = selectOn(empty.db.sequelize);
      expect(await all('SELECT id, document FROM plans ORDER BY id')).toEqual(plans);
      expect(await all('SELECT key, event, at FROM batch_events ORDER BY key')).toEqual(events);
      expect(await all('SELECT id, hex(jpeg) AS jpeg FROM batch_photos ORDER BY id')).toEqual(photos);
      expect(await all('SELECT revision, document FROM plan_versions ORDER BY plan_id, id')).toEqual(
        await selectOn(now.sequelize)('SELECT revision, document FROM plan_versions ORDER BY plan_id, id'),
      );
      endWork(opened.folder);
    }
    await now.close();
  });
  test('made while twelve write has every write that was acknowledged before it began', async () => {
    const { db, file } = await kitchenIn();
    const plans = planStore(db);
    const revisions = new Map<string, number>();
    for (let i = 0; i < 12; i++) revisions.set((await plans.create(savouryCoconutSlabPlan())).id, 1);
    let ended = false;
    const writing = [...revisions.keys()].map(async (id) => {
      while (!ended) {
        const from = revisions.get(id) ?? 0;
        const done = await plans.save(id, from, { ...savouryCoconutSlabPlan(), notes: `${from}` });
        if ('saved' in done) revisions.set(id, done.saved.revision);
        await new Promise((then) => setTimeout(then, 3));
      }
    });
    for (let n = 0; n < (EVERY_CASE ? 6 : 2); n++) {
      const acknowledged = new Map(revisions);
      const copied = fileOf('written.zip');
      await makeCopy(file, copied, { why: 'command' });
      const empty = await kitchenIn();
      const opened = await openCopy(copied, copied, empty.file);
      const there = await openPlain(opened.database);
      for (const { id, revision } of await there.select<{ id: string; revision: number }>(
        'SELECT id, revision FROM plans',
      ))
        expect(revision).toBeGreaterThanOrEqual(acknowledged.get(id) ?? Infinity);
      await there.close();
      endWork(opened.folder);
    }
    ended = true;
    await Promise.all(writing);
    expect(Math.min(...revisions.values())).toBeGreaterThan(2);
  });
  test('holds everything once: what can be read without the program is there, and the pictures are not in the database too', async () => {
    const of = await filled();
    const file = fileOf('read.zip');
    const { manifest } = await makeCopy(of.file, file, { why: 'asked', now: new Date('2026-12-01T03:00:00Z') });
    expect(manifest).toMatchObject({
      madeAt: '2026-12-01T03:00:00.000Z',
      why: 'asked',
      counts: { plans: 2, batches: 2, photos: 1 },
    });
    const archive = await readArchive(file, file);
    const json = async (name: string) => {
      const read: Uint8Array[] = [];
      for await (const part of archive.stream(name)) read.push(part);
      return JSON.parse(Buffer.concat(read).toString()) as Record<string, unknown>;
    };
    const batch = [...archive.names].filter((n) => n.startsWith('batches/'));
    expect(batch).toHaveLength(2);
    const pictured = (await Promise.all(batch.map(json))).find((b) => (b.photos as string[]).length > 0);
    expect(pictured).toMatchObject({ id: 'batch-1-of-them', events: [{ event: { kind: 'photographed' } }] });
    expect(archive.names).toContain((pictured?.photos as string[])[0]);
    expect(await json('plans/Slab 0 4.json')).toMatchObject({ id: 'plan-0-of-them', plan: { name: 'Slab 0, 4' } });
    expect(await json('rack/vessels.json')).toMatchObject([{ id: 'tin-0' }, { id: 'tin-1' }]);
    expect(await json('settings.json')).toMatchObject({ kitchen: { roomC: 18 } });
    archive.close();
    const work = newWork(of.file);
    const { database } = await proveCopy(file, file, work);
    const there = await openPlain(database);
    expect(await there.select('SELECT sum(length(jpeg)) AS n FROM batch_photos')).toEqual([{ n: 0 }]);
    await there.close();
    endWork(work);
  });
  test('is stopped, and leaves nothing', async () => {
    const of = await filled();
    const stop = new AbortController();
    const file = fileOf('stopped.zip');
    const making = makeCopy(of.file, file, { why: 'asked', signal: stop.signal, onProgress: () => stop.abort() });
    await expect(making).rejects.toMatchObject({ code: 'stopped' });
    expect(existsSync(file)).toBe(false);
    expect(parts(folder)).toEqual([]);
    expect(left(of.file)).toEqual([]);
  });
  test('does not write over what is no copy, and does over another copy', async () => {
    const of = await filled();
    const file = fileOf('letter.zip');
    writeFileSync(file, 'a letter');
    await expect(makeCopy(of.file, file, { why: 'command' })).rejects.toMatchObject({ code: 'taken' });
    expect(readFileSync(file, 'utf8')).toBe('a letter');
    const mine = fileOf('mine.zip');
    await makeCopy(of.file, mine, { why: 'command' });
    await doOne(of.db, ['plan', 2, 0], 'later');
    expect((await makeCopy(of.file, mine, { why: 'command' })).manifest.counts.plans).toBe(3);
  });
  test('of a kitchen in which something is damaged is made all the same, and says so', async () => {
    const of = await filled();
    await of.db.write((transaction) =>
      of.db.sequelize.query("UPDATE plans SET document = 'no json' WHERE id = 'plan-0-of-them'", { transaction }),
    );
    const file = fileOf('torn.zip');
    expect(await makeCopy(of.file, file, { why: 'command' })).toMatchObject({ unreadable: 1 });
    const empty = await kitchenIn();
    const opened = await openCopy(file, file, empty.file);
    expect((await lines(empty, opened)).filter((l) => !l.readable).map((l) => l.id)).toEqual(['plan-0-of-them']);
    // What is torn here is mended by a copy in which it is whole.
    const whole = await copyBeside(await filled(), of);
    const torn = (await lines(of, whole)).filter((l) => l.id === 'plan-0-of-them');
    expect(torn).toMatchObject([{ where: 'both', readable: true }]);
    await take(of, whole, torn);
    expect((await planStore(of.db).get('plan-0-of-them')).ok).toBe(true);
    endWork(opened.folder);
    endWork(whole.folder);
  });
});

describe('what is taken in', () => {
  const kitchens = async () => {
    const of = await filled();
    const beside = await kitchenIn();
    await of.db.close();
    await beside.db.close();
    copyFileSync(of.file, beside.file);
    const [a, b] = [
      { ...of, db: await openDatabase(of.file) },
      { ...beside, db: await openDatabase(beside.file) },
    ];
    made.push(a, b);
    return { theirs: a, mine: b };
  };
  test('was changed here after it was looked at: nothing is taken in, and it is said', async () => {
    const { theirs, mine } = await kitchens();
    await doOne(theirs.db, ['rename', 0, 9], 'theirs');
    const opened = await copyBeside(theirs, mine);
    const preview = await lines(mine, opened);
    expect(preview).toMatchObject([
      { kind: 'plan', where: 'both', changes: ['name "Slab 0, 4" to "Slab 0, 9"', 'guests 5 to 10'] },
    ]);
    await doOne(mine.db, ['rename', 0, 12], 'mine');
    const was = await entered(mine.db);
    await expect(take(mine, opened, preview)).rejects.toMatchObject({ code: 'changed' });
    expect(await entered(mine.db)).toEqual(was);
    endWork(opened.folder);
  });
  test('of two at once, one is taken in, the other is told, and nothing is doubled', async () => {
    const { theirs, mine } = await kitchens();
    for (const d of [
      ['note', 0, 7],
      ['rename', 0, 9],
      ['plan', 3, 0],
    ] as Doing[])
      await doOne(theirs.db, d, 'theirs');
    const opened = await copyBeside(theirs, mine);
    const preview = await lines(mine, opened);
    const done = await Promise.allSettled([take(mine, opened, preview), take(mine, opened, preview)]);
    expect(done.map((d) => d.status).sort()).toEqual(['fulfilled', 'rejected']);
    expect(await entered(mine.db)).toEqual(await entered(theirs.db));
    endWork(opened.folder);
  });
  test('while a batch is at the stove: what is written down there meanwhile stays, in one list with what the copy knows', async () => {
    const { theirs, mine } = await kitchens();
    await doOne(theirs.db, ['note', 1, 1], 'theirs');
    const opened = await copyBeside(theirs, mine);
    const preview = await lines(mine, opened);
    await doOne(mine.db, ['note', 1, 2], 'mine');
    const { opening } = await take(mine, opened, preview);
    const events = async () => {
      const batch = await batchStore(mine.db).get('batch-1-of-them');
      return batch.ok ? batch.value.events.flatMap((e) => (e.kind === 'noted' ? [e.note] : [])) : [];
    };
    expect(await events()).toEqual(['1 by theirs', '2 by mine']);
    await doOne(mine.db, ['note', 1, 3], 'mine');
    expect(await undoOpening(mine.db, opening)).toMatchObject({ undone: 1, stayed: [] });
    expect(await events()).toEqual(['2 by mine', '3 by mine']);
    endWork(opened.folder);
  });
  test('is undone but for what was changed since, which stays and is named', async () => {
    const { theirs, mine } = await kitchens();
    for (const d of [
      ['rename', 0, 9],
      ['plan', 3, 0],
      ['begin', 3, 0],
      ['tin', 0, 20],
      ['settings', 0, 12],
    ] as Doing[])
      await doOne(theirs.db, d, 'theirs');
    const opened = await copyBeside(theirs, mine);
    const was = await entered(mine.db);
    const { opening } = await take(mine, opened, await lines(mine, opened));
    for (const d of [
      ['rename', 0, 11],
      ['note', 3, 0],
      ['settings', 0, 1],
    ] as Doing[])
      await doOne(mine.db, d, 'since');
    const since = await entered(mine.db);
    const { stayed } = await undoOpening(mine.db, opening);
    // The batch that goes on keeps its plan.
    expect([...stayed].sort()).toEqual(['Batch 3', 'Settings', 'Slab 0, 11', 'Slab 3']);
    const is = await entered(mine.db);
    expect(is.get('vessels tin-0')).toEqual(was.get('vessels tin-0'));
    for (const key of ['plan plan-0-of-them', 'plan plan-3-of-them', 'batch batch-3-of-them', 'settings kitchen'])
      expect(is.get(key)).toEqual(since.get(key));
    await expect(undoOpening(mine.db, opening)).rejects.toMatchObject({ code: 'changed' });
    endWork(opened.folder);
  });
  test('leaves the door through which events go shut', async () => {
    const { theirs, mine } = await kitchens();
    await doOne(theirs.db, ['note', 0, 8], 'theirs');
    const opened = await copyBeside(theirs, mine);
    const { opening } = await take(mine, opened, await lines(mine, opened));
    const remove = () =>
      mine.db.write((transaction) => mine.db.sequelize.query('DELETE FROM batch_events', { transaction }));
    await expect(remove()).rejects.toMatchObject({ parent: { message: expect.stringMatching(/append-only/) } });
    await undoOpening(mine.db, opening);
    await expect(remove()).rejects.toMatchObject({ parent: { message: expect.stringMatching(/append-only/) } });
    endWork(opened.folder);
  });
});

describe('what is no good copy is refused in a sentence, and nothing is left of it', () => {
  /** An archive of which one thing is changed. */
  async function changedArchive(change: (files: Map<string, Buffer>) => void): Promise<string> {
    const of = await filled();
    const good = fileOf('good.zip');
    await makeCopy(of.file, good, { why: 'command' });
    const archive = await readArchive(good, good);
    const files = new Map<string, Buffer>();
    for (const name of archive.names) {
      const read: Uint8Array[] = [];
      for await (const part of archive.stream(name)) read.push(part);
      files.set(name, Buffer.concat(read));
    }
    archive.close();
    change(files);
    const bad = fileOf('bad.zip');
    const zip = writeArchive(bad);
    for (const [name, content] of files) await zip.add(name, content);
    await zip.end();
    return bad;
  }
  const manifestIn = (files: Map<string, Buffer>, change: (m: Record<string, unknown>) => void): void => {
    const manifest = JSON.parse(String(files.get('manifest.json'))) as Record<string, unknown>;
    change(manifest);
    files.set('manifest.json', Buffer.from(JSON.stringify(manifest)));
  };
  const refused = async (file: string, code: string, words: RegExp) => {
    const here = await kitchenIn();
    await doOne(here.db, ['plan', 0, 0], 'here');
    const was = await entered(here.db);
    await expect(openCopy(file, 'sent.zip', here.file)).rejects.toMatchObject({
      code,
      message: expect.stringMatching(words),
    });
    expect(left(here.file)).toEqual([]);
    expect(await entered(here.db)).toEqual(was);
  };
  test('a foreign zip, a text, another program’s database', async () => {
    const foreign = fileOf('foreign.zip');
    const zip = writeArchive(foreign);
    await zip.add('letter.txt', Buffer.from('a letter'));
    await zip.end();
    await refused(foreign, 'not-a-copy', /no copy of a kitchen/);
    const text = fileOf('text.zip');
    writeFileSync(text, 'a letter that is longer than four signs');
    await refused(text, 'not-a-copy', /no copy of a kitchen/);
    writeFileSync(text, 'x');
    await refused(text, 'not-a-copy', /no copy of a kitchen/);
    const raw = (await filled()).file;
    await refused(raw, 'not-a-copy', /no copy of a kitchen/);
    await refused(join(folder, 'nowhere.zip'), 'no-place', /no sent\.zip/);
    await refused(folder, 'no-place', /is a folder/);
    // A kitchen that is no kitchen is told as such, not as a bad copy.
    writeFileSync(text, randomBytes(9000));
    await expect(makeCopy(text, fileOf('of-it.zip'), { why: 'command' })).rejects.toMatchObject({
      message: expect.stringMatching(/^The kitchen in .*text\.zip is damaged/),
    });
  });
  test('another program’s database in the form of a copy', async () => {
    const file = fileOf('other.sqlite');
    writeFileSync(file, '');
    const other = await openPlain(file, { write: true });
    await other.run('CREATE TABLE songs (id TEXT)');
    await other.run('PRAGMA application_id = 77');
    await other.close();
    const content = readFileSync(file);
    const bad = await changedArchive((files) => {
      files.set('kitchen.sqlite', content);
      manifestIn(files, (m) => {
        const entry = (m.files as { name: string; bytes: number; sha256: string }[]).find(
          (f) => f.name === 'kitchen.sqlite',
        );
        Object.assign(entry ?? {}, {
          bytes: content.length,
          sha256: createHash('sha256').update(content).digest('hex'),
        });
      });
    });
    await refused(bad, 'not-a-copy', /another program/);
  });
  test('half of an archive, one flipped bit, a file too many, one too few, a picture changed', async () => {
    const of = await filled();
    const good = fileOf('good.zip');
    await makeCopy(of.file, good, { why: 'command' });
    const bytes = readFileSync(good);
    for (const share of [0.1, 0.5, 0.99]) {
      const half = fileOf('half.zip');
      writeFileSync(half, bytes.subarray(0, Math.floor(bytes.length * share)));
      await refused(half, 'damaged-copy', /damaged or not whole/);
    }
    for (const share of [0.2, 0.6]) {
      const flipped = fileOf('flipped.zip');
      const one = Buffer.from(bytes);
      one[Math.floor(bytes.length * share)] ^= 4;
      writeFileSync(flipped, one);
      await refused(flipped, 'damaged-copy', /damaged/);
    }
    await refused(await changedArchive((f) => f.set('more.txt', Buffer.from('more'))), 'damaged-copy', /its list/);
    await refused(await changedArchive((f) => f.delete('larder.json')), 'damaged-copy', /its list/);
    await refused(
      await changedArchive((f) => f.set([...f.keys()].find((n) => n.endsWith('.jpg')) ?? '', Buffer.from('another'))),
      'damaged-copy',
      /not what was saved/,
    );
  }, 60_000);
  test('a later copy is refused with the version that is needed: by its form, and by what its database has had', async () => {
    const form = await changedArchive((f) => manifestIn(f, (m) => Object.assign(m, { version: 9, release: '7.3.0' })));
    await refused(form, 'later-copy', /7\.3\.0/);
    const schema = await changedArchive((f) =>
      manifestIn(f, (m) => Object.assign(m, { schema: [...(m.schema as string[]), '099-later'], release: '7.4.0' })),
    );
    await refused(schema, 'later-copy', /update this one to 7\.4\.0/);
  });
  test('names with tricks, and what unpacks to more than any kitchen', async () => {
    const tricky = fileOf('tricky.zip');
    const zip = writeArchive(tricky);
    await zip.add('aa/evil.txt', Buffer.from('out'));
    await zip.end();
    writeFileSync(
      tricky,
      Buffer.from(readFileSync(tricky).toString('latin1').replaceAll('aa/evil.txt', '../evil.txt'), 'latin1'),
    );
    await refused(tricky, 'damaged-copy', /damaged/);
    expect(existsSync(join(folder, '..', 'evil.txt'))).toBe(false);
    const bomb = fileOf('bomb.zip');
    const big = writeArchive(bomb);
    async function* zeros() {
      for (let i = 0; i < 80; i++) yield Buffer.alloc(1e6);
    }
    await big.add('kitchen.sqlite', zeros());
    await big.add('manifest.json', Buffer.from('{}'));
    await big.end();
    await refused(bomb, 'too-large', /more than any kitchen/);
  });
  test('a full disk while it is made or opened: said, nothing left, the kitchen as it was', async () => {
    const of = await filled();
    const full = Object.assign(new Error('no space left'), { code: 'ENOSPC' });
    expect(copyTroubleOf('the stick', full)).toMatchObject({
      code: 'no-room',
      message: expect.stringMatching(/disk is full/),
    });
    expect(copyTroubleOf('the stick', Object.assign(new Error('x'), { code: 'EIO' }))).toMatchObject({
      message: expect.stringMatching(/pulled out/),
    });
    await expect(makeCopy(of.file, '/dev/full/copy.zip', { why: 'command' })).rejects.toMatchObject({
      code: 'no-place',
    });
    expect(left(of.file)).toEqual([]);
    const stick = fileOf('stick');
    await onSmallDisk(stick, 12_000, async () => {
      await expect(makeCopy(of.file, join(stick, 'copy.zip'), { why: 'command' })).rejects.toMatchObject({
        code: 'no-room',
      });
      expect(readdirSync(stick)).toEqual([]);
    });
    expect(left(of.file)).toEqual([]);
    // The kitchen itself on a small disk: with room for it, and not for what comes.
    const disk = fileOf('disk');
    const good = fileOf('good.zip');
    for (let n = 0; n < 4; n++) await doOne(of.db, ['photo', 1, n], 'more');
    await batchStore(of.db).appendPhoto('batch-1-of-them', randomBytes(600_000), 'a-large-photo');
    await makeCopy(of.file, good, { why: 'command' });
    const empty = await kitchenIn();
    await empty.db.close();
    await onSmallDisk(disk, 1_000_000, async () => {
      const file = join(disk, 'kitchen.sqlite');
      copyFileSync(empty.file, file);
      const db = await openDatabase(file);
      await expect(openCopy(good, good, file)).rejects.toMatchObject({ code: 'no-room' });
      expect(left(file)).toEqual([]);
      const here = { ...empty, db, file };
      const elsewhere = await kitchenIn();
      const opened = await openCopy(good, good, elsewhere.file);
      const was = await entered(db);
      await expect(take(here, opened, await lines(here, opened))).rejects.toMatchObject({ code: 'no-room' });
      expect(await entered(db)).toEqual(was);
      // It goes on as before.
      await doOne(db, ['plan', 0, 0], 'after');
      expect((await entered(db)).size).toBeGreaterThan(was.size);
      endWork(opened.folder);
      await db.close();
    });
  });
});
