import { FAMILIES, formulaOf } from '../../families';
import { emptyKitchen } from '../../kitchen';
import { INGREDIENT_TABLE, larderOf, type Ingredient } from '../../larder';
import { formula, lightOf } from '../../testing/made';
import type { Plan } from '../../plan';
import { exchange, gearStandIns, standInsFor, STAND_INS, whatChanges, withGear, type StandIn } from '.';

const larder = larderOf();
const get = (id: string): Ingredient => {
  const i = larder.get(id);
  if (!i) throw new Error(id);
  return i;
};
const standIn = (from: string, to: string): StandIn => {
  const s = standInsFor(get(from), larder).find((x) => x.to === to);
  if (!s) throw new Error(`${from} → ${to}`);
  return s;
};
const swapped = (plan: Plan, from: string, to: string) => {
  const at = plan.batters[0].lines.findIndex((l) => l.ingredient === from);
  return at >= 0
    ? exchange(plan, 0, at, standIn(from, to), larder)
    : exchange(
        plan,
        'addIns',
        plan.addIns.findIndex((l) => l.ingredient === from),
        standIn(from, to),
        larder,
      );
};

test('what is written down names things of the larder, each pair once, in a weight that can be', () => {
  const pairs = STAND_INS.map((s) => `${s.from} → ${s.to}`);
  expect(new Set(pairs).size).toBe(pairs.length);
  for (const s of STAND_INS) {
    expect([s.from, larder.has(s.from), s.to, larder.has(s.to)]).toEqual([s.from, true, s.to, true]);
    expect(s.factor).toBeGreaterThan(0);
  }
});
test('every thing of the larder has one written down, but what burns, and powder that nothing else replaces', () => {
  const none = INGREDIENT_TABLE.filter((i) => standInsFor(i, larder).length === 0).map((i) => i.id);
  expect(none).toEqual(['baking-powder', 'calcium-hydroxide']);
  // Nothing is offered for its composition alone, and no plain flour in place of a sticky one.
  for (const i of INGREDIENT_TABLE)
    for (const x of standInsFor(i, larder)) expect([i.id, STAND_INS.includes(x)]).toEqual([i.id, true]);
  expect(standInsFor(get('rice-flour-coarse'), larder).map((x) => x.to)).toEqual(['rice-flour-fine']);
});
test('a cook\u2019s own flour has the nearest of the same starch; her own leaf has none', () => {
  const own = (id: string, kind: Ingredient['kind'], like: string): Ingredient => ({
    ...get(like),
    id,
    kind,
    name: id,
  });
  const mine = own('mill-flour', 'flour', 'rice-flour-coarse');
  expect(standInsFor(mine, larder).map((x) => x.to)).toEqual(['rice-flour-coarse', 'rice-flour-fine']);
  expect(standInsFor(own('my-leaf', 'vegetable', 'chives'), larder)).toEqual([]);
});

describe('brought back in balance', () => {
  test('light coconut milk by 0.3 of full: the liquid stays, its fat too, water makes up the rest', () => {
    const slab = formula('savoury-coconut-slab');
    const light: Plan = {
      ...slab,
      batters: slab.batters.map((b) => ({
        ...b,
        lines: b.lines.map((l) => (l.ingredient === 'coconut-milk' ? { ...l, ingredient: 'coconut-milk-light' } : l)),
      })),
    };
    const { plan } = swapped(light, 'coconut-milk-light', 'coconut-milk');
    const [a, b] = [lightOf(light).balance.batters[0], lightOf(plan).balance.batters[0]];
    expect(b.fatPct).toBeCloseTo(a.fatPct, 0);
    expect(Math.abs(b.hydration / a.hydration - 1)).toBeLessThan(0.02);
  });
  test('full coconut milk by cream: the same fat and the same water', () => {
    const slab = formula('savoury-coconut-slab');
    const { plan, rebalanced } = swapped(slab, 'coconut-milk', 'coconut-cream');
    const [a, b] = [lightOf(slab).balance.batters[0], lightOf(plan).balance.batters[0]];
    expect(Math.abs(b.hydration / a.hydration - 1)).toBeLessThan(0.01);
    expect(b.fatPct).toBeCloseTo(a.fatPct, 1);
    expect(rebalanced.join()).toMatch(/\+\d+ g water/);
  });
  test('cured sausage by smoked tofu: salt and fat made up, no meat left, soya stays', () => {
    const radish = formula('radish-slab');
    const { plan, rebalanced } = swapped(radish, 'cured-sausage', 'smoked-tofu');
    const [a, b] = [lightOf(radish).balance, lightOf(plan).balance];
    expect(b.whole.salt).toBeCloseTo(a.whole.salt, 0);
    expect(b.whole.fat).toBeCloseTo(a.whole.fat, 0);
    expect(b.allergens).not.toContain('sulphites');
    expect(rebalanced.join()).toMatch(/salt.*oil/);
  });
  test('soaked beans by cooked ones: the water they soak up counts on both sides', () => {
    const squash = formula('squash-slab');
    const beans = { id: 'beans', ingredient: 'mung-beans-dry', massG: 60, treatment: 'soaked' as const };
    const soaked: Plan = {
      ...squash,
      batters: squash.batters.map((b) => ({ ...b, lines: [...b.lines, beans] })),
    };
    const { plan } = swapped(soaked, 'mung-beans-dry', 'mung-beans-cooked');
    const [a, b] = [lightOf(soaked).balance, lightOf(plan).balance];
    expect(Math.abs(b.whole.water / a.whole.water - 1)).toBeLessThan(0.01);
  });
  test('thick syrup for sugar: as much sugar, and its water comes off the liquid', () => {
    const sponge = formula('yeast-sponge');
    const { plan } = swapped(sponge, 'white-sugar', 'golden-syrup');
    const [a, b] = [lightOf(sponge).balance.batters[0], lightOf(plan).balance.batters[0]];
    expect(Math.abs(b.parts.sugar / a.parts.sugar - 1)).toBeLessThan(0.02);
    expect(Math.abs(b.parts.water / a.parts.water - 1)).toBeLessThan(0.02);
  });
  test('instant yeast ferments as long in three quarters of the dose', () => {
    const sponge = formula('yeast-sponge');
    const { plan } = swapped(sponge, 'dry-yeast', 'instant-yeast');
    const time = (p: Plan) => lightOf(p).ferment?.timeS ?? NaN;
    expect(time(plan) / time(sponge)).toBeCloseTo(1, 1);
  });
  test('the line keeps its id, so a weighing is not lost', () => {
    const radish = formula('radish-slab');
    const { plan } = swapped(radish, 'radish', 'yam-bean');
    expect(plan.addIns[0]).toMatchObject({ id: 'radish', ingredient: 'yam-bean', treatment: 'wilted' });
    expect(lightOf(plan).problems).toEqual([]);
  });
});

test('what changes is said: bite, allergens both ways, diets', () => {
  const rolls = formula('filled-rolls');
  const { plan } = swapped(rolls, 'wheat-starch', 'maize-starch');
  const bare = (p: Plan): Plan => ({ ...p, accompaniments: [], fillings: [] });
  expect(whatChanges(bare(rolls), bare(plan), emptyKitchen())?.sentences.join(' ')).toMatch(/Goes out: wheat\/gluten/);
  const slab = formula('savoury-coconut-slab');
  const potato = swapped(slab, 'tapioca', 'potato-starch').plan;
  expect(whatChanges(slab, potato, emptyKitchen())?.sentences.join(' ')).toMatch(/less chewy/);
});

test('every exchange of every shipped formula still cooks', () => {
  for (const f of FAMILIES) {
    const plan = formulaOf(f);
    const all = [
      ...plan.batters.flatMap((b, i) => b.lines.map((l, j) => ({ l, place: i as number | 'addIns', j }))),
      ...plan.addIns.map((l, j) => ({ l, place: 'addIns' as const, j })),
    ];
    for (const { l, place, j } of all)
      for (const s of standInsFor(get(l.ingredient), larder)) {
        const next = exchange(plan, place, j, s, larder).plan;
        const light = lightOf(next);
        expect([f.id, s.from, s.to, light.balance.problems.map((p) => p.sentence)]).toEqual([f.id, s.from, s.to, []]);
        expect(light.balance.massG).toBeGreaterThan(0);
      }
  }
});

test('gear stands in: casserole, oven tray, sauce dishes, a cloth for a woven lid, each a plan that cooks', () => {
  for (const f of FAMILIES)
    for (const g of gearStandIns(formulaOf(f))) {
      const next = withGear(formulaOf(f), g, emptyKitchen());
      const l = lightOf(next);
      expect([f.id, g.id, l.problems.map((p) => p.sentence)]).toEqual([f.id, g.id, []]);
      if (g.guard) expect(next.schools.dripGuard).toBe('cloth');
    }
  expect(gearStandIns(formula('dimpled-cups')).map((g) => g.id)).toContain('dessert-plate');
});
