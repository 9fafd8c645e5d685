import fc from 'fast-check';
import { clearOut, copiesIn, copyName, expired, isDue, keptCopyOf, newCopyIn, type KeptCopy } from '.';
import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const nightly = (at: Date): KeptCopy => ({ name: copyName('kitchen', 'nightly', at), why: 'nightly', at });
const night = (now: Date, back: number) => new Date(now.getFullYear(), now.getMonth(), now.getDate() - back, 3, 0, 5);

test('a name says when and why, and nothing else is one of ours', () => {
  const at = new Date(2026, 11, 1, 3, 0, 5);
  expect(copyName('kitchen', 'nightly', at)).toBe('kitchen 2026-12-01 03.00.05.zip');
  for (const why of ['nightly', 'before-upgrade', 'before-opening'] as const)
    expect(keptCopyOf(copyName('kitchen', why, at), 'kitchen')).toEqual({
      name: copyName('kitchen', why, at),
      why,
      at,
    });
  for (const name of [
    'kitchen.zip',
    'kitchen 2026-12-01 03.00.05.zip.part',
    '../kitchen 2026-12-01 03.00.05.zip',
    'holiday 2026-12-01 03.00.05.zip',
  ])
    expect(keptCopyOf(name, 'kitchen')).toBeUndefined();
});
test('of two kitchens in one folder each has its own', () => {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-keep-'));
  const now = new Date(2026, 11, 1, 12);
  for (const stem of ['demo', 'idle-ladle', 'idle-ladle before-upgrade'])
    for (let back = 0; back < 30; back++) writeFileSync(join(folder, copyName(stem, 'nightly', night(now, back))), 'x');
  clearOut({ folder, stem: 'demo' }, now);
  expect(copiesIn({ folder, stem: 'demo' }).length).toBeLessThan(14);
  expect(copiesIn({ folder, stem: 'idle-ladle' }).filter((c) => c.why === 'nightly')).toHaveLength(30);
});
test('of two in one second neither takes the other’s name', () => {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-keep-'));
  const at = new Date(2026, 11, 1, 3, 0, 59);
  const first = newCopyIn({ folder, stem: 'kitchen' }, 'before-opening', at);
  writeFileSync(first, 'x');
  expect(newCopyIn({ folder, stem: 'kitchen' }, 'before-opening', at)).toBe(
    join(folder, 'kitchen before-opening 2026-12-01 03.01.00.zip'),
  );
});
test('a kitchen that is copied each night for a year holds seven days and eight weeks', () => {
  const start = new Date(2026, 0, 1, 4);
  let kept: KeptCopy[] = [];
  for (let day = 0; day < 365; day++) {
    const now = new Date(start.getTime() + day * DAY);
    kept = [...kept, nightly(night(now, 0))];
    const gone = new Set(expired(kept, now));
    kept = kept.filter((c) => !gone.has(c));
  }
  const now = new Date(start.getTime() + 364 * DAY);
  const ages = kept.map((c) => Math.round((night(now, 0).getTime() - c.at.getTime()) / DAY)).sort((a, b) => a - b);
  expect(ages.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6]);
  // Of the weeks before the last of each is there, a week apart, back to the eighth.
  expect(ages.slice(7).every((a, i, all) => i === 0 || a - all[i - 1] === 7)).toBe(true);
  expect(ages.at(-1)).toBeGreaterThanOrEqual(43);
  expect(ages.at(-1)).toBeLessThan(56);
});
test('whatever is there, the newest stays, and clearing twice clears nothing more', () => {
  const copy = fc.record({
    why: fc.constantFrom('nightly' as const, 'before-upgrade' as const, 'before-opening' as const),
    hours: fc.integer({ min: 0, max: 200 * 24 }),
  });
  const now = new Date(2026, 11, 1, 12);
  fc.assert(
    fc.property(fc.array(copy, { minLength: 1, maxLength: 60 }), (some) => {
      const copies = some.map(({ why, hours }) => {
        const at = new Date(now.getTime() - hours * HOUR);
        return { why, at, name: copyName('kitchen', why, at) };
      });
      const gone = new Set(expired(copies, now));
      const left = copies.filter((c) => !gone.has(c));
      const newest = Math.max(...copies.map((c) => c.at.getTime()));
      expect(left.some((c) => c.at.getTime() === newest)).toBe(true);
      expect(expired(left, now)).toEqual([]);
      // Those of the last days are never the ones that go, but for a second one of a day.
      expect(left.filter((c) => c.why === 'nightly').length).toBeLessThanOrEqual(16);
      for (const c of copies)
        if (c.why !== 'nightly' && now.getTime() - c.at.getTime() < 55 * DAY) expect(gone.has(c)).toBe(false);
    }),
  );
});
test('in a folder that is not only for copies, what is another’s stays', () => {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-keep-'));
  const now = new Date(2026, 11, 1, 12);
  for (let back = 0; back < 100; back++)
    writeFileSync(join(folder, copyName('kitchen', 'nightly', night(now, back))), 'x');
  for (const other of ['holiday.zip', 'kitchen.zip', 'notes.txt']) writeFileSync(join(folder, other), 'x');
  clearOut({ folder, stem: 'kitchen' }, now);
  expect(copiesIn({ folder, stem: 'kitchen' }).length).toBeLessThanOrEqual(14);
  expect(readdirSync(folder)).toEqual(expect.arrayContaining(['holiday.zip', 'kitchen.zip', 'notes.txt']));
});
test('a night’s copy is due once after three, also in the morning of a machine that slept', () => {
  const last = new Date(2026, 11, 1, 3, 0, 5);
  expect(isDue(undefined, new Date(2026, 11, 1, 12))).toBe(true);
  expect(isDue(last, new Date(2026, 11, 1, 23, 59))).toBe(false);
  expect(isDue(last, new Date(2026, 11, 2, 2, 59))).toBe(false);
  expect(isDue(last, new Date(2026, 11, 2, 3, 1))).toBe(true);
  expect(isDue(last, new Date(2026, 11, 2, 9))).toBe(true);
  expect(isDue(new Date(2026, 11, 2, 9), new Date(2026, 11, 2, 10))).toBe(false);
});
