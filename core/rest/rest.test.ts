import { constantMaterial, conduct, roundGrid, slabTheta } from '../heat';
import { carryOver, daysUntilHarder, recrystallisingRate, resteamTime, staling } from '.';
import { coolingRemedies } from '../remedies';
import { FAMILIES } from '../families';
import { kitchenSchema } from '../kitchen';
import { forecast } from '../forecast';
import { COARSE_GRID } from '../steam';

describe('cooling', () => {
  test('a slab cooled from both faces follows the analytic series', () => {
    const side = { filmH: 350, outerR: 0, innerR: 0, capacity: 0, ambientC: 0 };
    const shut = { ...side, filmH: 1e-9 };
    const run = conduct({
      grid: roundGrid(() => 0.1, 0.04, 1, 32),
      materials: [constantMaterial(0.5, 3.6e6)],
      initialC: 95,
      sides: { base: side, wall: shut, top: side },
    });
    while (run.timeS() < 3000) run.advance(3000);
    const mid = (run.temp[15] + run.temp[16]) / 2;
    expect(mid).toBeCloseTo(95 * slabTheta(0, (350 * 0.02) / 0.5, ((0.5 / 3.6e6) * 3000) / 0.0004), 0);
  });
  test('a field carried to a coarser grid keeps its mean and its extremes', () => {
    const fine = roundGrid(() => 0.1, 0.04, 24, 32);
    const coarse = roundGrid(() => 0.1, 0.04, 12, 16);
    const values = Float64Array.from({ length: 24 * 32 }, (_, c) => 20 + 80 * ((c % 24) / 24) ** 2);
    const carried = carryOver(fine, values, coarse);
    const mean = (g: typeof fine, v: Float64Array) =>
      v.reduce((s, x, c) => s + x * g.volume[c], 0) / g.volume.reduce((a, b) => a + b, 0);
    expect(mean(coarse, carried)).toBeCloseTo(mean(fine, values), 0);
    expect(Math.max(...carried)).toBeLessThanOrEqual(Math.max(...values) + 1e-9);
  });
});

describe('remedies', () => {
  const kitchen = kitchenSchema.parse({
    vessels: [{ id: 'v', name: 'Tin', shape: 'round', material: 'steel', diameterM: 0.24, heightM: 0.06, count: 3 }],
    steamers: [
      { id: 's', name: 'S', tiers: 3, innerDiameterM: 0.3, clearHeightM: 0.1, potDiameterM: 0.3, waterDepthM: 0.06 },
    ],
  });
  const slow = {
    ...FAMILIES[1].formula(),
    cooling: [
      { where: 'counter' as const, timeS: 10_800 },
      { where: 'fridge' as const, timeS: 14_400 },
    ],
  };
  test('a slab left three hours on the counter misses the gate, and every remedy offered passes it when taken', () => {
    const before = forecast(slow, kitchen, COARSE_GRID);
    expect(before.ok && before.value.heat?.rest?.check.safe).toBe(false);
    const remedies = coolingRemedies(slow, kitchen);
    expect(remedies.length).toBeGreaterThan(0);
    for (const r of remedies) {
      const after = forecast(r.plan, kitchen, COARSE_GRID);
      expect(after.ok && after.value.heat?.rest?.check.safe).toBe(true);
    }
  });
});

describe('over the days', () => {
  const rice = { hardens: 7, firm: 6, chewy: 3, amylose: 0.25 };
  test('recrystallising is fastest near 4 °C and stops above 60 °C and when frozen', () => {
    expect(recrystallisingRate(4)).toBeGreaterThan(recrystallisingRate(22));
    expect(recrystallisingRate(65)).toBe(0);
    expect(recrystallisingRate(-18)).toBe(0);
  });
  test('hardness never falls, is faster chilled than at room, and a day and a half at 4 °C is half of the amylopectin', () => {
    const chilled = staling(rice, 'chilled');
    for (let i = 1; i < chilled.length; i++)
      expect(chilled[i].hardness).toBeGreaterThanOrEqual(chilled[i - 1].hardness);
    expect(chilled[8].hardness).toBeGreaterThan(staling(rice, 'room')[8].hardness);
    const set = 0.25 + 0.75 * 0.5;
    expect(chilled[6].hardness).toBeCloseTo(6 + 0.7 * set * 4, 3);
    expect(daysUntilHarder(staling(rice, 'frozen'), 1.2)).toBeGreaterThan(daysUntilHarder(chilled, 1.2));
  });
  test('a thicker piece takes longer to re-steam, and hot through comes after tender', () => {
    const m = constantMaterial(0.5, 3.6e6);
    const [thin, thick] = [resteamTime(m, 0.015, 0.05, 5, 100), resteamTime(m, 0.03, 0.05, 5, 100)];
    expect(thin && thick && thick.tenderS > thin.tenderS).toBe(true);
    expect(thin && thin.hotS > thin.tenderS).toBe(true);
  });
});
