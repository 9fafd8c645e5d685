import { copyFileSync, existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import fc from 'fast-check';
import { emptyKitchen } from '@/core/kitchen';
import { openDatabase, type Database } from '../connect';
import { kitchenStore } from '../kitchen';
import { testDatabase, type TestDatabase } from '../testing/file';
import {
  canTake,
  endWork,
  lineKey,
  makeCopy,
  openCopy,
  previewOf,
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
const RUNS = process.env.IDLE_LADLE_EVERY_CASE === '1' ? 40 : 8;

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
          const left = (l: CopyLine) => `${lineKey(l)} ${l.where} ${l.changes.join()}`;
          // What was chosen is no difference any more, but that a batch which is deleted there stays deleted with its new entries.
          expect(after.map(left)).toEqual(preview.filter((l) => !keys.has(lineKey(l))).map(left));
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
          expect(await undoOpening(a, opening)).toEqual({ undone: chosen.length, stayed: [] });
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
