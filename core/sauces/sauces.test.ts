import { FAMILIES } from '../families';
import { larderOf } from '../larder';
import type { Plan } from '../plan';
import { formula, madeOf } from '../testing/made';
import { keepingOf, sauceById, SAUCES, withSauce } from '.';

const larder = larderOf();
const made = (id: string, plan: Plan = { ...formula('radish-slab'), accompaniments: [] }) => {
  const s = sauceById(id);
  if (!s) throw new Error(id);
  return withSauce(plan, s);
};
const keeps = (id: string) => keepingOf(made(id).accompaniments[0], larder);

test.each(FAMILIES.map((f) => [f.id, f] as const))('%s has sauces of its own on the list', (_id, f) => {
  expect(f.usualSauces.length).toBeGreaterThan(0);
  for (const id of f.usualSauces) expect(sauceById(id)?.id).toBe(id);
});
test.each(SAUCES.map((s) => [s.id, s] as const))('%s is made, weighed out and told as a step', (id, s) => {
  for (const [ingredient] of s.parts) expect([ingredient, larder.has(ingredient)]).toEqual([ingredient, true]);
  const f = madeOf(made(id), undefined, false);
  expect(f.light.problems).toEqual([]);
  const step = f.steps.find((x) => x.id === `make:${id}`);
  expect(step?.sentence).toMatch(new RegExp(s.name.toLowerCase().slice(0, 8)));
  expect(f.weighOut.find((w) => w.name === s.name)?.massG).toBeCloseTo(s.gramsAHead * f.light.resolved.plan.guests, 0);
  expect(keepingOf(made(id).accompaniments[0], larder).days).toBeGreaterThan(0);
});

describe('how long they keep, by what is in them and what is done to them', () => {
  test('raw a day, simmered five', () => {
    expect(keeps('fish-sauce-dip').days).toBe(1);
    expect(keeps('fish-sauce-dip-plain').days).toBe(5);
    expect(keeps('ginger-syrup').days).toBe(5);
  });
  test('scallion or garlic in oil four days, chilled at once', () => {
    expect(keeps('scallion-oil')).toMatchObject({ days: 4, chilled: true });
    expect(keeps('garlic-oil').ahead).toMatch(/never leave it warm/);
  });
  test('dry fried shallot and crumb keep weeks; with shrimp or pork two days', () => {
    expect(keeps('shallot-crisp')).toMatchObject({ days: 21, chilled: false });
    expect(keeps('savoury-crumb').days).toBe(21);
    expect(keeps('shrimp-crumb').days).toBe(2);
    expect(keeps('minced-topping').days).toBe(2);
  });
  test('coconut two days cooked, a day fresh; pickled five; sprouts on the day', () => {
    expect(keeps('coconut-sauce').days).toBe(2);
    expect(keeps('coconut-rain').days).toBe(1);
    expect(keeps('quick-pickle').days).toBe(5);
    expect(keeps('blanched-sprouts').words).toMatch(/1 day/);
  });
});

test('a sauce added twice has ids of its own, and sprouts say their caution', () => {
  const twice = made('quick-pickle', made('quick-pickle'));
  expect(new Set(twice.accompaniments.map((a) => a.id)).size).toBe(2);
  expect(new Set(twice.accompaniments.flatMap((a) => a.lines.map((l) => l.id))).size).toBe(12);
  const f = madeOf(made('blanched-sprouts'), undefined, false);
  expect(f.steps.find((s) => s.id === 'make:blanched-sprouts')?.cautions.join()).toMatch(/Raw sprouts carry germs/);
});
