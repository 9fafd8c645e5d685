import { whole } from '../../units';
import { FAMILIES } from '../../families';
import { emptyKitchen } from '../../kitchen';
import { larderOf } from '../../larder';
import { EATEN, eatenHow, lackingOf, lacksOf, offerOf } from '.';

const kitchen = emptyKitchen();

test('every family stands in one group, and none of them is empty', () => {
  const groups = new Map(EATEN.map((e) => [e, FAMILIES.filter((f) => eatenHow(f) === e).map((f) => f.id)]));
  for (const e of EATEN) expect(groups.get(e)?.length).toBeGreaterThan(0);
  expect(groups.get('seared')).toEqual(expect.arrayContaining(['radish-slab', 'taro-slab', 'sticky-sweet-cake']));
  expect(groups.get('sheets')).toEqual(['filled-rolls', 'noodle-sheets', 'pan-film-sheets']);
  expect(groups.get('cold')).toContain('savoury-coconut-slab');
});

test.each(FAMILIES.map((f) => [f.id, f] as const))('%s: an offer is a plan that can be begun', (_id, f) => {
  const o = whole(offerOf(f, kitchen, { guests: 6, role: 'side' }));
  expect(o.problem).toBeNull();
  expect(o.plan.guests).toBe(6);
  expect(o.totalS).toBeGreaterThanOrEqual(o.handsOnS ?? Infinity);
  expect(o.pan?.depthM).toBeGreaterThan(0);
  expect(o.grants.includes('no-steamer')).toBe(f.cooked === 'pot' || f.cooked === 'pan-film');
  expect(o.grants.includes('hour')).toBe((o.totalS ?? Infinity) <= 3600);
  expect(o.needs.some((n) => n.id === 'water')).toBe(false);
});

test('vegan is what all its ingredients are, sauces too', () => {
  const by = (id: string) => whole(offerOf(FAMILIES.find((f) => f.id === id) ?? FAMILIES[0], kitchen));
  expect(by('radish-slab').grants).not.toContain('vegan');
  expect(by('rainbow-layers').grants).toEqual(expect.arrayContaining(['vegan', 'chewy', 'coconut']));
});

test('what lacks is told with what can stand in; it weighs less then, and less still where it is only eaten beside', () => {
  const larder = larderOf([]);
  const needs = [
    { id: 'maize-starch', massG: 30, beside: false },
    { id: 'rice-flour-fine', massG: 200, beside: false },
    { id: 'light-soy', massG: 20, beside: true },
  ];
  const have = new Set(['rice-flour-fine', 'tapioca', 'potato-starch']);
  const lacking = lackingOf({ needs }, have, larder);
  expect(lacking.map((l) => l.id)).toEqual(['maize-starch', 'light-soy']);
  expect(['tapioca', 'potato-starch']).toContain(lacking[0].standIn);
  expect(lacksOf(lacking)).toBeLessThan(1);
  expect(lacksOf(lackingOf({ needs }, new Set(), larder))).toBeGreaterThan(lacksOf(lacking));
  expect(lacksOf(lackingOf({ needs }, new Set(needs.map((n) => n.id)), larder))).toBe(0);
});
