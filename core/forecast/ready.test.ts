import { FAMILIES } from '../families';
import { DEFAULT_STEAMER, emptyKitchen, kitchenSchema, type Kitchen, type Steamer } from '../kitchen';
import { COARSE_GRID, singlePour } from '../model/steam';
import type { Plan } from '../plan';
import { pourOf } from '../stations/steam';
import { formula, lightOf, pourInputOf } from '../testing/made';
import { whole } from '../units';

const POURED = FAMILIES.filter((f) => f.cooked === 'steamed' || f.cooked === 'cups' || f.cooked === 'sheets').map(
  (f) => f.id,
);

/** Minutes until ready by the model, before anything is learned; undefined: never. */
function minutes(plan: Plan, kitchen: Kitchen = emptyKitchen()): number | undefined {
  const pour = pourOf(pourInputOf(lightOf(plan, kitchen)));
  const s = whole(singlePour({ ...pour, stand: undefined }, 0, COARSE_GRID)).firstCleanPickS;
  return s === undefined ? undefined : s / 60;
}
const steamerWith = (change: Partial<Steamer>): Kitchen => ({
  ...emptyKitchen(),
  steamers: [{ ...DEFAULT_STEAMER, id: 'ours', name: 'Our steamer', ...change }],
});
/** In the kitchen's own steamer. */
const inOurs = (plan: Plan): Plan => ({ ...plan, steamer: 'ours' });

type Line = Plan['batters'][number]['lines'][number];
/** A plan with its batters' lines changed. */
const withLines = (plan: Plan, change: (l: Line) => Line): Plan => ({
  ...plan,
  batters: plan.batters.map((b) => ({ ...b, lines: b.lines.map(change) })),
});

describe('ready by the blend', () => {
  test.each(POURED)('%s: thinner air is never faster, and there is no cliff up to 3 000 m', (id) => {
    const at = Array.from({ length: 13 }, (_, i) =>
      minutes(formula(id), kitchenSchema.parse({ ...emptyKitchen(), altitudeM: 250 * i })),
    );
    for (let i = 1; i < at.length; i++) {
      expect(at[i]).toBeDefined();
      expect(at[i] ?? NaN).toBeGreaterThan((at[i - 1] ?? NaN) * 0.995);
      expect(at[i] ?? NaN).toBeLessThan((at[i - 1] ?? NaN) * 1.15);
    }
  });
  test.each(['radish-slab', 'savoury-coconut-slab'])(
    '%s: hotter steam is never slower, and takes a fifth less at 116 than at 105 °C',
    (id) => {
      const at = [101, 103, 105, 108, 112, 116].map(
        (pressureTempC) => minutes(inOurs(formula(id)), steamerWith({ pressureTempC })) ?? NaN,
      );
      for (let i = 1; i < at.length; i++) expect(at[i]).toBeLessThanOrEqual(at[i - 1] * 1.001);
      expect(at[5] / at[2]).toBeLessThan(0.85);
      expect(at[0]).toBeLessThanOrEqual((minutes(inOurs(formula(id)), steamerWith({})) ?? NaN) * 1.001);
    },
  );
  test('starches are ready in the order in which they gel', () => {
    const slab = formula('squash-slab');
    const of = (ingredient: string) =>
      minutes(
        withLines(slab, (l) => (['rice-flour-fine', 'tapioca'].includes(l.ingredient) ? { ...l, ingredient } : l)),
      ) ?? NaN;
    const [wheat, potato, tapioca, rice, chestnut] = [
      'wheat-starch',
      'potato-starch',
      'tapioca',
      'rice-flour-fine',
      'water-chestnut-starch',
    ].map(of);
    expect(wheat).toBeLessThan(potato);
    expect(potato).toBeLessThan(tapioca);
    expect(tapioca).toBeLessThan(rice);
    expect(rice).toBeLessThan(chestnut * 1.001);
    expect(wheat / chestnut).toBeLessThan(0.9);
  });
  test('a looser lid is slower, never for ever', () => {
    const at = (['tight', 'cloth', 'woven', 'loose'] as const).map(
      (lid) =>
        minutes(
          {
            ...inOurs(formula('radish-slab')),
            schools: { ...formula('radish-slab').schools, dripGuard: undefined },
          } as Plan,
          steamerWith({ lid }),
        ) ?? NaN,
    );
    for (let i = 1; i < at.length; i++) expect(at[i]).toBeGreaterThan(at[i - 1] * 0.97);
    expect(at[3] / at[0]).toBeLessThan(2);
  });
  test('sugar slows without a cliff', () => {
    const sponge = formula('yeast-sponge');
    const by = (x: number) =>
      minutes(withLines(sponge, (l) => (/sugar/.test(l.ingredient) ? { ...l, massG: l.massG * x } : l)));
    const at = [0.4, 0.6, 0.8, 1, 1.2, 1.4].map(by);
    for (let i = 1; i < at.length; i++) {
      expect(at[i] ?? NaN).toBeGreaterThan((at[i - 1] ?? NaN) * 0.98);
      expect(at[i] ?? NaN).toBeLessThan((at[i - 1] ?? NaN) * 1.3);
    }
  });
});
