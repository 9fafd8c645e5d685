import { formula } from '@/core/testing/made';
import { shownUnit } from '@/core/units';
import { FAMILIES, formulaOf } from '@/core/families';
import { emptyKitchen } from '@/core/kitchen';
import { forecastLight } from '@/core/forecast';
import { chooseSchool, dissolveBlends, fillingPlace, withReading, type Plan } from '@/core/plan';
import { exchange, standInsFor } from '@/core/desk/substitutes';
import { INGREDIENT_TABLE, keptBlend, larderOf, readMass } from '@/core/larder';
import { applyBlend } from '../mix/applyBlend';
import { addFilling, addLine, changeBatter, changeLine, removeFilling, removeLine, setShares } from './editLines';
import { gramsPerCup, showIn } from '../kit/measure';
import { fieldContours, HEIGHT, PAD, regionOf, SIDE, toShares, toXY } from '../mix/triangle';
import { typedNumber } from '../kit/typedNumber';

const radish = formulaOf(FAMILIES[1]);
const balance = (p: Plan) => {
  const r = forecastLight(p, emptyKitchen());
  if (!r.ok) throw new Error(r.problems[0].sentence);
  return r.value.balance;
};
const ingredient = (id: string) => {
  const i = INGREDIENT_TABLE.find((x) => x.id === id);
  if (!i) throw new Error(id);
  return i;
};

describe('editing lines', () => {
  test('a change touches its own line and leaves every other object as it was', () => {
    const next = changeLine(radish, 0, 1, { massG: 50 });
    expect(next.batters[0].lines[1].massG).toBe(50);
    expect(next.batters[0].lines[0]).toBe(radish.batters[0].lines[0]);
    expect(next.addIns).toBe(radish.addIns);
  });
  test('lines are added at nothing, taken out, and add-ins likewise', () => {
    expect(addLine(radish, 'addIns', 'carrot').addIns.at(-1)).toMatchObject({ ingredient: 'carrot', massG: 0 });
    expect(removeLine(radish, 'addIns', 0).addIns).toHaveLength(radish.addIns.length - 1);
    expect(changeBatter(radish, 0, { wantedLiquidG: 10 }).batters[0].wantedLiquidG).toBe(10);
  });
  test('shares set masses where the flour is, and add it where it is not', () => {
    const next = setShares(radish, 0, [
      { id: 'rice-flour-fine', massG: 200 },
      { id: 'tapioca', massG: 60 },
      { id: 'potato-starch', massG: 0 },
    ]);
    const lines = next.batters[0].lines;
    expect(lines.find((l) => l.ingredient === 'rice-flour-fine')?.massG).toBe(200);
    expect(lines.find((l) => l.ingredient === 'tapioca')?.massG).toBe(60);
    expect(lines.some((l) => l.ingredient === 'potato-starch')).toBe(false);
  });
  test('a blend from the solver keeps the dry mass, reaches its hydration and drops what it leaves out', () => {
    const b = balance(radish).batters[0];
    const next = applyBlend(
      radish,
      b,
      ['rice-flour-fine', 'tapioca'],
      {
        shares: [0.8, 0.2],
        hydration: b.hydration + 0.3,
        cost: 0,
        texture: { firm: 0, chewy: 0, sticky: 0, clear: 0, cleanBite: 0, hardens: 0 },
        givesUp: '',
      },
      larderOf(),
    );
    const after = balance(next).batters[0];
    expect(after.dryBlendG).toBeCloseTo(b.dryBlendG, 0);
    expect(after.hydration).toBeCloseTo(b.hydration + 0.3, 1);
    expect(after.shares['maize-starch']).toBeUndefined();
  });
});

describe('schools', () => {
  test('drawing the juice strews 2 % salt and keeps an old weighing at its own node; wilting takes the salt back', () => {
    const weighed = withReading(radish, { node: 'wilt:radish', slot: 'juiceG' }, 300);
    const drawn = chooseSchool(weighed, 'juice', 'draw-discard');
    expect(drawn.addIns[0]).toMatchObject({ treatment: 'squeezed-by-hand', drawSaltG: 21 });
    expect(drawn.readings).toEqual({ 'wilt:radish': { juiceG: 300 } });
    const back = chooseSchool(drawn, 'juice', 'wilt-keep');
    expect(back.addIns[0].treatment).toBe('wilted');
    expect(back.addIns[0].drawSaltG).toBeUndefined();
    expect(balance(back).batters[0].topUpG).toBeCloseTo(250, 6);
    expect(withReading(weighed, { node: 'wilt:radish', slot: 'juiceG' }, undefined).readings).toEqual({});
  });
  test('another extra starch takes the place of the old one, gram for gram; none gives it to the rice', () => {
    const dry = (p: Plan) => balance(p).batters[0].dryBlendG;
    const potato = chooseSchool(radish, 'extraStarch', 'potato');
    expect(potato.batters[0].lines.find((l) => l.ingredient === 'potato-starch')?.massG).toBe(34);
    expect(dry(potato)).toBeCloseTo(dry(radish), 9);
    const none = chooseSchool(radish, 'extraStarch', 'none');
    expect(none.batters[0].lines.find((l) => l.ingredient === 'rice-flour-fine')?.massG).toBe(260);
    expect(dry(chooseSchool(none, 'extraStarch', 'tapioca'))).toBeCloseTo(260, 9);
  });
});

describe('measures', () => {
  const kitchen = emptyKitchen();
  test('195 g of fine rice flour is 1½ metric cups; the spread of scooping is said', () => {
    const cups = showIn('cups', 195, ingredient('rice-flour-fine'), kitchen);
    expect([cups.unit, cups.rounded.value]).toEqual(['cup', 1.5]);
    expect(cups.rounded.mustSay).toBe(true);
    expect(cups.note).toMatch(/161 g by light hands, 188 spooned, 221 scooped/);
  });
  test('small amounts go to spoons, and a value typed back is the same grams', () => {
    const salt = showIn('cups', 6, ingredient('fine-salt'), kitchen);
    expect(salt.unit).toBe('tsp');
    expect(salt.rounded.value * salt.perUnitG).toBeCloseTo(6.1, 1);
    expect(showIn('cups', 20, ingredient('fine-salt'), kitchen).unit).toBe('tbsp');
  });
  test('a radish of about 800 g, 680 g peeled, and a can of 400 g; what has neither stays in grams', () => {
    expect(showIn('packs', 1050, ingredient('radish'), kitchen)).toMatchObject({
      unit: 'radish',
      perUnitG: 680,
      rounded: { value: 1.54 },
    });
    expect(showIn('packs', 260, ingredient('coconut-milk'), kitchen)).toMatchObject({
      unit: 'can',
      rounded: { value: 0.65 },
    });
    expect(showIn('packs', 6, ingredient('fine-salt'), kitchen).unit).toBe('g');
  });
  test("my cup replaces the table's", () => {
    expect(gramsPerCup(ingredient('tapioca'), { ...kitchen, myCups: { tapioca: 140 } })).toEqual({
      grams: 140,
      mine: true,
    });
    expect(gramsPerCup(ingredient('tapioca'), kitchen).grams).toBeCloseTo(125, 9);
  });
});

describe('the blend field', () => {
  test('corners are pure, the middle is a third each, and places are found again', () => {
    expect(toXY([1, 0, 0])[1]).toBeCloseTo(PAD, 9);
    expect(toXY([0, 1, 0])).toEqual([PAD, PAD + HEIGHT]);
    expect(toXY([0, 0, 1])).toEqual([PAD + SIDE, PAD + HEIGHT]);
    for (const s of [
      [0.2, 0.3, 0.5],
      [0.9, 0.05, 0.05],
      [1 / 3, 1 / 3, 1 / 3],
    ] as const)
      toShares(...toXY(s)).forEach((x, i) => expect(x).toBeCloseTo(s[i], 9));
  });
  test('a place outside is brought to the edge', () => {
    const s = toShares(0, PAD + HEIGHT + 50);
    expect(Math.min(...s)).toBeGreaterThanOrEqual(0);
    expect(s[0] + s[1] + s[2]).toBeCloseTo(1, 12);
  });
  test('a family region is clipped to its bands, and empty where none fits', () => {
    const region = regionOf([
      [0.5, 1],
      [0, 0.2],
      [0, 1],
    ]).map(([x, y]) => toShares(x, y));
    for (const s of region) {
      expect(s[0]).toBeGreaterThanOrEqual(0.5 - 1e-9);
      expect(s[1]).toBeLessThanOrEqual(0.2 + 1e-9);
    }
    expect(
      regionOf([
        [0.8, 1],
        [0.5, 1],
        [0, 1],
      ]),
    ).toHaveLength(0);
  });
  test('contours of a share lie between its levels', () => {
    const levels = fieldContours((s) => 10 * s[2]).map((c) => c.level);
    expect(levels).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9]);
  });
});

test.each([
  ['', 'Enter a number'],
  ['abc', 'is not a number'],
  ['-1', 'cannot be below zero'],
  ['1e9', 'is not a number'],
  ['1000000', 'at most 500 g'],
  ['1.5', 'whole number'],
])('a number field says of "%s" what to change', (text, words) =>
  expect(typedNumber(text, { label: 'Rice', min: 0, max: 500, unit: 'g', whole: true })).toMatchObject({
    kind: 'trouble',
    sentence: expect.stringMatching(words),
  }),
);
test('a decimal comma is understood', () =>
  expect(typedNumber('2,5', { label: 'Salt', min: 0, max: 9 })).toEqual({ kind: 'value', value: 2.5 }));
test('what could be two numbers asks, whatever the limits; ounces are read back as grams', () => {
  expect(typedNumber('1,250', { label: 'Rice', min: 0, max: 50000, unit: 'g' })).toMatchObject({ kind: 'ask' });
  const oz = shownUnit('g', { mass: 'oz', length: 'mm', temp: 'C' });
  const typed = typedNumber('1 1/2', { label: 'Rice', min: 0, max: 500, unit: 'g' }, oz);
  expect(typed.kind === 'value' && typed.value).toBeCloseTo(42.524, 3);
  expect(typedNumber('40', { label: 'Rice', min: 0, max: 500, unit: 'g' }, oz)).toMatchObject({
    sentence: 'Use at most 17.64 oz.',
  });
});
test('words are read where a field takes them', () => {
  const milk = larderOf().get('coconut-milk');
  if (!milk) throw new Error('milk');
  const words = (t: string) => readMass(t, milk);
  expect(typedNumber('half a can', { label: 'Milk', min: 0, words })).toEqual({ kind: 'value', value: 200 });
  expect(typedNumber('half a cat', { label: 'Milk', min: 0, words })).toMatchObject({
    kind: 'trouble',
    sentence: expect.stringContaining('half a can'),
  });
  expect(typedNumber('1,250 g', { label: 'Milk', min: 0, words })).toMatchObject({ readings: [1.25, 1250] });
});

test('a kept blend is written out before its shares are moved: nothing of it counts twice', () => {
  const made = keptBlend(
    'own-b',
    'Blend',
    [
      { ingredient: 'rice-flour-fine', share: 3 },
      { ingredient: 'tapioca', share: 1 },
    ],
    larderOf(),
  );
  if (!made.ok) throw new Error('a blend');
  const slab = formulaOf(FAMILIES[0]);
  const plan: Plan = {
    ...slab,
    ingredients: [made.value],
    batters: slab.batters.map((b) => ({
      ...b,
      lines: [
        { id: 'own-b', ingredient: 'own-b', massG: 200, treatment: 'as-is' as const },
        { id: 'tapioca', ingredient: 'tapioca', massG: 20, treatment: 'as-is' as const },
        ...b.lines.filter((l) => !['rice-flour-fine', 'tapioca'].includes(l.ingredient)),
      ],
    })),
  };
  const larder = larderOf([made.value]);
  const flours = (p: Plan) =>
    Object.fromEntries(
      p.batters[0].lines.filter((l) => /rice|tapioca|own/.test(l.ingredient)).map((l) => [l.ingredient, l.massG]),
    );
  expect(flours(dissolveBlends(plan, 0, larder))).toEqual({ tapioca: 70, 'rice-flour-fine': 150 });
  expect(dissolveBlends(slab, 0, larder)).toBe(slab);
  const moved = setShares(dissolveBlends(plan, 0, larder), 0, [
    { id: 'rice-flour-fine', massG: 110 },
    { id: 'tapioca', massG: 110 },
  ]);
  expect(Object.values(flours(moved)).reduce((a, g) => a + g, 0)).toBe(220);
});

describe('fillings', () => {
  const rolls = formula('filled-rolls');
  test('a line of a filling is added, weighed, changed and taken out where it is, and nowhere else', () => {
    const place = fillingPlace(0);
    const more = addLine(rolls, place, 'coriander');
    expect(more.fillings[0].lines.map((l) => l.ingredient)).toEqual(['minced-pork', 'wood-ear', 'onion', 'coriander']);
    const weighed = changeLine(more, place, 3, { massG: 12 });
    expect(weighed.fillings[0].lines[3]).toMatchObject({ id: 'coriander', massG: 12 });
    expect(weighed.batters).toEqual(rolls.batters);
    expect(weighed.addIns).toEqual(rolls.addIns);
    expect(removeLine(weighed, place, 3)).toEqual(rolls);
  });
  test('a further filling has a name and an id of its own, whichever was taken out before', () => {
    const three = addFilling(addFilling(rolls));
    expect(new Set(three.fillings.map((f) => f.id)).size).toBe(3);
    const again = addFilling(removeFilling(three, 1));
    expect(new Set(again.fillings.map((f) => f.id)).size).toBe(3);
    expect(forecastLight(again, emptyKitchen()).ok).toBe(true);
  });
  test('a stand-in in a filling is balanced in the filling, never in the batter', () => {
    const sausage = {
      ...rolls,
      fillings: [
        {
          ...rolls.fillings[0],
          lines: [{ id: 'x', ingredient: 'cured-sausage', massG: 200, treatment: 'fried' as const }],
        },
      ],
    };
    const s = standInsFor(larderOf().get('cured-sausage') ?? never(), larderOf())[0];
    const { plan } = exchange(sausage, fillingPlace(0), 0, s, larderOf());
    expect(plan.fillings[0].lines[0].ingredient).toBe(s.to);
    expect(plan.batters).toEqual(rolls.batters);
  });
});
function never(): never {
  throw new Error('not in the larder');
}
