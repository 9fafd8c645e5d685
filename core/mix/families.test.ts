import { FAMILIES } from '../families';
import { emptyKitchen } from '../kitchen';
import { resolvePlan, type Plan } from '../plan';
import { balancePlan, limitingIngredient, sauceAmounts } from '.';
import { larderOf } from '../larder';

const formula = (id: string): Plan => {
  const f = FAMILIES.find((x) => x.id === id);
  if (!f) throw new Error(id);
  return f.formula();
};
const balance = (p: Plan) => {
  const r = resolvePlan(p, emptyKitchen());
  if (!r.ok) throw new Error(r.problems[0].sentence);
  return balancePlan(r.value);
};

test('there are eighteen families, each with its own id', () => {
  expect(FAMILIES).toHaveLength(18);
  expect(new Set(FAMILIES.map((f) => f.id)).size).toBe(18);
});

describe('balances worked by hand, to 0.5 g', () => {
  test('squash slab: mashed squash counts all of its water in hydration', () => {
    // Lines 240 + 40 + 680 + 10 + 10 = 980, water to 350, add-ins 40 + 30 → 1400 g.
    const b = balance(formula('squash-slab'));
    expect(Math.abs(b.massG - 1400)).toBeLessThan(0.5);
    // Added water: top-up 350; squash 680 × 0.88/0.9999 = 598.4; mushroom fried 40·0.80·0.03 = 0.96; scallion raw 30·0.90·0.15 = 4.05 (parts sum 100).
    expect(Math.abs(b.batters[0].addedWaterG - (350 + 598.4 + 0.96 + 4.05))).toBeLessThan(0.5);
    expect(b.batters[0].liquidToDry).toBeCloseTo(350 / 280, 9);
  });
  test('two-tone layers: two batters add up, bean layers carry the beans’ water', () => {
    const b = balance(formula('two-tone-layers'));
    // Plain: 180+70+380+140+2+300 = 1072. Bean: 100+50+310+230+85+1.5+130 = 906.5.
    expect(b.batters.map((x) => Math.round(x.massG * 10) / 10)).toEqual([1072, 906.5]);
    // Plain water: 300 + 0.73·380 = 577.4 → hydration 577.4/250 = 2.3096
    expect(b.batters[0].hydration).toBeCloseTo(577.4 / 250, 4);
    expect(b.batters[0].sugarPhase).toBeCloseTo(
      (140 + 0.03 * 380 + 0.003 * 70) / (140 + 11.4 + 0.21 + 577.4 + 0.12 * 250),
      4,
    );
  });
  test('ground-grain cups: soaked rice takes up 0.3 of its weight', () => {
    // 400 + 130 + 90 + 4 + 3 + liquid 270 + soak 120 = 1017
    const b = balance(formula('ground-grain-cups'));
    expect(Math.abs(b.massG - 1017)).toBeLessThan(0.5);
    expect(b.ledger.find((r) => r.route === 'soaking')?.waterG).toBeCloseTo(120, 9);
    // The soak is hydration but not liquid : dry.
    expect(b.batters[0].liquidToDry).toBeCloseTo(270 / 400, 9);
  });
  test('alkali rice jelly: the calcium hydroxide is rinsed away and leaves no weight', () => {
    // 300 rice + 90 soak + 1150 liquid
    expect(Math.abs(balance(formula('alkali-rice-jelly')).massG - 1540)).toBeLessThan(0.5);
  });
  test('fruit chew cake: sugared fruit gives juice into the batter and no mass is lost', () => {
    const b = balance(formula('fruit-chew-cake'));
    expect(Math.abs(b.massG - (152 + 8 + 34 + 2 + 300 + 620))).toBeLessThan(0.5);
    // f = 0.12·(1 − e^(−900/480)) = 0.10160 → 62.99 g of juice
    const juice = 620 * 0.12 * (1 - Math.exp(-900 / 480));
    expect(b.batters[0].liquidG).toBeCloseTo(300 + juice, 6);
  });
  test('yeast sponge: syrup water and cold water are all hydration; sugar phase by hand', () => {
    const b = balance(formula('yeast-sponge')).batters[0];
    expect(b.hydration).toBeCloseTo((250 + 200 + 3.3 * (6 / 100)) / 300, 4);
    expect(b.liquidToDry).toBeCloseTo(1.5, 9);
  });
});

test('the limiting ingredient is the one that runs out first', () => {
  const plan = { ...formula('savoury-coconut-slab'), ingredients: [] };
  const shipped = larderOf();
  const stock = (id: string, stockG: number) => {
    const i = shipped.get(id);
    if (!i) throw new Error(id);
    return { ...i, stockG };
  };
  const r = resolvePlan(
    { ...plan, ingredients: [stock('tapioca', 30), stock('rice-flour-fine', 1000)] },
    emptyKitchen(),
  );
  if (!r.ok) throw new Error('unresolved');
  expect(limitingIngredient(r.value)).toMatchObject({ ok: true, value: { factor: 0.5, ingredient: 'Tapioca starch' } });
  const none = resolvePlan({ ...plan, ingredients: [stock('tapioca', 0)] }, emptyKitchen());
  expect(none.ok && limitingIngredient(none.value)).toMatchObject({ ok: false, problems: [{ code: 'out-of' }] });
  const plain = resolvePlan(plan, emptyKitchen());
  expect(plain.ok && limitingIngredient(plain.value)).toMatchObject({ ok: false, problems: [{ code: 'no-stock' }] });
});

describe('a dip and the cook’s own bottle', () => {
  const dip = {
    id: 'd',
    name: 'Dip',
    role: 'sauce' as const,
    gramsAHead: 33,
    lines: [
      { ingredient: 'fish-sauce', parts: 2 },
      { ingredient: 'white-sugar', parts: 2 },
      { ingredient: 'water', parts: 6 },
      { ingredient: 'lime-juice', parts: 1 },
    ],
  };
  test('parts become grams: 2 of 11 parts of 330 g is 60 g; salt 60·0.22·(21/22) ÷ 330', () => {
    const a = sauceAmounts(dip, 10, larderOf());
    expect(a.lines[0].massG).toBeCloseTo(60, 9);
    expect(a.massG).toBeCloseTo(330, 9);
    expect(a.saltPct).toBeCloseTo((100 * 60 * 0.21) / 330, 2);
  });
  test('a bottle half as salty is used twice, water gives way, salt % stays', () => {
    const table = 15 * 1.2 * 0.21;
    const weak = sauceAmounts(
      { ...dip, lines: dip.lines.map((l) => (l.ingredient === 'fish-sauce' ? { ...l, saltPer15Ml: table / 2 } : l)) },
      10,
      larderOf(),
    );
    const plain = sauceAmounts(dip, 10, larderOf());
    expect(weak.lines[0].massG).toBeCloseTo(120, 6);
    expect(weak.massG).toBeCloseTo(plain.massG, 6);
    expect(weak.saltPct).toBeCloseTo(plain.saltPct, 6);
  });
});
