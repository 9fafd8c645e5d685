import { formula, lightOf } from '../../testing/made';
import { sheetLimits } from '../../model/batter';
import { sheetForecast } from './sheet';
import type { Plan } from '../../plan';

const rolls = formula('filled-rolls');
const sheet = (plan: Plan) => {
  const s = sheetForecast(lightOf(plan));
  if (!s) throw new Error('a sheet');
  return s;
};
const coarse: Plan = {
  ...rolls,
  batters: rolls.batters.map((b) => ({
    ...b,
    lines: b.lines.map((l) => (l.ingredient === 'rice-flour-fine' ? { ...l, ingredient: 'rice-flour-coarse' } : l)),
  })),
};

describe('sheets that hold', () => {
  const base = { texture: { chewy: 5 }, concentration: 0.22, grainUm: 20, tapioca: 0, radiusM: 0.008, tempC: 50 };
  test('the law by hand: at chew 5, C 0.22 and 20 µm a quarter strain, so 2 · 8 mm · 0.25 = 4 mm; half of it cold', () => {
    expect(sheetLimits(base).strain).toBeCloseTo(0.25, 9);
    expect(sheetLimits(base).thickestM).toBeCloseTo(0.004, 9);
    expect(sheetLimits({ ...base, tempC: 20 }).thickestM).toBeCloseTo(0.002, 9);
    expect(sheetLimits({ ...base, grainUm: 320 }).strain).toBeCloseTo(0.125, 9);
    expect(sheetLimits({ ...base, concentration: 0.88 }).strain).toBeCloseTo(0.125, 9);
  });
  test('it lifts above 1.2 mm for rice and 0.8 with a quarter tapioca', () => {
    expect(sheetLimits(base).thinnestM).toBeCloseTo(0.0012, 9);
    expect(sheetLimits({ ...base, tapioca: 0.25 }).thinnestM).toBeCloseTo(0.0008, 9);
    expect(sheetLimits({ ...base, tapioca: 0.6 }).thinnestM).toBeCloseTo(0.0008, 9);
  });
  test('the shipped rolls, noodle sheets and pan films roll and lift', () => {
    for (const id of ['filled-rolls', 'noodle-sheets', 'pan-film-sheets'])
      expect([id, sheet(formula(id)).rolls, sheet(formula(id)).lifts]).toEqual([id, true, true]);
  });
  test('a coarse flour differs visibly from a fine one: thicker batter, duller and sandier, and it rolls only thinner', () => {
    const [fine, rough] = [lightOf(rolls), lightOf(coarse)];
    const eta = (l: typeof fine) => l.consistency[0].viscosityMPas ?? Infinity;
    expect(eta(rough) / eta(fine)).toBeGreaterThan(1.2);
    expect(fine.texture.cleanBite - rough.texture.cleanBite).toBeGreaterThan(0.5);
    expect(fine.texture.chewy).toBeGreaterThan(rough.texture.chewy);
    expect(sheet(coarse).hot.thickestM / sheet(rolls).hot.thickestM).toBeLessThan(0.9);
    expect(sheet(coarse).levers[0]).toMatch(/^Fine flour of 8 µm instead of \d+ µm: up to/);
  });
  test('a thick pour cracks and a thin one tears, and both say how far to go', () => {
    const thick = sheet({ ...rolls, vesselCount: 2 });
    expect(thick.rolls).toBe(false);
    expect(thick.sentence).toMatch(/cracks at the bend: at most/);
    const thin = sheet({ ...rolls, vesselCount: 40 });
    expect(thin.lifts).toBe(false);
    expect(thin.sentence).toMatch(/tears as it is lifted: pour at least 0\.8 mm|tears as it is lifted/);
  });
  test('a slab is no sheet', () => expect(sheetForecast(lightOf(formula('radish-slab')))).toBeUndefined());
});
