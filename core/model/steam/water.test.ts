import fc from 'fast-check';
import { DEFAULT_STEAMER } from '../../kitchen';
import { kettleTestPower, waterPlan, type WaterInput } from '.';

const usual: WaterInput = {
  steamer: DEFAULT_STEAMER,
  lid: 'tight',
  powerW: () => 1100,
  takenJ: 0,
  totalS: 3600,
  boilUpW: 1500,
  tapC: 20,
  boilC: 100,
};
const water = (change: Partial<WaterInput> = {}, steamer: Partial<WaterInput['steamer']> = {}) =>
  waterPlan({ ...usual, lid: steamer.lid ?? 'tight', ...change, steamer: { ...DEFAULT_STEAMER, ...steamer } });
const codes = (w: ReturnType<typeof waterPlan>) => w.problems.map((p) => p.code);

test('boil-off by hand: 1.1 kW ÷ 2257 kJ/kg × 0.5 at a tight lid = 0.2437 g/s, 15.26 ml a minute', () => {
  expect(water().boilOffMlPerMin).toBeCloseTo(((1100 / 2_257_000) * 0.5 * 60 * 1e6) / 958, 6);
  expect(water().boilOffMlPerMin).toBeCloseTo(15.26, 2);
});
test('what condenses on the cake is not boiled off: 1.98 MJ in an hour is 550 W of the 1100', () =>
  expect(water({ takenJ: 1.98e6 }).boilOffMlPerMin).toBeCloseTo(water().boilOffMlPerMin / 2, 6));
test('7.1 l at 1.18 kW come to the boil in half an hour, not in ten minutes', () => {
  // 7.1 l × 0.998 × 4186 × 80 ÷ 1180 = 2011 s
  const w = water({ filledMl: 7100, boilUpW: 1180 }, { waterDepthM: 0.2 });
  expect(w.boilUpS).toBeCloseTo(2011, 0);
  expect(w.fromKettleS).toBeLessThan(w.boilUpS / 5);
});
test('one litre from 20 to 100 °C in 5 minutes is about 1.1 kW, and the same power boils it in the same time', () => {
  expect(kettleTestPower(1, 20, 100, 300)).toBeCloseTo(1114, 0);
  expect(water({ filledMl: 1000, boilUpW: kettleTestPower(1, 20, 100, 300) }).boilUpS).toBeCloseTo(300, 6);
});
test('water over an hour by hand: what was filled, less what boiled away, plus top-ups', () => {
  const w = water({ totalS: 4 * 3600 });
  expect(w.leftMl).toBeCloseTo(w.startMl + w.topUps * w.topUpMl - w.boilOffMlPerMin * 240, 6);
  expect(w.firstTopUpS).toBe(w.topUps > 0 ? w.timesS[0] : undefined);
});

describe('what cannot work is said', () => {
  test('a pot with 12 mm under its rack is too shallow, boils dry, and lists no top-ups', () => {
    const w = water({}, { waterDepthM: 0.012 });
    expect(codes(w)).toEqual(expect.arrayContaining(['pot-too-shallow', 'boils-dry']));
    expect(w.topUps).toBe(0);
    expect(w.startMl).toBeGreaterThan(0);
  });
  test('a narrow pot that wants water every few minutes is told so, and no more than 24 times are listed', () => {
    const w = water({ powerW: () => 1500, totalS: 4 * 3600 }, { potDiameterM: 0.12, waterDepthM: 0.03, lid: 'woven' });
    expect(codes(w)).toContain('tops-up-too-often');
    expect(w.timesS.length).toBeLessThanOrEqual(24);
  });
  test('water that stands above the rack', () => expect(codes(water({ filledMl: 5000 }))).toContain('water-over-rack'));
  test('a cup of water boils dry before the cake is done', () => {
    const w = water({ filledMl: 120 });
    expect(w.dryS).toBeLessThan(900);
    expect(codes(w)).toEqual(expect.arrayContaining(['boils-dry', 'too-little-water']));
  });
  test('a usual steamer has none of it', () => expect(water().problems).toEqual([]));
  test('a pressure pot loses hardly any', () =>
    expect(water({}, { pressureTempC: 112 }).boilOffMlPerMin).toBeLessThan(water().boilOffMlPerMin / 10));
});

test('whatever the pot, depth, heat and time: nothing negative, nothing without an end, and what lasts is never longer than what dries', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.08, max: 0.9, noNaN: true }),
      fc.double({ min: 0.01, max: 0.4, noNaN: true }),
      fc.double({ min: 50, max: 6000, noNaN: true }),
      fc.double({ min: 0, max: 40_000, noNaN: true }),
      fc.option(fc.double({ min: 0, max: 40_000, noNaN: true }), { nil: undefined }),
      (potDiameterM, waterDepthM, watts, totalS, filledMl) => {
        const w = water({ powerW: () => watts, boilUpW: watts, totalS, filledMl }, { potDiameterM, waterDepthM });
        for (const v of [w.startMl, w.boilUpS, w.lastsS, w.dryS, w.topUps, w.topUpMl, w.leftMl, w.boilOffMlPerMin]) {
          expect(Number.isFinite(v)).toBe(true);
          expect(v).toBeGreaterThanOrEqual(0);
        }
        expect(w.lastsS).toBeLessThanOrEqual(w.dryS + 1e-6);
        expect(w.timesS.length).toBeLessThanOrEqual(24);
        if (w.topUps === 0 && w.lastsS < totalS - 1) expect(codes(w)).toContain('boils-dry');
      },
    ),
    { numRuns: 300 },
  );
});
