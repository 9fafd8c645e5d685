import { FAMILIES, formulaOf } from '../families';
import { dryOf } from '../flow';
import { emptyKitchen } from '../kitchen';
import { larderOf } from '../larder';
import type { Plan } from '../plan';
import { shoppingFor } from './shopping';
import { formula, lightOf, madeOf } from '../testing/made';
import { sayGrams } from '../units';

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
describe('what a plan weighs soaked or cooked', () => {
  // Every formula, and a topping, a filling and a batter of such things.
  const coconut = formula('savoury-coconut-slab');
  const rolls = formula('filled-rolls');
  const plans: readonly (readonly [string, Plan])[] = [
    ...FAMILIES.map((f) => [f.id, formulaOf(f)] as const),
    [
      'a topping of scallop and wood ear',
      {
        ...coconut,
        accompaniments: coconut.accompaniments.map((a) => ({
          ...a,
          lines: [
            { id: 'scallop', ingredient: 'dried-scallop', parts: 2 },
            { id: 'ear', ingredient: 'wood-ear', parts: 1 },
          ],
        })),
      },
    ],
    [
      'a filling of mushrooms',
      {
        ...rolls,
        fillings: rolls.fillings.map((f) => ({
          ...f,
          lines: [
            ...f.lines,
            { id: `dry-${f.id}`, ingredient: 'dried-mushroom', massG: 50, treatment: 'fried' as const },
          ],
        })),
      },
    ],
  ];
  test.each(plans)(
    '%s: the step that makes it so, the weigh-out and the shopping tell one dry weight',
    (_name, plan) => {
      const { light, weighOut, steps } = madeOf(plan, undefined, false);
      const dry = new Map<string, number>();
      for (const l of light.flow.lines) {
        const i = light.resolved.larder.get(l.ingredient);
        if (!i?.uptake || i.uptake.as === 'dry' || l.role === 'source' || l.massG <= 0) continue;
        const g = dryOf(light.evaluated, l.id) ?? 0;
        expect(g).toBeGreaterThan(l.massG / (1 + i.uptake.gPerG) - 1e-9);
        const step = steps.find((s) => s.id === `soak:${l.id}` || s.id === `boil-tender:${l.id}`);
        expect(step?.sentence).toContain(`${sayGrams(g)} of dr`);
        const weighed = weighOut.flatMap((w) => w.amounts).find((a) => a.path === l.path);
        expect(weighed?.bought).toContain(`${sayGrams(g)} dry`);
        dry.set(l.ingredient, (dry.get(l.ingredient) ?? 0) + g);
      }
      const list = shoppingFor(light);
      for (const [id, g] of dry) expect(list.find((b) => b.id === id)?.buyG).toBeCloseTo(g, 6);
    },
  );
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
