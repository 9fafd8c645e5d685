import { WATER_J_KG_K } from '../../units';
import fc from 'fast-check';
import {
  coldWaterToReach,
  gellingIn,
  gellingMidpoint,
  setsAt,
  packedViscosity,
  relativeViscosity,
  serumViscosity,
  settlingSpeed,
  swollenVolume,
  textureOf,
  THICKNESS,
  thicknessWord,
  viscosityOfWord,
} from '.';

describe('consistency', () => {
  test('Krieger–Dougherty by hand: φ = 0.29 is half of φm, ηr = 2^(2.5·0.58) = 2.732', () => {
    expect(relativeViscosity(0.29)).toBeCloseTo(2 ** 1.45, 9);
    expect(relativeViscosity(0)).toBe(1);
  });
  test('above 0.95 φm it is a dough and no number is given', () => {
    expect(relativeViscosity(0.56)).toBeUndefined();
    expect(thicknessWord(undefined)).toBe('dough');
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
          expect(settlingSpeed(20, Math.max(a, b), 1)).toBeLessThanOrEqual(
            settlingSpeed(20, Math.min(a, b), 1) * (1 + 1e-12),
          );
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
          // To rounding: the last digit of a power may fall either way.
          expect(at(0.3, Math.max(a, b)).firm).toBeGreaterThanOrEqual(at(0.3, Math.min(a, b)).firm - 1e-12);
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
  test('rice 80, tapioca 20: 0.7·(0.8·77 + 0.2·73) + 0.3·77 = 76.44 °C; the highest counts smoothly from 5 to 15 %', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.999, noNaN: true }), (x) => {
        const at = (share: number) => gellingMidpoint({ ...plain, starchShares: { tapioca: 1 - share, rice: share } });
        expect(Math.abs(at(x + 0.001) - at(x))).toBeLessThan(0.03);
        expect(at(x + 0.001)).toBeGreaterThanOrEqual(at(x) - 1e-9);
      }),
    );

    expect(gellingMidpoint({ ...plain, starchShares: { rice: 0.8, tapioca: 0.2 } })).toBeCloseTo(76.44, 9);
  });
  test('sugar at 30 % adds 18·0.3 + 40·0.09 = 9 °C; salt 1 % adds 1.5; scarce water 0.7 adds 6', () => {
    expect(gellingMidpoint({ ...plain, sugarPhase: 0.3 })).toBeCloseTo(86, 9);
    expect(gellingMidpoint({ ...plain, saltInWaterPct: 1 })).toBeCloseTo(78.5, 9);
    expect(gellingMidpoint({ ...plain, waterToStarch: 0.7 })).toBeCloseTo(83, 9);
  });
});

describe('slurry, paste and mash on one scale', () => {
  test('swollen volumes: Qv = 1 + 1.5 (SP − 1), rice 13, tapioca 32.5, potato 44.5', () => {
    expect([swollenVolume('rice'), swollenVolume('tapioca'), swollenVolume('potato')]).toEqual([13, 32.5, 44.5]);
  });
  test('the house points of a paste at 80 °C: 0.6 → 120, 1 → 5000, 2.5 → 100 000 mPa·s', () => {
    const at = (zeta: number) => packedViscosity({ raw: 0, swollen: zeta, serumMPas: 1, tempC: 80 });
    expect(at(0.6)).toBeCloseTo(120, 6);
    expect(at(1)).toBeCloseTo(5000, 6);
    expect(at(2.5)).toBeCloseTo(100_000, 3);
  });
  test('a paste thickens as it cools, four times over 50 °C; a raw slurry does not', () => {
    const paste = (t: number) => packedViscosity({ raw: 0, swollen: 1, serumMPas: 1, tempC: t }) ?? NaN;
    expect(paste(30) / paste(80)).toBeCloseTo(4, 9);
    expect(paste(5)).toBe(paste(30));
    const slurry = (t: number) => packedViscosity({ raw: 0.4, swollen: 0, serumMPas: 1, tempC: t });
    expect(slurry(30)).toBe(slurry(80));
  });
  test('more swelling is never thinner, and nothing between slurry and paste jumps', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 0.99, noNaN: true }),
        fc.constantFrom('rice', 'tapioca', 'maize', 'glutinous'),
        (c, w, kind) => {
          const at = (x: number) =>
            packedViscosity({
              raw: c * 1.7 * (1 - x),
              swollen: c * swollenVolume(kind) * x,
              serumMPas: 1,
              tempC: 80,
            }) ?? Infinity;
          expect(at(w + 0.01)).toBeGreaterThanOrEqual(at(w) * 0.999);
          expect(at(w + 0.01) / at(w)).toBeLessThan(3);
        },
      ),
    );
  });
  test('each word is a decade or less, in order, and its middle is its own word', () => {
    for (let i = 1; i < THICKNESS.length - 1; i++) {
      expect(THICKNESS[i].toMPas / THICKNESS[i - 1].toMPas).toBeLessThanOrEqual(10);
      expect(thicknessWord(viscosityOfWord(THICKNESS[i].words))).toBe(THICKNESS[i].words);
    }
    expect([1, 2, 4, 10, 100, 1000, 8000, 60_000, 500_000].map(thicknessWord)).toEqual(
      THICKNESS.slice(0, 9).map((t) => t.words),
    );
  });
});

test('cold water to hold back: 500 g of water at 75 °C wants (75 − 38)/(38 − 15) of its mass at 15 °C to land at 38', () => {
  expect(coldWaterToReach((500 * WATER_J_KG_K) / 1000, 75, 15, 38)).toBeCloseTo((500 * 37) / 23, 6);
  expect(coldWaterToReach((500 * WATER_J_KG_K) / 1000, 30, 15, 38)).toBeUndefined();
  expect(coldWaterToReach((500 * WATER_J_KG_K) / 1000, 75, 40, 38)).toBeUndefined();
});

describe('gelling in sugar and scarce water', () => {
  const at = (sugarPhase: number, waterToStarch: number, sugarToStarch: number, midpointC = 77) =>
    gellingIn(midpointC, { sugarPhase, waterToStarch, sugarToStarch });
  test('in plenty of plain water it is as before: 1.8 °C wide, at its own rate, all at once', () =>
    expect(at(0, 4, 0)).toEqual({ midpointC: 77, widthC: 1.8, plainC: 77, rate: 1, lateShare: 0, lateC: 77 }));
  test('by hand: s = 0.2, water 1.2 and sugar 0.8 a gram of starch', () => {
    // Free water 1.2 − 0.36 = 0.84: width 1.8 + 0.4 + 2·0.16 = 2.52; rate e^−0.4; lack 1 − 0.84/1.5 = 0.44, half of it late, 6.6 °C higher.
    const g = at(0.2, 1.2, 0.8);
    expect(g.widthC).toBeCloseTo(2.52, 9);
    expect(g.rate).toBeCloseTo(Math.exp(-0.4), 12);
    expect(g.lateShare).toBeCloseTo(0.22, 9);
    expect(g.lateC).toBeCloseTo(83.6, 9);
  });
  test('more sugar and less water never set it at a lower temperature, never faster, and broadening ends where 95 % is set by 96.5 °C', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.double({ min: 0.4, max: 4, noNaN: true }),
        (a, b, water) => {
          const [less, more] = [Math.min(a, b), Math.max(a, b)].map((s) => {
            const sugar = (s * water) / (1 - s);
            return gellingIn(
              gellingMidpoint({
                starchShares: { rice: 1 },
                sugarPhase: s,
                saltInWaterPct: 0,
                waterToStarch: water,
              }),
              { sugarPhase: s, waterToStarch: water, sugarToStarch: sugar },
            );
          });
          expect(setsAt(more)).toBeGreaterThanOrEqual(setsAt(less) - 1e-9);
          expect(more.rate).toBeLessThanOrEqual(less.rate);
          for (const g of [less, more])
            expect(setsAt(g)).toBeLessThanOrEqual(Math.max(96.5, g.midpointC + Math.log(19) * 1.8) + 1e-9);
        },
      ),
    );
  });
});
