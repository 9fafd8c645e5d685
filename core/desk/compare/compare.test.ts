import { madeOf, formula } from '../../testing/made';
import { scalePlan } from '../../plan';
import { compare } from './compare';

const slab = formula('savoury-coconut-slab');
const a = madeOf(slab);

test('a cake beside itself differs in nothing', () => {
  const c = compare(a, a);
  expect(c.grams.every((g) => g.a === g.b)).toBe(true);
  expect([...c.minutes, ...c.safety].every((r) => r.same && r.by === '')).toBe(true);
  expect(c.texture.every((t) => t.a === t.b)).toBe(true);
});
test('a deeper one: a fifth more of every line, longer in the steam, and each row says by how much', () => {
  const c = compare(a, madeOf(scalePlan(slab, 1.2)));
  for (const g of c.grams.filter((x) => !x.name.includes('beside')))
    expect((g.b ?? 0) / (g.a ?? 1)).toBeCloseTo(1.2, 6);
  const row = (name: string) => c.minutes.find((r) => r.name === name);
  expect(row('depth')?.by).toMatch(/^\+6\.8 mm|^\+7 mm/);
  expect(row('plan for')?.by).toMatch(/^\+\d+ min/);
  expect(row('hydration')).toMatchObject({ same: true, by: '' });
});
test('what only one of them has is told as none of the other', () => {
  const c = compare(a, madeOf(formula('radish-slab')));
  expect(c.grams.find((g) => g.name === 'White radish')).toMatchObject({ a: null });
  expect(c.grams.find((g) => g.name === 'Coconut milk')).toMatchObject({ b: null });
});
