import fc from 'fast-check';
import { emptyKitchen, kitchenSchema } from '@/core/kitchen';
import { INGREDIENT_TABLE, ingredientSchema } from '@/core/larder';
import type { KitchenState } from '@/db';
import { packKitchen, unpackKitchen } from './packed';

const NO_REVISIONS = {
  ingredients: {},
  vessels: {},
  steamers: {},
  hobs: {},
  fryingPans: {},
  pots: {},
  appliances: {},
  scoops: {},
};
function stateOf(change: object, revisions: Partial<KitchenState['revisions']> = {}): KitchenState {
  const kitchen = kitchenSchema.parse({ ...emptyKitchen(), ...change });
  const { format, version, ...rest } = kitchen;
  const value = Object.fromEntries(Object.entries(rest).filter(([k]) => !(k in NO_REVISIONS)));
  expect([format, version]).toEqual(['idle-ladle/kitchen', 2]);
  return {
    kitchen,
    settings: { revision: 3, value: value as KitchenState['settings']['value'] },
    revisions: { ...NO_REVISIONS, ingredients: { tapioca: 4 }, ...revisions },
    unreadable: [],
  };
}
/** As it comes over the wire. */
const sent = (s: KitchenState) => unpackKitchen(JSON.parse(JSON.stringify(packKitchen(s))) as never);

test('a kitchen of any entries, the shipped ones changed or whole and the cook’s own, comes out as it went in', () => {
  fc.assert(
    fc.property(
      fc.subarray([...INGREDIENT_TABLE], { maxLength: 12 }),
      fc.integer({ min: 0, max: 9000 }),
      fc.constantFrom('stock', 'name', 'no piece', 'no pack', 'own id', 'nothing'),
      (entries, stockG, change) => {
        const ingredients = entries.map((i) =>
          ingredientSchema.parse({
            ...i,
            ...(change === 'stock' ? { stockG } : {}),
            ...(change === 'name' ? { name: `${i.name} of ours`, alsoCalled: [] } : {}),
            ...(change === 'no piece' ? { piece: undefined, uptake: undefined } : {}),
            ...(change === 'no pack' ? { pack: undefined, allergens: [] } : {}),
            ...(change === 'own id' ? { id: `own-${i.id}`, source: 'cook' } : {}),
          }),
        );
        const state = stateOf({ ingredients, roomC: 24, myCups: { tapioca: 120 } });
        expect(sent(state)).toEqual(JSON.parse(JSON.stringify(state)));
      },
    ),
    { numRuns: 60 },
  );
});

test('revisions come out as they went in: the first, later ones, of what cannot be read, and none', () => {
  const scoop = (id: string) => ({ id, name: id, ml: 60 });
  const state = stateOf(
    { scoops: [scoop('a'), scoop('b'), scoop('c')] },
    { scoops: { a: 1, b: 7, unread: 1, old: 3 } },
  );
  expect(sent(state)).toEqual(JSON.parse(JSON.stringify(state)));
  const firsts = stateOf({ scoops: [scoop('a'), scoop('b')] }, { scoops: { a: 1, b: 1 }, ingredients: {} });
  expect(packKitchen(firsts).revisions).toEqual({});
  expect(sent(firsts).revisions.scoops).toEqual({ a: 1, b: 1 });
});

test('a larder of shipped entries with a stock is sent in a tenth of its length', () => {
  const ingredients = INGREDIENT_TABLE.slice(0, 20).map((i) => ({ ...i, stockG: 500 }));
  const state = stateOf({ ingredients });
  expect(JSON.stringify(packKitchen(state).ingredients).length).toBeLessThan(JSON.stringify(ingredients).length / 10);
});
