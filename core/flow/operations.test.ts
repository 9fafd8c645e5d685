import { FAMILIES, formulaOf } from '../families';
import { lightOf, madeOf } from '../testing/made';
import { operationOf, OPERATIONS, traitsOf, type Operation } from '.';

test('a node’s or a step’s operation is read off its id, and nothing else is', () => {
  expect(operationOf('steam:cake')).toBe('steam');
  expect(operationOf('cook-through:batter')).toBe('cook-through');
  for (const id of ['lost:3', 'toString:x', 'steamed:cake', 'steam', '', ':'])
    expect([id, operationOf(id)]).toEqual([id, undefined]);
  expect(traitsOf(undefined)).toEqual({});
});

test.each(FAMILIES.map((f) => [f.id, f] as const))('%s: every step has the operation of its node', (_, family) => {
  const f = madeOf(formulaOf(family), undefined, false);
  for (const s of f.steps) expect([s.id, s.op]).toEqual([s.id, operationOf(s.id)]);
});

test('what is cooked is cooked once: in the steam, in the pan or in the pot', () => {
  for (const family of FAMILIES) {
    const { flow } = lightOf(formulaOf(family));
    const cooks = flow.nodes.filter((n) => OPERATIONS[n.op].cooks);
    expect([family.id, cooks.length]).toEqual([family.id, 1]);
    const into = flow.nodes.filter((n) => OPERATIONS[n.op].into);
    expect([family.id, into.length]).toEqual([family.id, 1]);
  }
});

test('whatever takes the ring has a heat it is done on, and a pot on the ring has one too', () => {
  for (const family of FAMILIES) {
    const light = lightOf(formulaOf(family));
    for (const n of light.flow.nodes)
      if (n.resources.includes('ring') && OPERATIONS[n.op].gear)
        expect([family.id, n.id, OPERATIONS[n.op].heat !== undefined]).toEqual([family.id, n.id, true]);
  }
});

test('traits that belong together stand together', () => {
  for (const [op, t] of Object.entries(OPERATIONS) as [Operation, (typeof OPERATIONS)[Operation]][]) {
    if (t.steamClock) expect([op, t.inSteam]).toEqual([op, true]);
    if (t.inSteam) expect([op, t.cooks, t.heat]).toEqual([op, true, 'plan']);
    if (t.skips) expect([op, t.reckoned]).toEqual([op, true]);
  }
});
