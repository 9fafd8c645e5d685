import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { snapshotOf } from '@/core/work/notebook';
import { formula } from '@/core/testing/made';
import { testDatabase, type TestDatabase } from '@/db/testing/file';
import { devices } from './devices';
import { recordEvent } from './notebook';
import { storeOf, type Store } from './storeOf';

let file: TestDatabase;
let store: Store;
let id: string;
const made = forecast(formula('dimpled-cups'), emptyKitchen());
beforeEach(async () => {
  file = await testDatabase();
  store = await storeOf(file.db);
  if (!made.ok) throw new Error('no forecast');
  id = (await store.batches.create({ planId: null, planRevision: 1, name: 'Cups', snapshot: snapshotOf(made.value) }))
    .id;
});
afterEach(async () => {
  store.live.close();
  await file.end();
});
const kinds = async () => {
  const b = await store.batches.get(id);
  return b.ok ? b.value.events.map((e) => e.kind) : [];
};
const probe = (tempC: number, at?: string) => ({ kind: 'probe' as const, device: 'p', tempC, ...(at ? { at } : {}) });
const begin = () => recordEvent(store, id, { kind: 'begun', stepId: 'fill:cake' }, 'begin-key-1');

test('a probe is written down while a cake is in the steam, once in twenty seconds, however fast it talks', async () => {
  const d = devices(store);
  d.take([probe(40)]);
  await d.settled();
  expect(await kinds()).toEqual([]);
  await begin();
  await new Promise((then) => setTimeout(then, 600));
  for (let i = 0; i < 1000; i++) d.take([probe(40 + i / 100)]);
  await d.settled();
  const written = (await kinds()).filter((k) => k === 'probed').length;
  expect(written).toBeGreaterThanOrEqual(1);
  expect(written).toBeLessThanOrEqual(2);
  expect(d.readings()).toMatchObject([{ device: 'p', tempC: 49.99 }]);
});

test('a reading of the future, or of a clock years off, is as of now', () => {
  const d = devices(store);
  const now = store.clock.now();
  for (const at of ['2099-01-01T00:00:00Z', '1999-01-01T00:00:00Z']) {
    d.take([probe(50, at)]);
    expect(Math.abs((d.readings()[0]?.atMs ?? 0) - now)).toBeLessThan(1000);
  }
});

test('a hob that is turned while it steams is a turn; one that says the same again is none', async () => {
  await begin();
  const d = devices(store);
  const hob = (setting: 'strong' | 'gentle') => ({ kind: 'hob' as const, device: 'h', setting });
  d.take([hob('strong'), hob('strong'), hob('gentle'), hob('gentle')]);
  await d.settled();
  const b = await store.batches.get(id);
  expect(b.ok && b.value.events.flatMap((e) => (e.kind === 'turned' ? [e.heat] : []))).toEqual(['gentle']);
});

test('more devices than a kitchen has are refused, those that are known go on', () => {
  const d = devices(store);
  const refused = d.take(Array.from({ length: 40 }, (_, i) => ({ ...probe(30), device: `p${i}` })));
  expect([refused, d.readings().length]).toEqual([24, 16]);
  expect(d.take([{ ...probe(31), device: 'p3' }])).toBe(0);
});

test('a name that has gone, or said nothing for a quarter of an hour, gives its place to another', async () => {
  let now = 0;
  const other = await storeOf(file.db);
  const d = devices(other, () => now);
  d.take(Array.from({ length: 16 }, (_, i) => ({ ...probe(30), device: `p${i}` })));
  expect(d.take([{ ...probe(30), device: 'the real scale' }])).toBe(1);
  d.take([{ kind: 'gone', device: 'p7' }]);
  expect(d.take([{ ...probe(30), device: 'the real scale' }])).toBe(0);
  expect(d.readings().map((r) => r.device)).not.toContain('p7');
  now += 16 * 60_000;
  d.take([{ ...probe(31), device: 'p3' }]);
  expect(d.take([{ ...probe(30), device: 'late' }])).toBe(0);
  expect(d.readings().map((r) => r.device)).toEqual(expect.arrayContaining(['p3', 'late']));
  other.damage.end();
});
