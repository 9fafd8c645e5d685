import fc from 'fast-check';
import { DEFAULT_STEAMER, DEFAULT_VESSEL, vesselSchema } from '../kitchen';
import { COARSE_GRID, FINE_GRID, kettleTestPower, singlePour, steamTimes, waterPlan, type SinglePour } from '.';
import { figure } from '../units';

const parts = { water: 750, starch: 220, sugar: 0, fat: 20, protein: 15, fibreAsh: 10, salt: 5 };
const pour: SinglePour = {
  parts,
  midpointC: 77,
  gasShare: 0,
  vessel: DEFAULT_VESSEL,
  depthM: 0.03,
  startC: 25,
  startG: 0,
  mouldC: 25,
  material: 'aluminium',
  paper: false,
  foil: false,
  filmH: 220,
  steamC: 100,
  powerW: 1100,
};
const clean = (change: Partial<SinglePour>, size = COARSE_GRID) =>
  singlePour({ ...pour, ...change }, 0, size).firstCleanPickS ?? Infinity;

describe('first clean pick', () => {
  test('a deeper pour is never done sooner', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.055, noNaN: true }),
        fc.double({ min: 0.01, max: 0.055, noNaN: true }),
        (a, b) => {
          expect(clean({ depthM: Math.max(a, b) })).toBeGreaterThanOrEqual(clean({ depthM: Math.min(a, b) }) - 0.5);
        },
      ),
      { numRuns: 12 },
    );
  });
  test('metal is never slower than ceramic, no guard never slower than foil, no paper never slower than paper', () => {
    expect(clean({ material: 'aluminium' })).toBeLessThanOrEqual(clean({ material: 'ceramic' }));
    expect(clean({ material: 'steel' })).toBeLessThanOrEqual(clean({ material: 'ceramic' }));
    expect(clean({ foil: false })).toBeLessThanOrEqual(clean({ foil: true }));
    expect(clean({ paper: false })).toBeLessThanOrEqual(clean({ paper: true }));
  });
  test('more power, a hotter start and a lower gelling point are never slower', () => {
    expect(clean({ powerW: 1500 })).toBeLessThanOrEqual(clean({ powerW: 300 }));
    expect(clean({ startC: 60 })).toBeLessThanOrEqual(clean({ startC: 20 }));
    expect(clean({ midpointC: 72 })).toBeLessThanOrEqual(clean({ midpointC: 84 }));
  });
  test('halving the grid changes it by less than 2 %, in a round pan and in a box', () => {
    const square = vesselSchema.parse({ ...DEFAULT_VESSEL, shape: 'rectangular', lengthM: 0.2, widthM: 0.15 });
    for (const vessel of [DEFAULT_VESSEL, square])
      expect(Math.abs(clean({ vessel }, COARSE_GRID) / clean({ vessel }, FINE_GRID) - 1)).toBeLessThan(0.02);
  });
  test('energy is conserved within 0.5 %', () => expect(singlePour(pour).energyError).toBeLessThan(0.005));
  test('a cake that needs more than boiling heat never sets, and says so', () =>
    expect(singlePour({ ...pour, midpointC: 108 }, 0.2, COARSE_GRID).firstCleanPickS).toBeUndefined());
  test('the coldest spot of a round pan lies on its axis', () =>
    expect(singlePour(pour, 0, COARSE_GRID).coldSpot.xM).toBeLessThan(0.02));
});

describe('times and water', () => {
  test('check at 0.85 ×, plan for 1.2 × and the rest, all with the learned factor', () => {
    const t = steamTimes(1000, figure(1.1, 'learned'), 300, 2);
    expect(t.firstCleanPickS.value).toBeCloseTo(1100, 9);
    expect(t.checkAtS).toBeCloseTo(935, 9);
    expect(t.planForS).toBeCloseTo(1620, 9);
    expect(t.unlearnedS).toBe(1000);
  });
  test('boil-off by hand: 1.1 kW ÷ 2257 kJ/kg × 0.45 = 0.2193 g/s', () => {
    const w = waterPlan(DEFAULT_STEAMER, 1100, 3600);
    expect(w.boilOffMlPerMin).toBeCloseTo(((1100 / 2_257_000) * 0.45 * 60 * 1e6) / 958, 6);
    expect(w.topUps).toBe(0);
    expect(waterPlan(DEFAULT_STEAMER, 1500, 6 * 3600).topUps).toBeGreaterThan(0);
  });
  test('one litre from 20 to 100 °C in 5 minutes is about 1.1 kW', () =>
    expect(kettleTestPower(1, 20, 100, 300)).toBeCloseTo(1114, 0));
});
