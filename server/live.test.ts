import { batchStore, openDatabase, type Database } from '@/db';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { snapshotOf, type BatchEvent } from '@/core/work/notebook';
import { formula } from '@/core/testing/made';
import { testDatabase, type TestDatabase } from '@/db/testing/file';
import { MOST_STREAMS } from './live';
import { recordEvent } from './notebook';
import { storeOf, type Store } from './storeOf';

let file: TestDatabase;
let db: Database;
let store: Store;
let batchId: string;
const made = forecast(formula('dimpled-cups'), emptyKitchen());
const note = (words: string): BatchEvent => ({ kind: 'noted', note: words });
beforeAll(async () => {
  file = await testDatabase();
  db = file.db;
  store = await storeOf(db);
  if (!made.ok) throw new Error('no forecast');
  batchId = (
    await store.batches.create({ planId: null, planRevision: 1, name: 'Cups', snapshot: snapshotOf(made.value) })
  ).id;
});
afterAll(async () => {
  store.live.close();
  await file.end();
});

/** A page that listens: what it heard, by the lines of the stream. */
function page(after: number) {
  const reader = store.live.stream(after)?.getReader();
  let text = '';
  return {
    async until(words: string): Promise<string> {
      while (!text.includes(words)) {
        const part = await reader?.read();
        if (!part || part.done) throw new Error(`the stream ended without "${words}": ${text}`);
        text += new TextDecoder().decode(part.value);
      }
      return text;
    },
    leave: () => reader?.cancel(),
    ended: async () => (await reader?.read())?.done,
  };
}
const ids = (text: string): number[] => [...text.matchAll(/^id: (\d+)$/gm)].map((m) => Number(m[1]));

test('two pages hear what one of them wrote at once, each event under its number', async () => {
  // Nothing looks at the file by the clock meanwhile: what is heard was told when it was written.
  const clockwork = jest
    .spyOn(globalThis, 'setInterval')
    .mockReturnValue({ unref: () => undefined } as unknown as NodeJS.Timeout);
  const [a, b] = [page(0), page(0)];
  expect(clockwork).toHaveBeenCalled();
  clockwork.mockRestore();
  await recordEvent(store, batchId, note('first'), 'key-live-1');
  const [heardA, heardB] = [await a.until('first'), await b.until('first')];
  expect(ids(heardA)).toEqual(ids(heardB));
  expect(heardA).toMatch(/^retry: 1000\nevent: clock\n/);
  await Promise.all([a.leave(), b.leave()]);
});

test('a page that was away hears all of what came after the last it knew, in order, and nothing twice', async () => {
  const first = page(0);
  const known = ids(await first.until('first')).at(-1) ?? 0;
  await first.leave();
  for (const n of [1, 2, 3]) await recordEvent(store, batchId, note(`while away ${n}`), `key-away-${n}`);
  const back = page(known);
  const heard = await back.until('while away 3');
  expect(ids(heard)).toEqual([known + 1, known + 2, known + 3]);
  expect(heard).not.toContain('first');
  await recordEvent(store, batchId, note('and then'), 'key-then');
  expect(ids(await back.until('and then'))).toEqual([known + 1, known + 2, known + 3, known + 4]);
  await back.leave();
});

test('what another program writes into the file is told too', async () => {
  const other = await openDatabase(file.file);
  const listening = page(await store.batches.lastEventId());
  await listening.until('clock');
  await batchStore(other).append(batchId, note('from elsewhere'), 'key-elsewhere');
  expect(await listening.until('from elsewhere')).toContain('from elsewhere');
  await listening.leave();
  await other.close();
});

test('too much at once is not told event by event: the page is told to look again, and goes on from there', async () => {
  await db.write((transaction) =>
    db.sequelize.query(
      `INSERT INTO batch_events (batch_id, at, event, key)
       WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 420)
       SELECT ?, '2026-01-01T00:00:00.000Z', ?, 'key-many-' || i FROM n`,
      { replacements: [batchId, JSON.stringify(note('one of many'))], transaction },
    ),
  );
  const late = page(0);
  const heard = await late.until('missed');
  expect(ids(heard)).toEqual([await store.batches.lastEventId()]);
  await late.leave();
});

test('streams that are left are forgotten; there is a most of them; closing ends them all', async () => {
  expect(store.live.open()).toBe(0);
  const pages = Array.from({ length: MOST_STREAMS }, () => page(0));
  expect(store.live.stream(0)).toBeUndefined();
  await pages[0].leave();
  expect(store.live.open()).toBe(MOST_STREAMS - 1);
  store.live.close();
  expect(store.live.open()).toBe(0);
});

test('the practice clock goes on from where it was, as fast as it is told, and a restart keeps it', async () => {
  const since = Date.now();
  const before = store.clock.now();
  expect(before).toBeGreaterThanOrEqual(since);
  expect(before).toBeLessThanOrEqual(Date.now());
  await store.clock.run(60);
  const real = Date.now();
  expect(store.clock.at(real + 1000) - store.clock.at(real)).toBe(60_000);
  expect(store.clock.at(real) - before).toBeLessThan(60_000);
  const again = await storeOf(db);
  expect(again.clock.at(real)).toBe(store.clock.at(real));
  await store.clock.run(1);
  expect(store.clock.now()).toBeGreaterThanOrEqual(before);
});
