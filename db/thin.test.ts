import fc from 'fast-check';
import { thinned, type Kept } from './thin';

const NOW = Date.parse('2026-11-28T12:00:00Z');
const DAY = 86_400_000;
const versions = (ages: readonly number[], more: (i: number) => Partial<Kept> = () => ({})): Kept[] =>
  [...ages]
    .sort((a, b) => a - b)
    .map((age, i) => ({ id: i, at: new Date(NOW - age).toISOString(), refused: false, held: false, ...more(i) }));

test('all of the last ten minutes stay; then one in five minutes, one a day, one a week', () => {
  const every = (ms: number, from: number, to: number) =>
    Array.from({ length: Math.floor((to - from) / ms) }, (_, i) => from + i * ms);
  /** Of a plan that was written at these ages, how many stay between two ages. */
  const left = (ages: readonly number[], from = 0, to = Infinity) => {
    const all = versions(ages);
    const gone = new Set(thinned(all, NOW));
    const age = (v: Kept) => NOW - Date.parse(v.at);
    return all.filter((v) => !gone.has(v.id) && age(v) >= from && age(v) <= to).length;
  };
  expect(left(every(1000, 0, 599_000))).toBe(599);
  const hour = left(every(5000, 0, 7_200_000), 3_600_000, 7_200_000);
  expect([hour >= 12, hour <= 15]).toEqual([true, true]);
  const month = left(every(600_000, 0, 12 * DAY), 2 * DAY, 12 * DAY);
  expect([month >= 10, month <= 13]).toEqual([true, true]);
  const year = left(every(3_600_000, 0, 110 * DAY), 40 * DAY, 110 * DAY);
  expect([year >= 10, year <= 13]).toEqual([true, true]);
});
test('a clock that leaps by months, forward or back, thins nothing of what was written just before', () => {
  const minute = 60_000;
  for (const leap of [60 * DAY, 365 * DAY, 23 * 365 * DAY]) {
    // 35 versions of this hour, then 26 under the wrong clock.
    const before = Array.from({ length: 35 }, (_, i) => NOW - leap - (i + 1) * 10_000);
    const after = Array.from({ length: 26 }, (_, i) => NOW - i * 10_000);
    const kept = (times: readonly number[]): Kept[] =>
      times.map((t, i) => ({ id: i, at: new Date(t).toISOString(), refused: false, held: false }));
    expect(thinned(kept([...after, ...before]), NOW)).toEqual([]);
    // Set right again: the newest stand before the others in time.
    const right = NOW - leap + minute;
    expect(thinned(kept([...[0, 1, 2].map((i) => right - i * 1000), ...after, ...before]), right)).toEqual([]);
  }
});
test('never the newest, the first, or one that a batch was made from; and thinning again takes nothing more', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 400 * DAY }), fc.boolean(), fc.boolean()), {
        minLength: 1,
        maxLength: 80,
      }),
      (list) => {
        const all = versions(
          list.map(([age]) => age),
          (i) => ({ held: list[i][1], refused: list[i][2] && !list[i][1] }),
        );
        const gone = new Set(thinned(all, NOW));
        expect(gone.has(all[0].id) || gone.has(all[all.length - 1].id)).toBe(false);
        expect(all.filter((v) => v.held && gone.has(v.id))).toEqual([]);
        // A refused version is another window's work: it stays for three months.
        expect(all.filter((v) => v.refused && gone.has(v.id) && NOW - Date.parse(v.at) < 90 * DAY)).toEqual([]);
        expect(
          thinned(
            all.filter((v) => !gone.has(v.id)),
            NOW,
          ),
        ).toEqual([]);
      },
    ),
    { seed: 3, numRuns: 200 },
  );
});
