import { FAMILIES, formulaOf } from '../families';
import { planChanges } from './changes';
import type { Plan } from './schema';

const plan = formulaOf(FAMILIES[1]);
const named = (id: string) => id.toUpperCase();
const changed = (change: Partial<Plan>) => planChanges(plan, { ...plan, ...change }, named);

test('nothing changed says nothing, in whatever order the keys stand', () => {
  const turned = Object.fromEntries(Object.entries(JSON.parse(JSON.stringify(plan)) as object).reverse()) as Plan;
  expect(planChanges(plan, turned, named)).toEqual([]);
});
test('lines by name and gram, in and out, and how they are handled', () => {
  const [first, second, ...rest] = plan.addIns;
  const addIns: Plan['addIns'] = [
    { ...first, massG: first.massG + 1 },
    ...rest,
    { id: 'new', ingredient: 'tapioca', massG: 12.5, treatment: 'as-is' },
  ];
  expect(changed({ addIns })).toEqual([
    `${named(first.ingredient)} ${first.massG} g to ${first.massG + 1} g`,
    'TAPIOCA 12.5 g added',
    `${named(second.ingredient)} ${second.massG} g taken out`,
  ]);
  expect(changed({ addIns: plan.addIns.map((l, i) => (i === 0 ? { ...l, keptBack: 0.3 } : l)) })).toEqual([
    `${named(first.ingredient)}: how it is handled`,
  ]);
});
test('pans, heat, guests and every other part', () => {
  const tin = {
    id: 'tin',
    name: 'Tin',
    shape: 'round',
    material: 'steel',
    diameterM: 0.2,
    heightM: 0.05,
    count: 1,
    provenance: 'measured',
  } as const;
  expect(changed({ vessel: tin })).toEqual([expect.stringMatching(/^pan .* to Tin$/)]);
  expect(planChanges({ ...plan, vessel: tin }, { ...plan, vessel: { ...tin, heightM: 0.06 } }, named)).toEqual([
    'pan: its sizes',
  ]);
  expect(changed({ guests: 30, layers: 4, notes: 'x', paper: true, vesselCount: 2 })).toEqual([
    `guests ${plan.guests} to 30`,
    `pans ${plan.vesselCount} to 2`,
    'layers as usual to 4',
    'paper in the pan',
    'notes',
  ]);
  expect(
    planChanges({ ...plan, waits: { 'rest:cake': 600 } }, { ...plan, waits: { 'rest:cake': 1200 } }, named),
  ).toEqual(['a wait of 10 min to 20 min']);
});
test('every part of the plan is told when it changes', () => {
  const untold = (Object.keys(plan) as (keyof Plan)[]).filter((key) => {
    if (key === 'format' || key === 'version') return false;
    // Something else than is there, of the same kind.
    const is = plan[key];
    const other =
      typeof is === 'number'
        ? is + 1
        : typeof is === 'boolean'
          ? !is
          : typeof is === 'string'
            ? `${is}x`
            : Array.isArray(is)
              ? []
              : { ...is, added: 1 };
    if (JSON.stringify(is) === JSON.stringify(other)) return false;
    return planChanges(plan, { ...plan, [key]: other } as Plan, named).length === 0;
  });
  expect(untold).toEqual([]);
});
