import fc from 'fast-check';
import { repeatedLoads, tiltSpread, type LoadBar, type LoadsInput } from '.';

const parts: LoadsInput['parts'] = {
  preheatS: 60,
  reheatS: () => 20,
  oilS: 1,
  fillS: 4,
  liftS: 10,
  releaseS: 4,
  purgeS: 15,
  coolS: 120,
  filledInside: true,
};
const one = (pieces: number, sets: number[], places = 1, more: Partial<LoadsInput['parts']> = {}): LoadsInput => ({
  groups: [{ name: 'all', pieces, stages: [{ handsS: 0, steamS: 240 }] }],
  sets,
  places,
  parts: { ...parts, ...more },
});
const overlap = (list: readonly LoadBar[]) =>
  list.some((a, i) => list.some((b, j) => j > i && a.fromS < b.toS - 1e-9 && b.fromS < a.toS - 1e-9));
const most = (bars: readonly LoadBar[]) =>
  Math.max(0, ...bars.map((b) => bars.filter((a) => a.fromS <= b.fromS + 1e-9 && b.fromS < a.toS - 1e-9).length));

test('one set, one load, by hand: in 8, heat 60, fill 10 × 5, steam 240, lift 10, cool 120, release 10 × 4 = 528 s', () => {
  const p = repeatedLoads(one(10, [10]));
  expect(p.loads).toBe(1);
  expect(p.finishS).toBeCloseTo(8 + 60 + 50 + 240 + 10 + 120 + 40, 9);
  expect(p.handsS).toBeCloseTo(8 + 50 + 10 + 40, 9);
});
test('the second load of a set is reheated, not preheated: 40 s less', () => {
  expect(repeatedLoads(one(20, [10])).finishS).toBeCloseTo(528 + 528 - 40, 9);
});
test('a half load fills and releases faster', () =>
  expect(repeatedLoads(one(5, [10])).finishS).toBeCloseTo(8 + 60 + 25 + 240 + 10 + 120 + 20, 9));
test('pans filled on the counter, two places: the second is filled while the first steams and its lid opening costs the first', () => {
  const p = repeatedLoads(one(2, [1, 1], 2, { filledInside: false, oilS: 0, fillS: 60, coolS: 0, releaseS: 0 }));
  // Fill 60, in 8; fill 60, in 8 (held 8 + 15): first done at 68 + 240 + 23 = 331, lifted 341; second at 136 + 240 + 10 + 15 = 401, lifted 411.
  expect(p.finishS).toBeCloseTo(411, 9);
  expect(p.openings).toBe(4);
});
test('two stages: what goes on a set sheet costs hands and steams again', () => {
  const p = repeatedLoads({
    groups: [
      {
        name: 'raw',
        pieces: 1,
        stages: [
          { handsS: 0, steamS: 60 },
          { handsS: 15, steamS: 90 },
        ],
      },
    ],
    sets: [1],
    places: 1,
    parts: { ...parts, coolS: 0 },
  });
  expect(p.finishS).toBeCloseTo(8 + 60 + 5 + 60 + 15 + 90 + 10 + 4, 9);
  expect(p.again).toEqual([{ filling: 'raw', pieces: 1, steamS: 90 }]);
});
test('one set more saves time until the steamer never waits', () => {
  const p = repeatedLoads(one(60, [10]));
  expect(p.oneMoreSetSavesS).toBeGreaterThan(0);
  const kept = repeatedLoads(
    one(
      60,
      Array.from({ length: p.setsToKeepBusy }, () => 10),
    ),
  );
  expect(kept.oneMoreSetSavesS).toBeLessThan(20);
});

test('never more hands, places or moulds than there are, and every piece is made once', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 1, max: 25 }), fc.integer({ min: 1, max: 2 })), {
        minLength: 1,
        maxLength: 3,
      }),
      fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 1, maxLength: 5 }),
      fc.integer({ min: 1, max: 4 }),
      fc.boolean(),
      fc.integer({ min: 0, max: 400 }),
      (groups, sets, places, filledInside, coolS) => {
        const input: LoadsInput = {
          groups: groups.map(([pieces, n], i) => ({
            name: `g${i}`,
            pieces,
            stages: Array.from({ length: n }, () => ({ handsS: n > 1 ? 5 : 0, steamS: 90 + 60 * i })),
          })),
          sets,
          places,
          parts: { ...parts, filledInside, coolS },
        };
        const { bars, finishS, loads, handsS } = repeatedLoads(input);
        expect(overlap(bars.filter((b) => b.resource === 'hands'))).toBe(false);
        expect(most(bars.filter((b) => b.resource === 'steamer'))).toBeLessThanOrEqual(places);
        for (let s = 0; s < sets.length; s++) expect(overlap(bars.filter((b) => b.set === s))).toBe(false);
        expect(bars.every((b) => b.toS >= b.fromS && b.fromS >= 0 && b.toS <= finishS + 1e-9)).toBe(true);
        expect(handsS).toBeLessThanOrEqual(finishS + 1e-9);
        const released = bars.filter((b) => b.what === 'release');
        expect(released).toHaveLength(loads);
        const pieces = groups.reduce((a, [n]) => a + n, 0);
        expect(released.reduce((a, b) => a + (b.toS - b.fromS), 0)).toBeCloseTo(pieces * parts.releaseS, 6);
      },
    ),
    { numRuns: 200 },
  );
});

test('tilt by hand: 200 mm at 1° is ± 1.75 mm', () => {
  expect(tiltSpread(0.002, 0.2, 1).thickM).toBeCloseTo(0.002 + 0.1 * Math.tan(Math.PI / 180), 9);
  expect(tiltSpread(0.001, 0.2, 1).thinM).toBe(0);
});
