import { FAMILIES, formulaOf } from '../families';
import { chooseSchool, type Plan } from '../plan';
import { familyBy, formula, madeOf } from '../testing/made';
import { CAUTIONS, cautionsOf, totalsOf } from '.';
import { overWater } from '../stations/steam';

const verbs = (plan: Plan) => madeOf(plan, undefined, false).steps.map((s) => s.verb);
const ids = (plan: Plan) => madeOf(plan, undefined, false).steps.map((s) => s.id);

describe('steps of the radish slab by school', () => {
  const plan = formula('radish-slab');
  test('wilted, drawn, squeezed and boiled, or parboiled: each has its own operations and none of the others', () => {
    const ways = {
      'wilt-keep': ['wilt'],
      'draw-discard': ['draw', 'squeeze'],
      'squeeze-boil': ['squeeze', 'simmer'],
      parboil: ['parboil'],
    };
    const all = [...new Set(Object.values(ways).flat())];
    for (const [school, ops] of Object.entries(ways)) {
      const here = ids(chooseSchool(plan, 'juice', school))
        .filter((id) => id.endsWith(':radish'))
        .map((id) => id.split(':')[0]);
      expect(here.filter((op) => all.includes(op))).toEqual(ops);
    }
  });
  test('part-cooking thickens after the shreds are in and before the pour; served plain, nothing is seared', () => {
    const paste = verbs(chooseSchool(plan, 'intoPan', 'part-cooked'));
    expect(paste.indexOf('Thicken')).toBeGreaterThan(paste.indexOf('Fold in'));
    expect(paste.indexOf('Thicken')).toBeLessThan(paste.indexOf('Pour'));
    expect(verbs(plan)).not.toContain('Thicken');
    expect(verbs(chooseSchool(plan, 'serve', 'plain'))).not.toContain('Sear');
    expect(verbs(plan)).toContain('Sear');
  });
  test('the list to weigh out has every line apart and the top-up', () => {
    const { weighOut, light } = madeOf(plan, undefined, false);
    expect(weighOut.map((w) => w.name)).toEqual(['Batter', 'Add-ins', 'Sweetened soy']);
    expect(weighOut[0].amounts.find((a) => a.name === 'Water, to top up')?.massG).toBeCloseTo(
      light.balance.batters[0].topUpG,
      9,
    );
    expect(weighOut[1].massG).toBeCloseTo(1210, 9);
  });
  test('what is carried in is named by what it has become, with its grams', () => {
    const steps = madeOf(plan, undefined, false).steps;
    const fold = steps.find((s) => s.id === 'fold-in:batter');
    expect(fold?.carried?.map((c) => c.name)).toEqual([
      'batter',
      'wilted white radish',
      'fried mushroom',
      'fried shrimp',
      'fried cured pork sausage',
    ]);
    expect(fold?.sentence).toMatch(/the wilted white radish \(76\d g\)/);
    expect(fold?.amounts).toEqual([]);
  });
  test('what is kept back for the top is not folded in, and is strewn on', () => {
    const steps = madeOf(plan, undefined, false).steps;
    const grams = (id: string) =>
      steps.find((s) => s.id === id)?.carried?.find((c) => c.name.includes('sausage'))?.massG ?? 0;
    expect(grams('fold-in:batter') + grams('top:cake')).toBeCloseTo(60, 9);
    expect(grams('top:cake')).toBeCloseTo(15, 9);
  });
  test('a mixing tells the first share of the liquid against lumps, then the rest', () => {
    const mix = madeOf(plan, undefined, false).steps.find((s) => s.id === 'mix:batter');
    expect(mix?.sentence).toMatch(
      /with the first 220 g of the liquid \(550 g\) until no lump is left, then whisk in the rest/,
    );
  });
});

describe('order and time', () => {
  test.each(FAMILIES.map((f) => [f.name, f] as const))(
    '%s: the totals are the sum of its steps, and no id comes twice',
    (_, f) => {
      const m = madeOf(formulaOf(f), undefined, false);
      expect(new Set(m.steps.map((s) => s.id)).size).toBe(m.steps.length);
      expect(totalsOf(m.steps)).toEqual(m.totals);
    },
  );
  test('the check comes where the forecast says: steam waits until check, check waits until 1.2 × first clean pick', () => {
    const m = madeOf(formula('savoury-coconut-slab'));
    const t = overWater(m.heat)?.times;
    expect(m.steps.find((s) => s.verb === 'Steam')?.waitS).toBe(Math.round(t?.checkAtS ?? 0));
    expect(m.steps.find((s) => s.verb === 'Check')?.waitS).toBe(
      Math.round(1.2 * (t?.firstCleanPickS.value ?? 0) - (t?.checkAtS ?? 0)),
    );
  });
  test('yeast waits for the ferment time of its dose and room; a wait of the cook replaces it', () => {
    const plan = formula('yeast-sponge');
    const wait = (p: Plan) => madeOf(p, undefined, false).steps.find((s) => s.verb === 'Ferment')?.waitS;
    expect(wait(plan)).toBe(Math.round(madeOf(plan, undefined, false).light.ferment?.timeS ?? 0));
    expect(wait({ ...plan, waits: { 'ferment:batter': 7200 } })).toBe(7200);
  });
  test('pouring off tells what leaves, and seasoning what to put back', () => {
    const cups = formula('dimpled-cups');
    const plan = {
      ...cups,
      schools: { rest: 'pour-off' },
      batters: cups.batters.map((b) => ({ ...b, pouredOffG: 200 })),
    };
    const steps = madeOf(plan, undefined, false).steps;
    expect(steps.find((s) => s.verb === 'Pour off')?.sentence).toMatch(/Pour off 200 g .*: 1\.1 g of salt leaves/);
    expect(steps.find((s) => s.verb === 'Season')?.sentence).toMatch(/re-season with 1\.1 g salt/);
  });
  test('answers fit the operation', () => {
    const answers = (plan: Plan, id: string) =>
      madeOf(plan, undefined, false)
        .steps.find((s) => s.id === id)
        ?.answers?.map((a) => a.words);
    expect(answers(formula('alkali-rice-jelly'), 'rinse:long-grain-rice')).toEqual(['milky', 'clear']);
    expect(answers(formula('yeast-sponge'), 'ferment:batter')).toEqual(['flat', 'foamy', 'doubled']);
    expect(answers(formula('rainbow-layers'), 'layer:cake')).toContain('tacky');
    expect(answers(formula('radish-slab'), 'check:cake')?.slice(0, 3)).toEqual(['sticky', 'nearly', 'clean']);
    expect(madeOf(formula('filled-rolls'), undefined, false).steps.find((s) => s.id === 'fill:cake')).toBeDefined();
  });
});

describe('fillings and seasoning', () => {
  test('rolls are filled with what the filling holds, raw ones to a safe middle, and none of it is batter', () => {
    const rolls = formula('filled-rolls');
    const lines = [
      { id: 'minced-pork', ingredient: 'minced-pork', massG: 270, treatment: 'fried' as const },
      { id: 'spring-onion', ingredient: 'spring-onion', massG: 40, treatment: 'as-is' as const },
    ];
    const plan: Plan = {
      ...rolls,
      fillings: [
        { id: 'pork', name: 'Pork', lines, doneness: 'raw', safeC: 71, count: 6 },
        { id: 'green', name: 'Greens', lines: [], doneness: 'ready', eater: 'the coxes' },
      ],
    };
    const m = madeOf(plan, undefined, false);
    const step = m.steps.find((s) => s.id === 'assemble:sheets');
    expect(step?.sentence).toMatch(/6 with pork and 3 with greens for the coxes/);
    expect(step?.sentence).toMatch(/Pork must reach 71 °C/);
    expect(step?.carried?.map((c) => c.name)).toContain('fried minced pork');
    expect(m.light.balance.massG).toBeCloseTo(madeOf(rolls, undefined, false).light.balance.massG, 9);
    expect(m.light.balance.beside.map((b) => b.name)).toContain('Pork');
  });
});

test('raw meat is fried until it is cooked through, with its salt; dried bits until they are toasted', () => {
  const fry = (id: string) => madeOf(formula(id), undefined, false).steps.find((s) => s.verb === 'Fry');
  expect(fry('filled-rolls')?.sentence).toMatch(
    /minced pork for 6 min.*, the salt with the minced pork\. Let them cool/,
  );
  expect(fry('filled-rolls')?.lookFor).toMatch(/nothing pink/);
  expect(fry('filled-rolls')?.answers?.map((a) => a.words)).toContain('still raw');
  expect(fry('radish-slab')?.lookFor).toMatch(/^Toasted/);
  expect(fry('radish-slab')?.sentence).not.toMatch(/salt/);
});

describe('sauces that build on each other', () => {
  test('half of the scallion oil is used again to fry the crumb, and every gram of it is served', () => {
    const cups = formula('dimpled-cups');
    const plan: Plan = {
      ...cups,
      accompaniments: cups.accompaniments.map((a) =>
        a.id === 'crumb' ? { ...a, uses: { accompaniment: 'scallion', share: 0.5 } } : a,
      ),
    };
    const m = madeOf(plan, undefined, false);
    expect(m.steps.find((s) => s.id === 'make:crumb')?.sentence).toMatch(
      /^Fry the soaked shrimp \(36 g\) and the toasted crumb in the scallion oil \(24 g\)/,
    );
    expect(m.evaluated.account.servedG).toBeCloseTo(madeOf(cups, undefined, false).evaluated.account.servedG, 6);
  });
  test('a reduced sauce boils away three tenths, and keeps its salt', () => {
    const slab = formula('radish-slab');
    const plan: Plan = { ...slab, accompaniments: slab.accompaniments.map((a) => ({ ...a, method: 'reduce' })) };
    const m = madeOf(plan, undefined, false);
    expect(m.evaluated.account.boiledAwayG).toBeCloseTo(45, 6);
    expect(m.steps.find((s) => s.id === 'reduce:soy')?.sentence).toMatch(/down by 45 g/);
  });
});

describe('cautions', () => {
  test('every caution a family names is written, and short', () => {
    for (const f of FAMILIES) for (const id of f.cautions) expect(CAUTIONS[id]).toBeDefined();
    for (const c of Object.values(CAUTIONS)) expect(c.length).toBeLessThan(210);
  });
  test('the dangers that matter are on the families they belong to', () => {
    expect(familyBy('alkali-rice-jelly').cautions).toContain('alkali');
    expect(familyBy('taro-slab').cautions).toContain('taro');
    for (const id of ['sticky-sweet-cake', 'two-tone-layers', 'fruit-chew-cake'])
      expect(familyBy(id).cautions).toContain('choking');
    for (const id of ['filled-rolls', 'noodle-sheets', 'pan-film-sheets'])
      expect(familyBy(id).cautions).toContain('wet-sheets');
    for (const id of ['yeast-sponge', 'roux-raised-cups', 'ground-grain-cups'])
      expect(familyBy(id).cautions).toContain('ferment');
    for (const f of FAMILIES) expect(cautionsOf(f.cautions)).toHaveLength(f.cautions.length);
  });
  test('each is said once in the steps, at the step where it can happen', () => {
    const steps = madeOf(formula('taro-slab'), undefined, false).steps;
    expect(steps.find((s) => s.id === 'grate:taro')?.cautions[0]).toMatch(/gloves/);
    expect(steps.find((s) => s.verb === 'Steam')?.cautions[0]).toMatch(/Steam burns/);
    const all = steps.flatMap((s) => s.cautions);
    expect(new Set(all).size).toBe(all.length);
  });
});
