import fc from 'fast-check';
import {
  afterFirstBatch,
  boughtFor,
  boughtWords,
  compositionSchema,
  dryFromSoaked,
  findIngredients,
  gramsFromWords,
  INGREDIENT_TABLE,
  ingredientSchema,
  keptBlend,
  larderOf,
  lookAlikesIn,
  nameIngredient,
  settlePiece,
  soakedFromDry,
  starchesOf,
  unlabelledBlend,
  uptakeAfter,
  usedFrom,
  type Ingredient,
} from '.';

const larder = larderOf();
const get = (id: string): Ingredient => {
  const i = larder.get(id);
  if (!i) throw new Error(id);
  return i;
};
const found = (text: string) => findIngredients(larder.values(), text).map((f) => f.ingredient.id);

/** Names as cooks say them, and the thing that each must lead to (the reference list of other names). */
const NAMES: readonly (readonly [string, string])[] = [
  ['daikon', 'radish'],
  ['mooli', 'radish'],
  ['Chinese turnip', 'radish'],
  ['white turnip', 'radish'],
  ['scallion', 'spring-onion'],
  ['green onion', 'spring-onion'],
  ['corn starch', 'maize-starch'],
  ['cornflour', 'maize-starch'],
  ['cassava starch', 'tapioca'],
  ['sweet rice', 'glutinous-flour'],
  ['sticky rice', 'glutinous-rice'],
  ['mochi rice', 'glutinous-rice'],
  ['jicama', 'yam-bean'],
  ['shiitake', 'dried-mushroom'],
  ['black mushroom', 'dried-mushroom'],
  ['cilantro', 'coriander'],
  ['slaked lime', 'calcium-hydroxide'],
  ['pickling lime', 'calcium-hydroxide'],
  ['cal', 'calcium-hydroxide'],
  ['water chestnut powder', 'water-chestnut-starch'],
  ['brown slab sugar', 'slab-sugar'],
  ['jaggery', 'slab-sugar'],
  ['panela', 'slab-sugar'],
  ['piloncillo', 'slab-sugar'],
  ['coconut sugar', 'palm-sugar'],
  ['gula', 'palm-sugar'],
  ['pumpkin', 'winter-squash'],
  ['kabocha', 'winter-squash'],
  ['butternut', 'winter-squash'],
  ['soya sauce', 'light-soy'],
  ['soya sauce', 'dark-soy'],
  ['sago', 'tapioca-pearls'],
  ['tapioca pearls', 'tapioca-pearls'],
  ['crisp onion', 'fried-shallot'],
  ['moong dal', 'mung-beans-dry'],
  ['peeled green beans', 'mung-beans-dry'],
  ['seitan', 'wheat-protein'],
  ['gluten', 'wheat-protein'],
  ['ground pork', 'minced-pork'],
  ['raising powder', 'baking-powder'],
  ['screwpine', 'pandan-leaf'],
  ['lá dứa', 'pandan-leaf'],
  ['la dua', 'pandan-juice'],
];

describe('every ingredient by the name a cook uses', () => {
  test.each(NAMES)('"%s" finds %s', (name, id) => expect(found(name)).toContain(id));
  test.each([
    'black-pepper five-spice stock-powder sesame-oil sesame-seed onion garlic ginger wheat-protein shallot fried-shallot dates',
    'tapioca-pearls vanilla pea-flower beetroot-juice turmeric purple-yam peanuts cashew minced-pork minced-chicken roast-pork',
    'smoked-tofu egg chives coriander chilli lime-juice rice-vinegar fish-sauce oyster-sauce mushroom-sauce hoisin mustard-greens',
    'arrowroot rice-starch wood-ear',
  ])('the further list is there: %s', (ids) => ids.split(' ').forEach((id) => expect(larder.has(id)).toBe(true)));
  test('its own whole name comes first, whatever else holds the word', () => {
    expect(found('water')[0]).toBe('water');
    expect(found('Tapioca starch')[0]).toBe('tapioca');
    expect(found('egg')[0]).toBe('egg');
  });
  test('plurals, capitals and accents do not matter', () => {
    expect(found('Radishes')).toContain('radish');
    expect(found('SCALLIONS')[0]).toBe('spring-onion');
    expect(found('nuoc mam')).toContain('fish-sauce');
  });
  test('a name that fits several things asks, a whole name does not', () => {
    const soy = nameIngredient(larder.values(), 'soya sauce');
    expect(soy).toMatchObject({ kind: 'several' });
    expect(soy.kind === 'several' && soy.sentence).toMatch(/light soy sauce or dark soy sauce: which is it/);
    expect(nameIngredient(larder.values(), 'tapioca starch')).toMatchObject({
      kind: 'one',
      ingredient: { id: 'tapioca' },
    });
    expect(nameIngredient(larder.values(), 'moon dust')).toMatchObject({ kind: 'none' });
  });
});

describe('the shipped table', () => {
  test.each(INGREDIENT_TABLE.map((i) => [i.id, i] as const))('%s is whole', (_id, i) => {
    const c = i.per100;
    const sum = c.water + c.starch + c.sugars + c.fat + c.protein + c.fibreAsh;
    expect(Math.abs(sum - 100)).toBeLessThanOrEqual(2);
    expect(c.salt).toBeLessThanOrEqual(Math.max(c.fibreAsh, 12));
    if (i.kind === 'flour' || i.kind === 'starch' || i.kind === 'grain') expect(i.starchKind).toBeDefined();
    if (i.piece) expect(i.piece.fromG <= i.piece.massG && i.piece.massG <= i.piece.toG).toBe(true);
    if (i.uptake) expect(i.uptake.low <= i.uptake.gPerG && i.uptake.gPerG <= i.uptake.high).toBe(true);
    expect(ingredientSchema.parse(i)).toEqual(i);
  });
  test('ids are each used once', () =>
    expect(new Set(INGREDIENT_TABLE.map((i) => i.id)).size).toBe(INGREDIENT_TABLE.length));
  test('parts that cannot be are named, with how far they are off', () => {
    const r = compositionSchema.safeParse({ water: 60, starch: 50, sugars: 5, fat: 0, protein: 0, fibreAsh: 0 });
    expect(r.error?.issues[0].message).toBe(
      'water 60 + starch 50 + sugars 5 make 115.0 g in 100 g, 15.0 too many: make them add up to 100, give or take 2.',
    );
  });
  test('an entry of an earlier release is read: its piece, and its allergens as not stated', () => {
    const { piece: _p, allergensStated: _a, ...old } = get('carrot');
    const r = ingredientSchema.parse({ ...old, id: 'own-1', pieceG: 90, allergens: [] });
    expect(r.piece).toMatchObject({ massG: 90 });
    expect(r.allergensStated).toBe(false);
  });
});

describe('as bought and as used', () => {
  test('850 g of grated radish are 1000 g of radish; two radishes of 800 g give 1360 g', () => {
    expect(boughtFor(get('radish'), 850).massG).toBeCloseTo(1000, 6);
    expect(gramsFromWords('two radishes', get('radish'))).toBeCloseTo(1360, 6);
    expect(boughtWords(get('radish'), 1360)).toBe('1600 g as bought, about 2 radishes');
  });
  test('half a can, one and a half cans, 1 1/2 cans', () => {
    const milk = get('coconut-milk');
    expect(gramsFromWords('half a can', milk)).toBe(200);
    expect(gramsFromWords('one and a half cans', milk)).toBe(600);
    expect(gramsFromWords('1 1/2 tins', milk)).toBe(600);
    expect(gramsFromWords('½ can', milk)).toBe(200);
  });
  test('words for another thing, or no number, are no amount', () => {
    expect(gramsFromWords('two bananas', get('radish'))).toBeUndefined();
    expect(gramsFromWords('some radish', get('radish'))).toBeUndefined();
    expect(gramsFromWords('1,250 g', get('radish'))).toBeUndefined();
  });
  test('soaked mushrooms are bought dry: 62 g soaked are 10 g, two caps', () => {
    expect(boughtFor(get('dried-mushroom'), 62).massG).toBeCloseTo(10, 6);
    expect(gramsFromWords('10 g dry', get('dried-mushroom'))).toBeCloseTo(62, 6);
  });
  test('a coconut by its kind: a mature one for flesh, a young one for water', () => {
    expect(boughtFor(get('coconut-grated'), 325).pieces).toMatchObject({ word: 'mature coconut', count: 1 });
    expect(boughtFor(get('coconut-water'), 320).pieces).toMatchObject({
      word: 'young coconut',
      count: expect.closeTo(1, 6),
    });
  });
  test('one weighed piece settles it', () => {
    const mine = settlePiece(get('radish'), 640, 560);
    expect(mine.trim).toBeCloseTo(0.125, 6);
    expect(boughtFor(mine, 560).pieces).toMatchObject({ count: 1, from: 1, to: 1 });
  });
  test('there and back for every ingredient', () =>
    fc.assert(
      fc.property(fc.constantFrom(...INGREDIENT_TABLE), fc.double({ min: 0.1, max: 5000, noNaN: true }), (i, g) => {
        expect(usedFrom(i, boughtFor(i, g).massG)).toBeCloseTo(g, 6);
        expect(dryFromSoaked(i, soakedFromDry(i, g))).toBeCloseTo(g, 6);
      }),
    ));
});

describe('soaking', () => {
  test('hot water is faster, and no water is taken up before it starts', () => {
    const m = get('dried-mushroom');
    expect(uptakeAfter(m, 0, 20)).toBe(0);
    expect(uptakeAfter(m, 1500, 45)).toBeGreaterThan(0.8 * 5.2);
    expect(uptakeAfter(m, 1500, 20)).toBeLessThan(0.6 * 5.2);
    expect(uptakeAfter(m, 8 * 3600, 20)).toBeGreaterThan(0.9 * 5.2);
  });
});

describe('a dry blend kept as one item', () => {
  const blend = keptBlend(
    'own-b',
    'Galley blend',
    [
      { ingredient: 'rice-flour-fine', share: 300 },
      { ingredient: 'wheat-starch', share: 100 },
    ],
    larder,
  );
  if (!blend.ok) throw new Error('a blend');
  test('its composition, cup and allergens are those of its parts', () => {
    expect(blend.value.per100.starch).toBeCloseTo(0.75 * 79 + 0.25 * 86, 6);
    expect(blend.value.allergens).toEqual(['wheat/gluten']);
    expect(blend.value.bulkDensityGPerMl).toBeCloseTo(1 / (0.75 / 0.5 + 0.25 / 0.52), 6);
    const by = Object.fromEntries(starchesOf(blend.value, larder));
    expect(by.rice).toBeCloseTo((0.75 * 79) / (0.75 * 79 + 0.25 * 86), 6);
    expect(by.wheat).toBeCloseTo(1 - by.rice, 9);
  });
  test('nothing in it, or something that is not there, is said', () => {
    expect(keptBlend('x', 'X', [{ ingredient: 'tapioca', share: 0 }], larder)).toMatchObject({
      problems: [{ code: 'blend-empty' }],
    });
    expect(keptBlend('x', 'X', [{ ingredient: 'nope', share: 1 }], larder)).toMatchObject({
      problems: [{ code: 'blend-unknown' }],
    });
  });
  test('one without a label is guessed, not stated, and its first batch moves it', () => {
    const bought = unlabelledBlend('own-u', 'Market blend', 'rice-tapioca', larder);
    if (!bought.ok) throw new Error('a blend');
    expect(bought.value).toMatchObject({
      allergensStated: false,
      characterised: { drainTest: false, firstBatch: false },
    });
    const after = afterFirstBatch(
      { ...bought.value, absorption: 1.93, characterised: { drainTest: true, firstBatch: false } },
      'chewier',
      larder,
    );
    if (!after.ok) throw new Error('a blend');
    expect(after.value.characterised).toEqual({ drainTest: true, firstBatch: true });
    expect(after.value.absorption).toBe(1.93);
    expect(after.value.blendOf?.find((p) => p.ingredient === 'tapioca')?.share).toBeCloseTo(0.2 * 0.88 + 0.12, 6);
    expect(after.value.allergensStated).toBe(false);
  });
});

test('look-alikes are warned of, each warning once', () => {
  const said = lookAlikesIn([get('rice-flour-fine'), get('glutinous-flour'), get('coconut-milk'), get('radish')]);
  expect(said).toHaveLength(2);
  expect(said[0]).toMatch(/glutinous/);
});
