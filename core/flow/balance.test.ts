import fc from 'fast-check';
import { FAMILIES } from '../families';
import { emptyKitchen } from '../kitchen';
import { keptBlend, larderOf, thermalProperties, INGREDIENT_TABLE, compositionSchema } from '../larder';
import { partsOf, thermalShares } from '../model/batter';
import { limitingIngredient, planSchema, resolvePlan, scalePlan, type Accompaniment, type Plan } from '../plan';
import { balanceIn as balance, familyBy, formula, lightOf } from '../testing/made';
import { accompanimentAmounts } from '.';

const larder = larderOf();
const ingredient = (id: string) => {
  const i = larder.get(id);
  if (!i) throw new Error(id);
  return i;
};
const plan = (rest: object): Plan =>
  planSchema.parse({ format: 'idle-ladle/plan', version: 2, name: 'Test', family: 'radish-slab', ...rest });

test('every shipped ingredient has parts that add up to 100, give or take 2', () => {
  for (const i of INGREDIENT_TABLE) expect(compositionSchema.safeParse(i.per100).success).toBe(true);
});

describe('hand-worked: savoury coconut slab', () => {
  // Rice 195 + tapioca 60 + coconut milk 260 + salt 6, liquid wanted 920 → water 660.
  const b = balance(
    plan({
      family: 'savoury-coconut-slab',
      batters: [
        {
          id: 'a',
          name: 'A',
          lines: [
            { ingredient: 'rice-flour-fine', massG: 195 },
            { ingredient: 'tapioca', massG: 60 },
            { ingredient: 'coconut-milk', massG: 260 },
            { ingredient: 'fine-salt', massG: 6 },
          ],
          wantedLiquidG: 920,
        },
      ],
    }),
  );
  const a = b.batters[0];
  test('top-up 920 − 260 = 660 g', () => expect(a.topUpG).toBeCloseTo(660, 6));
  test('total 195 + 60 + 260 + 6 + 660 = 1181 g', () => expect(b.madeG).toBeCloseTo(1181, 6));
  test('added water 660 + 0.73·260 = 849.8 g; hydration 849.8/255 = 3.333', () => {
    expect(a.addedWaterG).toBeCloseTo(849.8, 6);
    expect(a.hydration).toBeCloseTo(849.8 / 255, 9);
  });
  test('liquid : dry = 920/255', () => expect(a.liquidToDry).toBeCloseTo(920 / 255, 9));
  test('starch 0.79·195 + 0.87·60 = 206.25 g; fat 1.95 + 54.6 = 56.55 g', () => {
    expect(a.parts.starch).toBeCloseTo(206.25, 6);
    expect(a.parts.fat).toBeCloseTo(56.55, 6);
  });
  test('salt 6/1181 = 0.508 %', () => expect(b.salt.pctOfTotal).toBeCloseTo(600 / 1181, 9));
});

describe('hand-worked: radish slab, wilted and kept', () => {
  const lines = [
    { ingredient: 'rice-flour-fine', massG: 200 },
    { ingredient: 'maize-starch', massG: 30 },
  ];
  // f = 0.30·(1 − e^(−720/300)) = 0.30·0.909282 = 0.272785 → juice of 1000 g radish = 272.78 g
  test('juice by f∞ (1 − e^(−t/τ)), and the top-up it leaves', () => {
    const b = balance(
      plan({
        batters: [{ id: 'a', name: 'A', lines, wantedLiquidG: 480 }],
        addIns: [{ ingredient: 'radish', massG: 1000, treatment: 'wilted', drawS: 720 }],
      }),
    );
    const juice = 1000 * 0.3 * (1 - Math.exp(-2.4));
    expect(b.batters[0].topUpG).toBeCloseTo(480 - juice, 6);
    expect(b.madeG).toBeCloseTo(230 + 1000 + (480 - juice), 6);
    // A slurry leaves 1 % of itself in the bowl.
    expect(b.massG).toBeCloseTo(0.99 * b.madeG, 6);
  });
  test('a weighing replaces the estimate and the top-up follows', () => {
    const b = balance(
      plan({
        batters: [{ id: 'a', name: 'A', lines, wantedLiquidG: 480 }],
        addIns: [{ ingredient: 'radish', massG: 1000, treatment: 'wilted' }],
        readings: { 'wilt:radish': { juiceG: 310 } },
      }),
    );
    expect(b.batters[0].topUpG).toBeCloseTo(170, 6);
    expect(b.ledger.find((r) => r.route === 'juice')?.source).toBe('measured');
  });
  test('too much juice stops nothing: it is advice, with the grams of flour that would take it up', () => {
    const l = lightOf(
      plan({
        batters: [{ id: 'a', name: 'A', lines, wantedLiquidG: 300 }],
        addIns: [{ ingredient: 'radish', massG: 1000, treatment: 'wilted' }],
        readings: { 'wilt:radish': { juiceG: 350 } },
      }),
    );
    expect(l.balance.problems).toEqual([]);
    expect(l.advice.find((a) => a.id === 'surplus:a')?.sentence).toMatch(/50 g more liquid.*g of dry blend/);
  });
});

describe('conservation in a whole plan', () => {
  const grams = fc.double({ min: 1, max: 1500, noNaN: true });
  test('lines + top-up = cake + juice poured away', () => {
    fc.assert(
      fc.property(
        grams,
        grams,
        grams,
        grams,
        fc.constantFrom('wilted', 'squeezed-by-hand', 'as-is'),
        (rice, milk, radish, wanted, treatment) => {
          const b = balance(
            plan({
              batters: [
                {
                  id: 'a',
                  name: 'A',
                  lines: [
                    { ingredient: 'rice-flour-fine', massG: rice },
                    { ingredient: 'coconut-milk', massG: milk },
                  ],
                  wantedLiquidG: wanted,
                },
              ],
              addIns: [{ ingredient: 'radish', massG: radish, treatment }],
            }),
          );
          const away = -b.ledger.filter((r) => r.route === 'drawn away').reduce((s, r) => s + r.waterG, 0);
          const awayWithSugar = away * ((94.5 + 2.6) / 94.5);
          expect(b.madeG + awayWithSugar).toBeCloseTo(rice + milk + radish + b.batters[0].topUpG, 4);
        },
      ),
      { numRuns: 150 },
    );
  });
  test('scaling scales every mass and leaves every ratio', () => {
    const p = plan({
      batters: [
        {
          id: 'a',
          name: 'A',
          lines: [
            { ingredient: 'rice-flour-fine', massG: 200 },
            { ingredient: 'fine-salt', massG: 7 },
          ],
          wantedLiquidG: 460,
        },
      ],
      addIns: [{ ingredient: 'radish', massG: 800, treatment: 'wilted' }],
    });
    const [one, three] = [balance(p), balance(scalePlan(p, 3))];
    expect(three.massG).toBeCloseTo(3 * one.massG, 5);
    expect(three.batters[0].hydration).toBeCloseTo(one.batters[0].hydration, 9);
    expect(three.salt.pctOfTotal).toBeCloseTo(one.salt.pctOfTotal, 9);
  });
  test('pouring off clear liquid loses salt in the share of the free water', () => {
    const b = balance(
      plan({
        batters: [
          {
            id: 'a',
            name: 'A',
            lines: [
              { ingredient: 'rice-flour-fine', massG: 200 },
              { ingredient: 'water', massG: 500 },
              { ingredient: 'fine-salt', massG: 5 },
            ],
            pouredOffG: 100,
          },
        ],
      }),
    );
    expect(b.batters[0].reseason.saltG).toBeCloseTo(1, 9);
  });
  test('a batter without flour or starch is called empty', () => {
    expect(
      balance(plan({ batters: [{ id: 'a', name: 'A', lines: [{ ingredient: 'water', massG: 100 }] }] })).problems[0]
        .code,
    ).toBe('empty-batter');
  });
});

describe('thermal properties, Choi & Okos by hand', () => {
  const water = { water: 1, protein: 0, fat: 0, carbohydrate: 0, fibre: 0, ash: 0 };
  test('water at 25 °C', () => {
    const p = thermalProperties(water, 25);
    expect(p.k).toBeCloseTo(0.57109 + 1.7625e-3 * 25 - 6.7036e-6 * 625, 9);
    expect(p.rho).toBeCloseTo(997.18 + 3.1439e-3 * 25 - 3.7574e-3 * 625, 6);
    expect(p.c).toBeCloseTo(4176.2 - 9.0864e-2 * 25 + 5.4731e-3 * 625, 6);
  });
  test('a batter of 75 % water and 25 % carbohydrate at 20 °C: ρ from volumes, c from masses', () => {
    const p = thermalProperties({ ...water, water: 0.75, carbohydrate: 0.25 }, 20);
    const rhoW = 997.18 + 3.1439e-3 * 20 - 3.7574e-3 * 400;
    const rhoC = 1599.1 - 0.31046 * 20;
    expect(p.rho).toBeCloseTo(1 / (0.75 / rhoW + 0.25 / rhoC), 6);
    expect(p.c).toBeCloseTo(
      0.75 * (4176.2 - 9.0864e-2 * 20 + 5.4731e-3 * 400) + 0.25 * (1548.8 + 1.9625 * 20 - 5.9399e-3 * 400),
      4,
    );
  });
  test('gas lowers conductivity and density', () => {
    const shares = thermalShares(partsOf(ingredient('rice-flour-fine'), 100));
    expect(thermalProperties(shares, 50, 0.4).k).toBeLessThan(thermalProperties(shares, 50).k);
    expect(thermalProperties(shares, 50, 0.4).rho).toBeCloseTo(0.6 * thermalProperties(shares, 50).rho, 6);
  });
});

test('there are eighteen families, each with its own id', () => {
  expect(FAMILIES).toHaveLength(18);
  expect(new Set(FAMILIES.map((f) => f.id)).size).toBe(18);
});

describe('balances worked by hand, to 0.5 g', () => {
  test('squash slab: mashed squash counts all of its water in hydration', () => {
    // Lines 240 + 40 + 680 + 10 + 10 = 980, water to 350, add-ins 40 + 30 → 1400 g.
    const b = balance(formula('squash-slab'));
    expect(Math.abs(b.madeG - 1400)).toBeLessThan(0.5);
    // Added water: top-up 350; squash 680 × 0.88/0.9999 = 598.4; mushroom fried 40·0.80·0.03 = 0.96; scallion raw 30·0.90·0.15 = 4.05 (parts sum 100).
    expect(Math.abs(b.batters[0].addedWaterG - (350 + 598.4 + 0.96 + 4.05))).toBeLessThan(0.5);
    expect(b.batters[0].liquidToDry).toBeCloseTo(350 / 280, 9);
  });
  test('two-tone layers: two batters add up, bean layers carry the beans’ water', () => {
    const b = balance(formula('two-tone-layers'));
    // Plain: 180+70+380+140+2+300 = 1072. Bean: 100+50+310+230+125+1.5+130 = 946.5.
    expect(b.batters.map((x) => Math.round(x.massG * 10) / 10)).toEqual([1072, 946.5]);
    // Plain water: 300 + 0.73·380 = 577.4 → hydration 577.4/250 = 2.3096
    expect(b.batters[0].hydration).toBeCloseTo(577.4 / 250, 4);
    expect(b.batters[0].sugarPhase).toBeCloseTo(
      (140 + 0.03 * 380 + 0.003 * 70) / (140 + 11.4 + 0.21 + 577.4 + 0.12 * 250),
      4,
    );
  });
  test('a kept blend counts, gels and flows as the flours it is made of', () => {
    const plan = formula('savoury-coconut-slab');
    const made = keptBlend(
      'own-b',
      'Blend',
      plan.batters[0].lines
        .filter((l) => ['rice-flour-fine', 'tapioca'].includes(l.ingredient))
        .map((l) => ({ ingredient: l.ingredient, share: l.massG })),
      larderOf(),
    );
    if (!made.ok) throw new Error('a blend');
    const flours = plan.batters[0].lines.filter((l) => ['rice-flour-fine', 'tapioca'].includes(l.ingredient));
    const massG = flours.reduce((a, l) => a + l.massG, 0);
    const mixed: Plan = {
      ...plan,
      ingredients: [made.value],
      batters: plan.batters.map((b) => ({
        ...b,
        lines: [
          { id: 'own-b', ingredient: 'own-b', massG, treatment: 'as-is' as const },
          ...b.lines.filter((l) => !flours.includes(l)),
        ],
      })),
    };
    const one = lightOf(plan);
    const other = lightOf(mixed);
    const [a, b] = [one.balance.batters[0], other.balance.batters[0]];
    expect(b.hydration).toBeCloseTo(a.hydration, 6);
    for (const id of Object.keys(a.shares)) expect(b.shares[id]).toBeCloseTo(a.shares[id], 9);
    for (const [k, share] of Object.entries(a.starchShares)) expect(b.starchShares[k as 'rice']).toBeCloseTo(share, 3);
    expect(other.gelling.midpointC).toBeCloseTo(one.gelling.midpointC, 1);
    expect(other.texture.chewy).toBeCloseTo(one.texture.chewy, 2);
    expect(other.balance.massG).toBeCloseTo(one.balance.massG, 0);
  });
  test('ground-grain cups: soaked rice takes up 0.3 of its weight', () => {
    // 400 + 130 + 90 + 4 + 3 + liquid 270 + soak 120 = 1017
    const b = balance(formula('ground-grain-cups'));
    expect(Math.abs(b.madeG - 1017)).toBeLessThan(0.5);
    expect(b.ledger.find((r) => r.route === 'soaking')?.waterG).toBeCloseTo(120, 3);
    // The soak is hydration but not liquid : dry.
    expect(b.batters[0].liquidToDry).toBeCloseTo(270 / 400, 9);
  });
  test('alkali rice jelly: the calcium hydroxide is rinsed away and leaves no weight', () => {
    // 300 rice + 90 soak + 1150 liquid
    expect(Math.abs(balance(formula('alkali-rice-jelly')).madeG - 1540)).toBeLessThan(0.5);
  });
  test('fruit chew cake: sugared fruit gives juice into the batter and no mass is lost', () => {
    const b = balance(formula('fruit-chew-cake'));
    expect(Math.abs(b.madeG - (152 + 8 + 34 + 2 + 300 + 620))).toBeLessThan(0.5);
    // f = 0.12·(1 − e^(−900/480)) = 0.10160 → 62.99 g of juice
    const juice = 620 * 0.12 * (1 - Math.exp(-900 / 480));
    const n = lightOf(formula('fruit-chew-cake')).evaluated.byId.get('sugar:banana');
    expect(n?.figures.juiceG.value).toBeCloseTo(juice, 6);
    // Its liquid is the fruit's own: what the syrup holds of the strewn sugar stays sugar.
    expect(b.batters[0].liquidG).toBeGreaterThan(300 + 0.9 * juice);
    expect(b.batters[0].liquidG).toBeLessThan(300 + juice);
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
    familyBy(plan.family),
  );
  if (!r.ok) throw new Error('unresolved');
  expect(limitingIngredient(r.value)).toMatchObject({ ok: true, value: { factor: 0.5, ingredient: 'Tapioca starch' } });
  const none = resolvePlan({ ...plan, ingredients: [stock('tapioca', 0)] }, emptyKitchen(), familyBy(plan.family));
  expect(none.ok && limitingIngredient(none.value)).toMatchObject({ ok: false, problems: [{ code: 'out-of' }] });
  const plain = resolvePlan(plan, emptyKitchen(), familyBy(plan.family));
  expect(plain.ok && limitingIngredient(plain.value)).toMatchObject({ ok: false, problems: [{ code: 'no-stock' }] });
});

describe('a dip and the cook’s own bottle', () => {
  const dip = {
    id: 'd',
    name: 'Dip',
    role: 'sauce' as const,
    amount: { by: 'head' as const, grams: 33 },
    method: 'stir' as const,
    lines: [
      { id: 'a', ingredient: 'fish-sauce', parts: 2 },
      { id: 'b', ingredient: 'white-sugar', parts: 2 },
      { id: 'c', ingredient: 'water', parts: 6 },
      { id: 'd', ingredient: 'lime-juice', parts: 1 },
    ],
  };
  const amountsOf = (a: Accompaniment) => accompanimentAmounts(a, { guests: 10, pieces: 16, larder });
  test('parts become grams: 2 of 11 parts of 330 g is 60 g; salt 60·0.22·(21/22) ÷ 330', () => {
    const a = amountsOf(dip);
    expect(a.lines[0].massG).toBeCloseTo(60, 9);
    expect(a.massG).toBeCloseTo(330, 9);
    expect(a.saltPct).toBeCloseTo((100 * 60 * 0.21) / 330, 2);
  });
  test('a bottle half as salty is used twice, water gives way, salt % stays', () => {
    const table = 15 * 1.2 * 0.21;
    const weak = amountsOf({
      ...dip,
      lines: dip.lines.map((l) => (l.ingredient === 'fish-sauce' ? { ...l, saltPer15Ml: table / 2 } : l)),
    });
    const plain = amountsOf(dip);
    expect(weak.lines[0].massG).toBeCloseTo(120, 6);
    expect(weak.massG).toBeCloseTo(plain.massG, 6);
    expect(weak.saltPct).toBeCloseTo(plain.saltPct, 6);
  });
});
