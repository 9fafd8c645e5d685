import { sayHoldings, thingChanges } from '.';

const tin = { id: 'v', name: 'Tin', heightM: 0.05, count: 1, loaf: false, sides: ['a', 'b'] };

test('what differs of a thing is told by its words and its unit, and nothing where nothing does', () => {
  expect(thingChanges(tin, { ...tin })).toEqual([]);
  expect(thingChanges(tin, { ...tin, heightM: 0.0475, name: 'Deep tin', loaf: true })).toEqual([
    'name "Tin" to "Deep tin"',
    'height 50 mm to 47.5 mm',
    'loaf no to yes',
  ]);
  expect(thingChanges(tin, { ...tin, baseDiameterM: 0.18 })).toEqual(['base diameter none to 180 mm']);
  expect(thingChanges(tin, { ...tin, sides: ['b', 'a'] })).toEqual(['sides']);
});
test('fields that are passed over, and keys in another order, are no difference', () => {
  expect(thingChanges({ a: 1, learned: 2 }, { learned: 3, a: 1 }, ['learned'])).toEqual([]);
  expect(thingChanges({ a: { x: 1, y: 2 } }, { a: { y: 2, x: 1 } })).toEqual([]);
});
test('how much there is in a kitchen is told without what is not there', () => {
  expect(sayHoldings({ plans: 1, batches: 2, photos: 0, things: 1 })).toBe(
    '1 plan, 2 batches, 1 thing of rack and larder',
  );
  expect(sayHoldings({ plans: 0, batches: 0, photos: 0, things: 0 })).toBe('nothing yet');
});
