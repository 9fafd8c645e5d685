import fc from 'fast-check';
import {
  afterFirstBatch,
  boughtFor,
  boughtWords,
  compositionSchema,
  dryFromSoaked,
  findIngredients,
  INGREDIENT_TABLE,
  ingredientSchema,
  keptBlend,
  larderOf,
  lookAlikesIn,
  nameIngredient,
  readMass,
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
    const named = (text: string) => {
      const n = nameIngredient(larder.values(), text);
      return n.kind === 'several' ? n.of.map((i) => i.id) : n.kind === 'one' ? [n.ingredient.id] : [];
    };
    expect(named('oil')).toEqual(['oil', 'sesame-oil', 'shallot-oil', 'chilli-oil']);
    expect(named('salt')).not.toContain('preserved-radish');
    expect(named('sweet rice flour')).toEqual(['glutinous-flour']);
    expect(named('Daikon radish')).toEqual(['radish']);
    expect(named('tapi')).toContain('tapioca');
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
    expect(boughtWords(get('radish'), 1360)).toBe('1600 g as bought, about 2 radishes');
  });
  test('soaked mushrooms are bought dry: 62 g soaked are 10 g, two caps', () => {
    expect(boughtFor(get('dried-mushroom'), 62).massG).toBeCloseTo(10, 6);
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

/** Amounts as cooks type them, of what, and grams as used: pieces and packs by the table's weights, less trim, times soaking. */
const AMOUNTS: readonly (readonly [string, string, number])[] = [
  ['two radishes', 'radish', 2 * 800 * 0.85],
  ['2 daikons', 'radish', 1360],
  ['half a daikon', 'radish', 340],
  ['two and a half radishes', 'radish', 1700],
  ['about 2 radishes', 'radish', 1360],
  ['1 large radish', 'radish', ((800 + 1200) / 2) * 0.85],
  ['2 pcs', 'radish', 1360],
  ['1.2 kg unpeeled', 'radish', 1020],
  ['850 g of radish', 'radish', 850],
  ['1 1/2 lbs', 'radish', 1.5 * 453.59237],
  ['1 lb 2 oz', 'radish', 1.125 * 453.59237],
  ['1 kg and 200 gm', 'radish', 1200],
  ['half a can', 'coconut-milk', 200],
  ['half a can of coconut milk', 'coconut-milk', 200],
  ['three quarters of a can', 'coconut-milk', 300],
  ['one and a half cans', 'coconut-milk', 600],
  ['1 1/2 tins', 'coconut-milk', 600],
  ['½ can', 'coconut-milk', 200],
  ['a quarter of a can', 'coconut-milk', 100],
  ['a dozen eggs', 'egg', 12 * 58 * 0.88],
  ['half a dozen eggs', 'egg', 6 * 58 * 0.88],
  ['2 cloves of garlic', 'garlic', 2 * 6 * 0.88],
  ['10 g dry', 'dried-mushroom', 62],
  ['dry 10 g', 'dried-mushroom', 62],
  ['6 shiitake', 'dried-mushroom', 6 * 5 * 6.2],
  ['200 g dry', 'mung-beans-cooked', 550],
  ['2 cups', 'rice-flour-fine', 250],
  ['1/2 cup of sugar', 'white-sugar', 62.5],
  ['3 tbsp', 'rice-flour-fine', 22.5],
  ['1-1/2 tsp', 'fine-salt', 3.75],
  ['250 ml', 'coconut-milk', 125],
  ['1 200 g', 'radish', 1200],
];

describe('an amount as a cook says it', () => {
  // A cup of 250 ml of something of 0.5 g/ml.
  const measures = { cup: 125, tablespoon: 7.5, teaspoon: 2.5, ml: 0.5 };
  test.each(AMOUNTS)('"%s" of %s', (text, id, grams) => {
    const read = readMass(text, get(id), measures);
    expect(read.kind === 'amount' && read.value).toBeCloseTo(grams, 6);
  });
  test.each([
    ['two bananas', 'radish'],
    ['2 cups of sugar', 'radish'],
    ['some radish', 'radish'],
    ['1 bag', 'radish'],
    ['a few', 'egg'],
    ['1/0 kg', 'radish'],
  ])('"%s" is no amount of %s, and says how to write one', (text, id) => {
    const read = readMass(text, get(id), measures);
    expect(read.kind === 'bad' && read.sentence).toMatch(/is no amount of .*: write it like 250/);
  });
  test('what could be two amounts asks, in grams', () =>
    expect(readMass('1,250 kg', get('radish'))).toMatchObject({ kind: 'ask', readings: [1250, 1_250_000] }));
  test('less than nothing stays less than nothing, for the field to refuse', () =>
    expect(readMass('-2 radishes', get('radish'))).toMatchObject({ kind: 'amount', value: -1360 }));
  test('n pieces and n packs of whatever is counted so, in figures: n times one', () =>
    fc.assert(
      fc.property(fc.constantFrom(...INGREDIENT_TABLE), fc.integer({ min: 1, max: 40 }), (i, n) => {
        for (const unit of [i.piece, i.pack]) {
          if (!unit) continue;
          const read = readMass(`${n} ${unit.word}s`, i, measures);
          expect(read.kind === 'amount' && read.value).toBeCloseTo(usedFrom(i, n * unit.massG), 6);
        }
      }),
    ));
  test('no text at all makes it fail: an amount, a question, or a sentence', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...INGREDIENT_TABLE),
        fc.array(
          fc.constantFrom(
            '1',
            '1,250',
            '½',
            'half',
            'a',
            'and',
            'dozen',
            'of',
            'cup',
            'kg',
            'dry',
            'large',
            '-',
            '/',
            'radish',
          ),
          { maxLength: 5 },
        ),
        (i, words) => {
          const read = readMass(words.join(' '), i, measures);
          if (read.kind === 'amount') expect(Number.isFinite(read.value)).toBe(true);
          if (read.kind === 'bad') expect(read.sentence).toMatch(/write it like/);
        },
      ),
      { numRuns: 400 },
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
      characterised: { drainTest: false },
    });
    const after = afterFirstBatch(
      { ...bought.value, absorption: 1.93, characterised: { drainTest: true } },
      'chewier',
      larder,
    );
    if (!after.ok) throw new Error('a blend');
    expect(after.value.characterised).toEqual({ drainTest: true });
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
