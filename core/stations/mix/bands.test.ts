import { whole } from '../../units';
import { FAMILIES, formulaOf } from '../../families';
import { emptyKitchen, type Kitchen, type Vessel } from '../../kitchen';
import { chooseSchool, extraStarchIn, type Plan, type SchoolQuestion } from '../../plan';
import { formula, lightOf, madeOf, resolvedIn } from '../../testing/made';
import { lookerIn, tryFix } from '../../desk/advice';
import { bandsFor, gradeRank, outside, type Advice } from '.';

const kitchen = emptyKitchen();
const slab = formula('savoury-coconut-slab');
const advice = (plan: Plan, id: string, k: Kitchen = kitchen) => lightOf(plan, k).advice.find((a) => a.id === id);
const batter = (plan: Plan, change: Partial<Plan['batters'][number]>, at = 0): Plan => ({
  ...plan,
  batters: plan.batters.map((b, i) => (i === at ? { ...b, ...change } : b)),
});
const line = (plan: Plan, ingredient: string, massG: number, at = 0): Plan =>
  batter(plan, { lines: plan.batters[at].lines.map((l) => (l.ingredient === ingredient ? { ...l, massG } : l)) }, at);
/** The plan after the first fix of an advice, where trying it finds nothing against it. */
function taken(plan: Plan, a: Advice, k: Kitchen = kitchen): Plan | undefined {
  const look = lookerIn(k);
  const got = whole(tryFix(whole(look(plan)), a, a.fixes[0], look));
  return got.ok ? got.tried.plan : undefined;
}
const without = (plan: Plan, ingredient: string): Plan =>
  batter(plan, { lines: plan.batters[0].lines.filter((l) => l.ingredient !== ingredient) });

describe('where a band ends', () => {
  test('three per cent of slack, a quarter is far, and a fix aims just inside', () => {
    expect(outside(3.15, [3.2, 4.4])).toBeUndefined();
    expect(outside(3, [3.2, 4.4])).toMatchObject({ side: 'low', grade: 'better', aim: expect.closeTo(3.32, 9) });
    expect(outside(2, [3.2, 4.4])).toMatchObject({ grade: 'spoils' });
    expect(outside(4.6, [3.2, 4.4])).toMatchObject({ side: 'high', grade: 'better' });
    expect(outside(101.9, [100, 100])).toBeUndefined();
  });
});

describe('advice in grams, both ends', () => {
  // 255 g dry; just inside 3.2 to 4.4 is 3.32 and 4.28.
  test('too stiff: 640 g on 255 g wants 3.32 · 255 − 640 = 207 g more liquid, coconut milk and water in step', () => {
    const a = advice(batter(slab, { wantedLiquidG: 640 }), 'liquid:batter');
    expect(a?.sentence).toMatch(
      /^Stiffer than this family runs \(2\.51 where 3\.2 to 4\.4 is usual\): 205 g more liquid/,
    );
    const t = a && taken(batter(slab, { wantedLiquidG: 640 }), a);
    const milk = t?.batters[0].lines.find((l) => l.ingredient === 'coconut-milk');
    expect(t?.batters[0].wantedLiquidG).toBeCloseTo(846.6, 1);
    expect(milk?.massG).toBeCloseTo((260 * 846.6) / 640, 1);
  });
  test('too loose: 1400 g on 255 g is 1400 − 4.28 · 255 = 309 g too much, or lacks 1400 ÷ 4.28 − 255 = 72 g of dry blend', () =>
    expect(advice(batter(slab, { wantedLiquidG: 1400 }), 'liquid:batter')?.sentence).toMatch(
      /^Looser .*: 310 g less liquid, or 72 g more dry blend/,
    ));
  test('salt, on the plate: too much and too little, and none is asked of a sweet cake', () => {
    expect(advice(line(slab, 'fine-salt', 14), 'salt')?.sentence).toMatch(/Salt is 1\.\d\d % .*: take out 8\.\d g/);
    expect(advice(line(slab, 'fine-salt', 1), 'salt')?.sentence).toMatch(/Salt is 0\.0\d % of the cake.*: add 4\.\d g/);
    for (const id of ['yeast-sponge', 'rainbow-layers', 'sticky-sweet-cake', 'crisp-bit-jelly'])
      expect(advice(without(formula(id), 'fine-salt'), 'salt')).toBeUndefined();
    const salted = formula('yeast-sponge');
    const much = batter(salted, {
      lines: [...salted.batters[0].lines, { id: 'salt', ingredient: 'fine-salt', massG: 20, treatment: 'as-is' }],
    });
    expect(advice(much, 'salt')?.sentence).toMatch(/at most 0\.6 % is usual/);
  });
  test('blend: the share that is out, and the grams of each flour that would be inside', () => {
    const a = advice(line(slab, 'tapioca', 200), 'blend:batter');
    expect(a?.sentence).toMatch(/of the dry blend is (rice flour|tapioca starch); .* % is usual: /);
    expect(a?.sentence).toMatch(/\+\d+ g rice flour, −\d+ g tapioca starch/);
    // A flour this family does not know is named too, and a coarse one counts as rice.
    expect(advice(line(slab, 'rice-flour-fine', 20), 'blend:batter')?.sentence).toMatch(/70 to 82 % is usual/);
    const coarse = batter(slab, {
      lines: slab.batters[0].lines.map((l) =>
        l.ingredient === 'rice-flour-fine' ? { ...l, ingredient: 'rice-flour-coarse' } : l,
      ),
    });
    expect(advice(coarse, 'blend:batter')).toBeUndefined();
  });
  test('coconut, by the liquid', () => {
    expect(advice(line(slab, 'coconut-milk', 60), 'coconut:batter')?.sentence).toMatch(
      /Coconut milk is 7 % of the liquid; 20 to 35 % is usual: 140 g more of it and as much less water/,
    );
    expect(advice(line(slab, 'coconut-milk', 500), 'coconut:batter')?.sentence).toMatch(
      /54 % of the liquid.*less of it/,
    );
  });
  test('sugar of a bean batter is judged on dry blend and bean solids: 85 ÷ (150 + 0.34 · 310) is a third', () => {
    const a = advice(line(formula('two-tone-layers'), 'white-sugar', 85, 1), 'sugar:bean');
    expect(a?.sentence).toMatch(
      /^Bean: sugar is 33 % of the dry blend and bean solids; 45 to 100 % is usual: add 4[0-9] g/,
    );
  });
  test('yeast, powder, oil and lime, each on its own basis', () => {
    expect(advice(line(formula('yeast-sponge'), 'dry-yeast', 12), 'yeast:batter')?.sentence).toMatch(
      /^Yeast is .* % of the dry blend; .* take out \d+\.\d g/,
    );
    expect(advice(line(formula('roux-raised-cups'), 'baking-powder', 1), 'powder:batter')?.sentence).toMatch(
      /^Baking powder is 0\.3 % of the dry blend; 1 to 1\.6 % is usual: add 2\.\d g/,
    );
    expect(advice(line(formula('filled-rolls'), 'oil', 60), 'oil:batter')?.sentence).toMatch(/of the whole batter/);
    expect(advice(line(formula('pan-film-sheets'), 'oil', 4), 'oil:batter')?.sentence).toMatch(/of the dry blend/);
    expect(advice(line(formula('alkali-rice-jelly'), 'calcium-hydroxide', 9), 'alkali:batter')?.sentence).toMatch(
      /Calcium hydroxide is 3\.0 % of the grain; 0\.6 to 1\.5 % is usual: take out \d\.\d g/,
    );
  });
  test('instant yeast counts for a third more, so three quarters of the dose is right', () => {
    const sponge = formula('yeast-sponge');
    const dry = sponge.batters[0].lines.find((l) => l.ingredient === 'dry-yeast')?.massG ?? 0;
    const instant = batter(sponge, {
      lines: sponge.batters[0].lines.map((l) =>
        l.ingredient === 'dry-yeast' ? { ...l, ingredient: 'instant-yeast', massG: 0.75 * dry } : l,
      ),
    });
    expect(advice(instant, 'yeast:batter')).toBeUndefined();
    expect((lightOf(instant).ferment?.timeS ?? 0) / (lightOf(sponge).ferment?.timeS ?? 1)).toBeCloseTo(1, 1);
  });
  test('the main add-in, wherever it stands, the bits beside it, and too many pieces to hold a cut', () => {
    const radish = formula('radish-slab');
    const of = (ingredient: string, massG: number): Plan => ({
      ...radish,
      addIns: radish.addIns.map((l) => (l.ingredient === ingredient ? { ...l, massG } : l)),
    });
    expect(advice(of('radish', 3000), 'binder')?.sentence).toMatch(/Too many pieces to hold a cut: \d+ g more flour/);
    expect(advice(of('radish', 400), 'add-in')?.sentence).toMatch(
      /1\.5 times the dry blend of white radish; 3\.5 to 5\.5/,
    );
    expect(advice(of('cured-sausage', 400), 'bits')?.sentence).toMatch(/crowds it: take out/);
    const squash = formula('squash-slab');
    const at = squash.batters[0].lines.find((l) => l.ingredient === 'winter-squash');
    expect(at).toBeDefined();
    expect(advice(line(squash, 'winter-squash', 100), 'add-in')?.sentence).toMatch(
      /times the dry blend of winter squash/,
    );
  });
  test('fillings of rolls, by the roll', () => {
    const rolls: Plan = {
      ...formula('filled-rolls'),
      fillings: [
        {
          id: 'f',
          name: 'Mushroom filling',
          doneness: 'ready',
          lines: [{ id: 'm', ingredient: 'onion', massG: 90, treatment: 'as-is' }],
        },
      ],
    };
    expect(advice(rolls, 'filling:f')?.sentence).toMatch(
      /^Mushroom filling: 10 g a roll where 30 to 60 g is usual: make/,
    );
  });
  test('a radish boiled with its juice may be looser and take more maize', () => {
    const plan = { ...formula('radish-slab'), schools: { juice: 'squeeze-boil' } };
    const radish = FAMILIES.find((f) => f.id === 'radish-slab');
    if (!radish) throw new Error('radish');
    expect(bandsFor(radish, resolvedIn(plan).plan, 0).liquidToDry[1]).toBe(3.5);
    expect(bandsFor(radish, resolvedIn(plan).plan, 0).blend['maize-starch'][1]).toBe(42);
    expect(bandsFor(radish, resolvedIn({ ...plan, schools: {} }).plan, 0).liquidToDry[1]).toBe(2.6);
  });
});

test('a pot-cooked cake and a pan film need no steamer: a pan that goes into none stops nothing', () => {
  const wide: Vessel = {
    id: 'wide',
    name: 'Wide dish',
    shape: 'round',
    material: 'ceramic',
    diameterM: 0.32,
    heightM: 0.2,
    count: 1,
    provenance: 'measured',
  };
  for (const id of ['stirred-set-pudding', 'alkali-rice-jelly', 'pan-film-sheets'])
    expect(lightOf({ ...formula(id), vessel: wide }).problems).toEqual([]);
  expect(lightOf({ ...formula('taro-slab'), vessel: wide }).problems.map((p) => p.code)).toEqual([
    'pan-too-wide',
    'pan-too-tall',
  ]);
});

describe('schools', () => {
  const offered = FAMILIES.flatMap((f) =>
    Object.entries(f.schools).flatMap(([q, s]) => s.options.map((o) => [f.id, q as SchoolQuestion, o.id] as const)),
  );
  test.each(offered)('%s, %s by %s: a way that is offered is not held against the blend', (id, question, choice) =>
    expect(
      lightOf(chooseSchool(formula(id), question, choice))
        .advice.filter((a) => a.id.startsWith('blend:'))
        .map((a) => a.sentence),
    ).toEqual([]),
  );
  test('the extra starch is read off the lines, whichever way it got there; taking it out is not choosing none', () => {
    const radish = formula('radish-slab');
    const potato = batter(radish, {
      lines: radish.batters[0].lines.map((l) =>
        l.ingredient === 'maize-starch' ? { ...l, ingredient: 'potato-starch' } : l,
      ),
    });
    expect(extraStarchIn(potato)).toBe('potato');
    expect(advice(potato, 'blend:batter')).toBeUndefined();
    expect(extraStarchIn(without(radish, 'maize-starch'))).toBe('none');
    expect(advice(without(radish, 'maize-starch'), 'blend:batter')?.sentence).toMatch(/^100 % .* 58 to 92 % is usual/);
    expect(advice(line(potato, 'potato-starch', 120), 'blend:batter')?.sentence).toMatch(/potato starch; 0 to 18 %/);
  });
});

describe('lime and aluminium', () => {
  const tin: Vessel = {
    id: 'tin',
    name: 'Tin',
    shape: 'round',
    material: 'aluminium',
    diameterM: 0.2,
    heightM: 0.06,
    count: 1,
    provenance: 'measured',
  };
  const dish: Vessel = { ...tin, id: 'dish', name: 'Dish', material: 'ceramic' };
  const pot = {
    id: 'p',
    name: 'Light saucepan',
    kind: 'pot' as const,
    capacityMl: 2000,
    material: 'aluminium' as const,
  };
  const jelly = formula('alkali-rice-jelly');
  test('a tin is a must, with another vessel of the rack; a pot of aluminium is named where the lime is stirred, not minded', () => {
    const k: Kitchen = { ...kitchen, vessels: [tin, dish], pots: [pot] };
    const a = advice(jelly, 'alkali-vessel', k);
    expect(a).toMatchObject({ grade: 'unsafe', fixes: [{ words: 'Dish, 45 mm' }, { words: 'Dish' }] });
    expect(a && taken(jelly, a, k)?.vessel).toBe('dish');
    const slaked = (pots: Kitchen['pots']) =>
      madeOf(jelly, { ...k, pots }, false).steps.find((s) => s.id.startsWith('slake:'))?.sentence;
    expect(slaked([pot])).toMatch(/Keep it out of the light saucepan: lime eats aluminium\.$/);
    expect(slaked([{ ...pot, material: 'steel' }])).not.toMatch(/aluminium/);
    expect(advice(formula('taro-slab'), 'alkali-vessel', k)).toBeUndefined();
  });
});

test.each(FAMILIES.map((f) => [f.id, f] as const))('%s as shipped lies inside its bands', (_id, f) => {
  const l = lightOf(formulaOf(f));
  expect(l.problems).toEqual([]);
  expect(l.advice.filter((a) => gradeRank(a.grade) > 0)).toEqual([]);
  expect(l.advice.filter((a) => a.id !== 'loads')).toEqual([]);
});
