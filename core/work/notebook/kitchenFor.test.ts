import { formula } from '../../testing/made';
import { FAMILIES, formulaOf } from '../../families';
import { forecast } from '../../forecast';
import { emptyKitchen, kitchenSchema, whoIs, type Kitchen } from '../../kitchen';
import { INGREDIENT_TABLE } from '../../larder';
import { planSchema } from '../../plan';
import { COARSE_GRID } from '../../model/steam';
import { readSnapshot, snapshotOf } from './snapshot';
import { overWater } from '../../stations/steam';

const tin = (id: string, heightM: number) => ({
  id,
  name: id,
  shape: 'round',
  diameterM: 0.2,
  heightM,
  material: 'steel',
  count: 1,
});
const steamer = (id: string) => ({
  id,
  name: id,
  innerDiameterM: 0.3,
  clearHeightM: 0.1,
  potDiameterM: 0.3,
  waterDepthM: 0.06,
});
/** A full kitchen, with what was learned of two steamers and much that no plan of it needs. */
const kitchen: Kitchen = kitchenSchema.parse({
  altitudeM: 800,
  ingredients: INGREDIENT_TABLE.map((i) => ({ ...i, stockG: 100 })),
  vessels: [tin('a', 0.06), tin('b', 0.07), tin('c', 0.06)],
  steamers: [steamer('s1'), steamer('s2')],
  pots: [{ id: 'w', name: 'Big wok', kind: 'wok', capacityMl: 6000, material: 'steel' }],
  appliances: [{ id: 'm', name: 'Old blender', kind: 'blender', capacityMl: 1500, material: 'glass' }],
  timeFactors: {
    effects: [
      { kind: 'steamer', key: 's1', mean: 0.3, batches: 4 },
      { kind: 'steamer', key: 's2', mean: -0.2, batches: 3 },
      { kind: 'heat', key: whoIs('s2', 'medium', '', '').heat, mean: 0.05, batches: 3 },
    ],
    covariance: [0.01, 0.002, 0.02, 0.001, 0.003, 0.015],
  },
});

test.each(FAMILIES.map((f) => f.id))(
  '%s: what is kept of the kitchen forecasts the batch just as the kitchen did, and is far smaller',
  (id) => {
    const shipped = formula(id);
    const plan = planSchema.parse({
      ...shipped,
      vessel: shipped.vessel ?? 'c',
      steamer: 's2',
    });
    const made = forecast(plan, kitchen, COARSE_GRID);
    if (!made.ok) throw new Error(made.problems[0].sentence);
    const kept = readSnapshot(JSON.parse(JSON.stringify(snapshotOf(made.value))));
    if (!kept.ok || !kept.value.kitchen) throw new Error('no kitchen was kept');
    const again = forecast(kept.value.plan, kept.value.kitchen, COARSE_GRID);
    expect(again.ok && again.value.steps).toEqual(made.value.steps);
    expect(again.ok && overWater(again.value.heat)?.times).toEqual(overWater(made.value.heat)?.times);
    expect(JSON.stringify(kept.value.kitchen).length).toBeLessThan(JSON.stringify(kitchen).length / 3);
    expect(kept.value.kitchen.steamers.map((s) => s.id)).toEqual(['s2']);
  },
);

test('a kitchen with nothing of its own keeps nothing', () => {
  const made = forecast(formulaOf(FAMILIES[0]), emptyKitchen(), COARSE_GRID);
  expect(made.ok && snapshotOf(made.value).kitchen).toEqual(emptyKitchen());
});
