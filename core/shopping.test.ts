import { emptyKitchen } from './kitchen';
import { larderOf } from './larder';
import { shoppingFor } from './shopping';
import { formula, lightOf } from './testing/made';

const larder = larderOf();
const own = (id: string, stockG: number) => {
  const i = larder.get(id);
  if (!i) throw new Error(id);
  return { ...i, stockG, source: 'cook' as const };
};
const buy = (id: string, stock: number | undefined = undefined, of = 'radish-slab') =>
  shoppingFor(
    lightOf(formula(of), { ...emptyKitchen(), ingredients: stock === undefined ? [] : [own(id, stock)] }),
  ).find((x) => x.id === id);

test('a radish is bought with its peel: 1050 g grated are 1235 g, one and a half of them', () => {
  expect(buy('radish')?.usedG).toBe(1050);
  expect(buy('radish')?.buyG).toBeCloseTo(1050 / 0.85, 6);
  expect(buy('radish')?.words).toMatch(/1235 g as bought, about 1½ radishes/);
});
test('dried mushrooms are bought dry, as much as the step soaks', () => {
  const light = lightOf(formula('radish-slab'));
  const dry = light.evaluated.byId.get('soak:dried-mushroom')?.figures.dryG.value ?? 0;
  expect(buy('dried-mushroom')?.buyG).toBeCloseTo(dry, 9);
  // 25 min at 45 °C reach 91 % of 5.2 g a gram.
  expect(dry).toBeCloseTo(60 / (1 + 5.2 * (1 - Math.exp(-25 / (33 * 2 ** (-25 / 15))))), 3);
});
test('what is in the cupboard is taken off, and whole packs are bought', () => {
  expect(buy('rice-flour-fine')?.packs).toEqual({ count: 1, word: 'bag', massG: 500 });
  expect(buy('rice-flour-fine', 100)?.buyG).toBeCloseTo(126, 6);
  expect(buy('rice-flour-fine', 226)).toMatchObject({ buyG: 0, inStock: true });
  expect(buy('coconut-milk', undefined, 'two-tone-layers')?.packs?.count).toBe(2);
});
test('look-alikes are warned of, water is not bought', () => {
  expect(buy('rice-flour-fine')?.lookAlike).toMatch(/glutinous/);
  expect(buy('water', undefined, 'yeast-sponge')).toBeUndefined();
});
