import fc from 'fast-check';
import {
  coldWaterToReach,
  fermentTime,
  gellingMidpoint,
  mixTemperature,
  NO_PARTS,
  relativeViscosity,
  serumViscosity,
  settlingSpeed,
  textureOf,
  landmarkFor,
} from '.';

describe('consistency', () => {
  test('Krieger–Dougherty by hand: φ = 0.29 is half of φm, ηr = 2^(2.5·0.58) = 2.732', () => {
    expect(relativeViscosity(0.29)).toBeCloseTo(2 ** 1.45, 9);
    expect(relativeViscosity(0)).toBe(1);
  });
  test('above 0.95 φm it is a dough and no number is given', () => {
    expect(relativeViscosity(0.56)).toBeUndefined();
    expect(landmarkFor(undefined)).toMatch(/dough/);
  });
  test('syrup of 40 % sugar: e^(1.16/0.68) = 5.506 mPa·s', () =>
    expect(serumViscosity(0.4, 0)).toBeCloseTo(Math.exp(1.16 / 0.68), 9));
  test('coconut fat at 10 % by volume: 1 + 0.25 + 0.1 = 1.35 times', () =>
    expect(serumViscosity(0, 0.1)).toBeCloseTo(1.35, 12));
  test('Stokes with Richardson–Zaki by hand: 25 µm at φ = 0.2 in water', () => {
    // 500·9.81·(25e-6)²/(18·1e-3) = 1.7031e-4 m/s; × 0.8^4.65 = 0.35429 → 6.034e-5
    expect(settlingSpeed(25, 0.2, 1)).toBeCloseTo(6.034e-5, 7);
  });
  test('thicker batter never settles faster', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (a, b) => {
          expect(settlingSpeed(20, Math.max(a, b), 1)).toBeLessThanOrEqual(settlingSpeed(20, Math.min(a, b), 1));
        },
      ),
    );
  });
});

describe('texture', () => {
  const at = (tapioca: number, concentration = 0.22) =>
    textureOf({ starchShares: { rice: 1 - tapioca, tapioca }, concentration, sugarPhase: 0, fatPct: 0, proteinPct: 0 });
  test('plain rice at C = 0.22: M = 6/5, firm = 10·1.2/2.2', () => {
    expect(at(0).firm).toBeCloseTo(12 / 2.2, 9);
    expect(at(0).chewy).toBeCloseTo(2, 9);
  });
  test('more tapioca is never less chewy at equal hydration', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0.05, max: 0.4, noNaN: true }),
        (a, b, c) => {
          expect(at(Math.max(a, b), c).chewy).toBeGreaterThanOrEqual(at(Math.min(a, b), c).chewy - 1e-12);
        },
      ),
    );
  });
  test('more starch is never softer, and every axis stays within 0 to 10', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.6, noNaN: true }),
        fc.double({ min: 0.02, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        (a, b, s) => {
          expect(at(0.3, Math.max(a, b)).firm).toBeGreaterThanOrEqual(at(0.3, Math.min(a, b)).firm);
          const t = textureOf({
            starchShares: { glutinous: 1 },
            concentration: a,
            sugarPhase: s,
            fatPct: 15,
            proteinPct: 3,
          });
          for (const v of Object.values(t)) {
            expect(v).toBeGreaterThanOrEqual(0);
            expect(v).toBeLessThanOrEqual(10);
          }
        },
      ),
    );
  });
});

describe('gelling midpoint', () => {
  const plain = { starchShares: { rice: 1 }, sugarPhase: 0, saltInWaterPct: 0, waterToStarch: 4 } as const;
  test('rice alone: 81 − 4 = 77 °C', () => expect(gellingMidpoint(plain)).toBeCloseTo(77, 9));
  test('rice 80, tapioca 20: 0.7·(0.8·77 + 0.2·73) + 0.3·77 = 76.44 °C', () =>
    expect(gellingMidpoint({ ...plain, starchShares: { rice: 0.8, tapioca: 0.2 } })).toBeCloseTo(76.44, 9));
  test('sugar at 30 % adds 18·0.3 + 40·0.09 = 9 °C; salt 1 % adds 1.5; scarce water 0.7 adds 6', () => {
    expect(gellingMidpoint({ ...plain, sugarPhase: 0.3 })).toBeCloseTo(86, 9);
    expect(gellingMidpoint({ ...plain, saltInWaterPct: 1 })).toBeCloseTo(78.5, 9);
    expect(gellingMidpoint({ ...plain, waterToStarch: 0.7 })).toBeCloseTo(83, 9);
  });
});

describe('temperature and yeast', () => {
  const water = (g: number) => ({ ...NO_PARTS, water: g });
  test('equal water at 90 and 10 °C meets near 50 °C', () =>
    expect(
      mixTemperature([
        { parts: water(500), tempC: 90 },
        { parts: water(500), tempC: 10 },
      ]),
    ).toBeCloseTo(50, 0));
  test('cold water to hold back brings the mix to the target', () => {
    const hot = [{ parts: { ...NO_PARTS, water: 300, sugar: 200 }, tempC: 75 }];
    const cold = coldWaterToReach(hot, 15, 38) ?? NaN;
    expect(mixTemperature([...hot, { parts: water(cold), tempC: 15 }])).toBeCloseTo(38, 0);
  });
  test('at 1 % and 28 °C it takes an hour; 9 °C cooler twice that; half the dose 2^0.8 times', () => {
    expect(fermentTime(1, 28, 0)).toBeCloseTo(3600, 6);
    expect(fermentTime(1, 19, 0)).toBeCloseTo(7200, 6);
    expect(fermentTime(0.5, 28, 0)).toBeCloseTo(3600 * 2 ** 0.8, 6);
    expect(fermentTime(1, 28, 0.35)).toBeCloseTo(3600 * 1.2, 6);
    expect(fermentTime(1, 45, 0)).toBeUndefined();
  });
});
