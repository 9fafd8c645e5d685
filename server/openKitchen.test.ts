import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { lastGood, manifestOf } from '@/db/copy';
import { openPlain } from '@/db/copy/plain';
import { MIGRATIONS } from '@/db/migrate';
import { copiesFolder, openKitchen } from './openKitchen';

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-upgrade-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const RELEASE_BEFORE = 7;
let n = 0;
let file = '';
beforeEach(() => {
  file = join(folder, `${n++}`, 'kitchen.sqlite');
  jest.spyOn(console, 'log').mockImplementation(() => undefined);
});
afterEach(() => jest.restoreAllMocks());
const old = (): void => {
  mkdirSync(join(file, '..'), { recursive: true });
  writeFileSync(file, gunzipSync(readFileSync(join('db', 'testing', 'release-007.sqlite.gz'))));
};
const schema = async (): Promise<number> => {
  const db = await openPlain(file);
  const rows = await db.select('SELECT name FROM "SequelizeMeta"');
  await db.close();
  return rows.length;
};

test('a kitchen of the release before is copied as it is, then brought up to date; the copy is written down', async () => {
  old();
  const folders = copiesFolder(file, undefined);
  const db = await openKitchen(file, folders);
  const [copy] = readdirSync(folders.always.folder);
  expect(copy).toMatch(/^kitchen before-upgrade .*\.zip$/);
  expect((await manifestOf(join(folders.always.folder, copy), copy)).schema).toHaveLength(RELEASE_BEFORE);
  expect(await lastGood(db)).toMatchObject({ why: 'before-upgrade', place: join(folders.always.folder, copy) });
  await db.close();
  expect(await schema()).toBe(MIGRATIONS.length);
  // Opened again there is nothing to bring up to date, and nothing to copy; so it is with a new one.
  await (await openKitchen(file, folders)).close();
  expect(readdirSync(folders.always.folder)).toEqual([copy]);
  const fresh = join(folder, 'fresh', 'kitchen.sqlite');
  await (await openKitchen(fresh, copiesFolder(fresh, undefined))).close();
  expect(existsSync(join(folder, 'fresh', 'copies'))).toBe(false);
});
test('where that copy cannot be made the kitchen stays as it is, and it is said what to do', async () => {
  old();
  const blocked = join(file, '..', 'blocked');
  writeFileSync(blocked, 'a file where the folder is to be');
  await expect(openKitchen(file, copiesFolder(file, blocked))).rejects.toMatchObject({
    name: 'DatabaseTrouble',
    message: expect.stringMatching(
      /it is as it was\. Name a folder for copies in IDLE_LADLE_COPIES, or none to go on without/,
    ),
  });
  expect(await schema()).toBe(RELEASE_BEFORE);
  await (await openKitchen(file, copiesFolder(file, 'none'))).close();
  expect(await schema()).toBe(MIGRATIONS.length);
});
