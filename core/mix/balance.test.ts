import fc from 'fast-check';
import { emptyKitchen } from '../kitchen';
import { planSchema, resolvePlan, type Plan } from '../plan';
import { balancePlan, drawJuice, massOf, partsOf, scalePlan, thermalShares } from '.';
import { larderOf, thermalProperties, INGREDIENT_TABLE, compositionSchema } from '../larder';

const larder = larderOf();
const ingredient = (id: string) => {
  const i = larder.get(id);
  if (!i) throw new Error(id);
  return i;
};
const plan = (rest: object): Plan =>
  planSchema.parse({ format: 'idle-ladle/plan', version: 1, name: 'Test', family: 'radish-slab', ...rest });
const balance = (p: Plan) => {
  const r = resolvePlan(p, emptyKitchen());
  if (!r.ok) throw new Error(r.problems[0].sentence);
  return balancePlan(r.value);
};

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
  test('total 195 + 60 + 260 + 6 + 660 = 1181 g', () => expect(b.massG).toBeCloseTo(1181, 6));
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
    expect(b.massG).toBeCloseTo(230 + 1000 + (480 - juice), 6);
  });
  test('a weighing replaces the estimate and the top-up follows', () => {
    const b = balance(
      plan({
        batters: [{ id: 'a', name: 'A', lines, wantedLiquidG: 480 }],
        addIns: [{ ingredient: 'radish', massG: 1000, treatment: 'wilted', weighedG: 310 }],
      }),
    );
    expect(b.batters[0].topUpG).toBeCloseTo(170, 6);
    expect(b.ledger.find((r) => r.route === 'juice')?.source).toBe('measured');
  });
  test('too much juice is said, with the grams of flour that would take it up', () => {
    const b = balance(
      plan({
        batters: [{ id: 'a', name: 'A', lines, wantedLiquidG: 300 }],
        addIns: [{ ingredient: 'radish', massG: 1000, treatment: 'wilted', weighedG: 350 }],
      }),
    );
    expect(b.problems.map((p) => p.code)).toContain('too-much-liquid');
    expect(b.problems[0].sentence).toMatch(/50 g more liquid/);
  });
});

describe('vegetable water', () => {
  test('salt dissolves evenly: what leaves is salt × water in the juice ÷ all water', () => {
    const d = drawJuice(
      { ingredient: 'radish', massG: 1000, treatment: 'squeezed-hard', drawSaltG: 20, drawS: 1800 },
      ingredient('radish'),
    );
    expect(d.juiceG.value).toBeCloseTo(1000 * 0.5 * (1 - Math.exp(-1800 / 480)), 6);
    const allWater = d.juice.water + d.piece.water;
    expect(d.saltAwayG).toBeCloseTo((20 * d.juice.water) / allWater, 9);
    expect(d.piece.salt + d.juice.salt).toBeCloseTo(20, 9);
  });
  test('mass is conserved through drawing, whatever the vegetable and the weighing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('radish', 'taro', 'winter-squash', 'carrot'),
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.constantFrom('squeezed-hard', 'wilted', 'drained', 'as-is', 'parboiled'),
        fc.option(fc.double({ min: 0, max: 8000, noNaN: true }), { nil: undefined }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (id, massG, treatment, weighedG, drawSaltG) => {
          const d = drawJuice(
            { ingredient: id, massG, treatment: treatment as 'wilted', weighedG, drawSaltG },
            ingredient(id),
          );
          expect(massOf(d.piece) + massOf(d.juice)).toBeCloseTo(massG + drawSaltG, 6);
          expect(Math.min(...Object.values(d.piece), ...Object.values(d.juice))).toBeGreaterThanOrEqual(-1e-9);
        },
      ),
      { numRuns: 200 },
    );
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
          expect(b.massG + awayWithSugar).toBeCloseTo(rice + milk + radish + b.batters[0].topUpG, 4);
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
    expect(three.massG).toBeCloseTo(3 * one.massG, 6);
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
