import fc from 'fast-check';
import { FAMILIES, formulaOf } from '../families';
import { emptyKitchen, kitchenSchema } from '../kitchen';
import { formula, lightOf, madeOf, resolvedIn } from '../testing/made';
import { RAW_FILLING_C } from '../units';
import { fillingCounts, planSchema, type Plan } from '.';
import { loadsIn } from '../stations/steam';

const inForce = (plan: Plan) => resolvedIn(plan).plan;
const schooled = (id: string, schools: Plan['schools']): Plan => ({ ...formula(id), schools });

test('fillings that say no number share what the others leave, whole pieces, none lost', () => {
  expect(fillingCounts([{ count: 4 }, {}, {}], 9)).toEqual([4, 3, 2]);
  expect(fillingCounts([{}], 9)).toEqual([9]);
  expect(fillingCounts([{ count: 12 }, {}], 9)).toEqual([12, 0]);
  fc.assert(
    fc.property(
      fc.array(fc.option(fc.integer({ min: 0, max: 12 }), { nil: undefined }), { maxLength: 6 }),
      fc.integer({ min: 1, max: 60 }),
      (counts, pieces) => {
        const all = fillingCounts(
          counts.map((count) => ({ count })),
          pieces,
        );
        const given = counts.reduce<number>((a, c) => a + (c ?? 0), 0);
        const sum = all.reduce((a, c) => a + c, 0);
        expect(sum).toBe(counts.includes(undefined) ? Math.max(given, pieces) : given);
        const open = all.filter((_, i) => counts[i] === undefined);
        expect(open.length === 0 || Math.max(...open) - Math.min(...open) <= 1).toBe(true);
      },
    ),
  );
});

test('two raw fillings that say no number: their sheets are as many as are steamed again, and as the sentence says', () => {
  const rolls = formula('filled-rolls');
  const raw = (id: string, name: string) => ({
    id,
    name,
    doneness: 'raw' as const,
    lines: rolls.fillings[0].lines.map((l) => ({ ...l, id: `${id}-${l.id}` })),
  });
  const plan = { ...rolls, vesselCount: 9, fillings: [raw('a', 'Pork'), raw('b', 'Greens')] };
  const f = madeOf(plan);
  expect(loadsIn(f.heat)?.again.map((g) => [g.filling, g.pieces])).toEqual([
    ['a', 5],
    ['b', 4],
  ]);
  expect(f.steps.find((s) => s.id === 'assemble:sheets')?.sentence).toMatch(/5 with pork and 4 with greens/i);
});

test('a piece of one size is as wide as it is long, on the board and in the hand', () => {
  const cut = (by: NonNullable<Plan['cut']>['by']) =>
    lightOf({ ...formula('radish-slab'), cut: { shape: 'squares', by } });
  const one = cut({ kind: 'size', sizeM: 0.04 });
  expect(one.resolved.plan.cut?.by).toEqual({ kind: 'size', sizeM: 0.04, otherM: 0.04 });
  expect(one.cut).toEqual(cut({ kind: 'size', sizeM: 0.04, otherM: 0.04 }).cut);
  expect(cut({ kind: 'count', pieces: 9 }).resolved.plan.cut?.by).toEqual({ kind: 'count', pieces: 9 });
});

test('layers left out: what is poured, what is advised and what is written are one number', () => {
  const { layers: _none, ...open } = formula('rainbow-layers');
  const light = lightOf(planSchema.parse(open));
  const poured = light.flow.nodes.find((n) => n.op === 'layer')?.settings as { order: readonly number[] };
  expect(light.resolved.plan.layers).toBe(poured.order.length);
  expect(inForce(formula('radish-slab')).layers).toBe(1);
});

test('paper by the way a pan is lined keeps heat in the steam and on the counter alike', () => {
  const lined = schooled('squash-slab', { lining: 'paper' });
  expect(inForce(lined).paper).toBe(true);
  expect(inForce(schooled('squash-slab', { lining: 'oil' })).paper).toBe(false);
  const asked = { ...schooled('squash-slab', { lining: 'oil' }), paper: true };
  expect(madeOf(lined).heat?.rest).toEqual(madeOf(asked).heat?.rest);
});

test('a course that begins strong is told on the ring as strong, and learned of as strong; one that begins off, on its own heat', () => {
  const strong: Plan = {
    ...formula('radish-slab'),
    heat: 'gentle',
    heatPhases: [{ heat: 'strong', timeS: 600 }, { heat: 'gentle' }],
  };
  expect(inForce(strong).firstHeat).toBe('strong');
  expect(inForce({ ...strong, heatPhases: [{ heat: 'off', timeS: 60 }, { heat: 'strong' }] }).firstHeat).toBe('gentle');
  const own = kitchenSchema.parse({
    hobs: [{ id: 'h', name: 'Hob', rings: [{ id: 'r', name: 'front ring', marks: { strong: '9', gentle: '2' } }] }],
  });
  const steam = madeOf(strong, own).steps.find((s) => s.id === 'steam:cake');
  expect(steam?.sentence).toContain('9');
});

test.each(FAMILIES.map((f) => [f.id, f] as const))('%s: nothing that a reader needs is left open', (_, family) => {
  const { plan, document } = resolvedIn(formulaOf(family), emptyKitchen());
  expect(document).toEqual(formulaOf(family));
  for (const l of [...plan.batters.flatMap((b) => b.lines), ...plan.addIns, ...plan.fillings.flatMap((f) => f.lines)])
    for (const field of ['drawS', 'soakS', 'soakC', 'tempC', 'keptBack', 'share', 'drawSaltG', 'frySaltG'] as const)
      expect([l.id, field, typeof l[field]]).toEqual([l.id, field, 'number']);
  for (const f of plan.fillings) expect(f.safeC).toBeGreaterThanOrEqual(RAW_FILLING_C);
  for (const q of Object.keys(family.schools)) expect(plan.schools[q as keyof typeof plan.schools]).toBeDefined();
});
