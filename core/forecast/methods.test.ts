import { whole } from '../units';
import { FAMILIES, formulaOf } from '../families';
import { composeForecast, forecastHeat, heatCache, heatJobs, type HeatCache } from '.';
import { kitchenSchema } from '../kitchen';
import { chooseSchool, type Plan } from '../plan';
import { COARSE_GRID } from '../model/steam';
import { formula, lightOf, madeOf } from '../testing/made';
import { overWater } from '../stations/steam';

const END = 'cool:counter cool:ice-bath cool:fridge unmould:cake cut:cake';
const STEAMED = 'pour:cake steam:cake check:cake stand:cake';
const PIECES = 'choose:produce weigh:plan soak:dried-mushroom soak:dried-shrimp';

/** Every shipped method, operation by operation, in the order in which a cook works. */
const METHODS: Readonly<Record<string, string>> = {
  'savoury-coconut-slab': `weigh:plan soak:dried-shrimp top-up:batter keep-back:batter-liquid melt:batter-liquid mix:batter make:topping boil-up:steamer prepare:pan stream-in:batter thicken:batter ${STEAMED} ${END} serve:plate`,
  'radish-slab': `${PIECES} grate:radish wilt:radish grate:cured-sausage fry:add-ins keep-back:cured-sausage top-up:batter mix:batter fold-in:batter make:soy boil-up:steamer prepare:pan pour:cake top:cake steam:cake check:cake stand:cake ${END} sear:pieces serve:plate`,
  'taro-slab': `${PIECES} grate:taro parboil:taro fry:add-ins keep-back:taro keep-back:dried-shrimp top-up:batter mix:batter make:oyster boil-up:steamer prepare:pan thicken:batter fold-in:batter pour:cake top:cake steam:cake check:cake stand:cake ${END} sear:pieces serve:plate`,
  'squash-slab': `choose:produce weigh:plan soak:dried-mushroom grate:winter-squash paste:winter-squash grate:spring-onion fry:add-ins top-up:batter mix:batter fold-in:batter make:soy boil-up:steamer prepare:pan ${STEAMED} ${END} sear:pieces serve:plate`,
  'dimpled-cups':
    'weigh:plan soak:dried-shrimp top-up:batter mix:batter scald:batter sieve:batter rest:batter make:dip make:scallion make:crumb boil-up:steamer preheat:moulds fill:cake serve:plate',
  'two-tone-layers': `weigh:plan boil-tender:mung-beans-cooked mix:plain paste:mung-beans-cooked mix:bean boil-up:steamer prepare:pan layer:cake check:cake stand:cake ${END} keep-apart:pieces serve:plate`,
  'rainbow-layers': `weigh:plan mix:batter split:batter boil-up:steamer prepare:pan layer:cake check:cake stand:cake ${END} serve:plate`,
  'sticky-sweet-cake': `weigh:plan melt:batter mix:batter to-the-mark:batter boil-up:steamer prepare:pan ${STEAMED} ${END} keep-apart:pieces dip:pieces sear:pieces serve:plate`,
  'stirred-set-pudding': `weigh:plan top-up:batter mix:batter prepare:pan cook-through:batter pour:cake ${END} serve:plate`,
  'yeast-sponge': `weigh:plan melt:batter bloom:batter mix:batter ferment:batter boil-up:steamer prepare:pan ${STEAMED} cool:counter unmould:cake cut:cake serve:plate`,
  'roux-raised-cups':
    'weigh:plan roux:batter bloom:batter mix:batter ferment:batter knock-back:batter add-powder:batter boil-up:steamer preheat:moulds fill:cake serve:plate',
  'ground-grain-cups':
    'choose:produce weigh:plan soak:long-grain-rice top-up:batter grind:batter mix:batter ferment:batter boil-up:steamer preheat:moulds fill:cake serve:plate',
  'filled-rolls':
    'weigh:plan soak:wood-ear top-up:batter mix:batter sieve:batter grate:onion fry:filling-pork make:soy boil-up:steamer preheat:trays fill:cake assemble:sheets serve:plate',
  'noodle-sheets':
    'weigh:plan top-up:batter mix:batter make:soy boil-up:steamer preheat:trays fill:cake assemble:sheets serve:plate',
  'pan-film-sheets':
    'weigh:plan top-up:batter mix:batter scald:batter grate:fresh-shrimp grate:spring-onion fry:filling-shrimp make:dip film:cake assemble:sheets serve:plate',
  'crisp-bit-jelly': `choose:produce weigh:plan grate:water-chestnut top-up:batter mix:batter melt:batter boil-up:steamer prepare:pan split:batter stream-in:batter thicken:batter fold-in:batter-halves fold-in:batter ${STEAMED} ${END} sear:pieces serve:plate`,
  'fruit-chew-cake': `choose:produce weigh:plan grate:banana sugar:banana mix:batter scald:batter fold-in:batter make:coconut boil-up:steamer prepare:pan ${STEAMED} ${END} keep-apart:pieces serve:plate`,
  'alkali-rice-jelly': `choose:produce weigh:plan slake:long-grain-rice rinse:long-grain-rice top-up:batter grind:batter make:chilli prepare:pan cook-through:batter pour:cake ${END} serve:plate`,
};

describe('each family strings its operations together as its cooks do', () => {
  test.each(FAMILIES.map((f) => [f.name, f] as const))('%s', (_, f) => {
    expect(
      lightOf(formulaOf(f))
        .flow.nodes.map((n) => n.id)
        .join(' '),
    ).toBe(METHODS[f.id]);
  });
  test('an ingredient that a family does not know still finds its step', () => {
    const plan = formula('noodle-sheets');
    const extra: Plan = {
      ...plan,
      addIns: [
        { id: 'chives', ingredient: 'spring-onion', massG: 40, treatment: 'as-is' },
        { id: 'prawns', ingredient: 'fresh-shrimp', massG: 120, treatment: 'fried', frySaltG: 1 },
        { id: 'leaf', ingredient: 'chilli', massG: 20, treatment: 'infused' },
        { id: 'yolk', ingredient: 'egg', massG: 50, treatment: 'as-is' },
      ],
    };
    const ids = lightOf(extra).flow.nodes.map((n) => n.id);
    expect(ids).toEqual(
      expect.arrayContaining([
        'grate:chives',
        'grate:prawns',
        'fry:add-ins',
        'infuse:leaf',
        'blend-strain:leaf',
        'fold-in:batter',
      ]),
    );
    const top = madeOf(extra, undefined, false).steps.find((s) => s.id === 'top-up:batter');
    expect(top?.amounts.map((a) => a.name)).toEqual(['Egg', 'Water']);
  });
  test('where a syrup has no water of its own, most of what goes in last melts it', () => {
    const plan = formula('sticky-sweet-cake');
    const old: Plan = {
      ...plan,
      batters: plan.batters.map((b) => ({
        ...b,
        lines: b.lines.filter((l) => l.id !== 'water').map((l) => (l.id === 'water-2' ? { ...l, massG: 540 } : l)),
      })),
    };
    const steps = madeOf(old, undefined, false).steps;
    const grams = (id: string) => steps.find((s) => s.id === id)?.amounts.find((a) => a.name === 'Water')?.massG ?? 0;
    expect(grams('melt:batter')).toBeCloseTo(0.6 * 540, 6);
    expect(grams('to-the-mark:batter')).toBeCloseTo(0.4 * 540, 6);
  });
});

describe('batter as it comes to the pan, at 21 °C', () => {
  const at = (id: string, school?: readonly [Parameters<typeof chooseSchool>[1], string]) => {
    const plan = school ? chooseSchool(formula(id), school[0], school[1]) : formula(id);
    return lightOf(plan).pour;
  };
  test('raw slurries come at the room’s temperature and unset', () => {
    for (const id of ['rainbow-layers', 'filled-rolls', 'noodle-sheets']) {
      expect(at(id).startC.value).toBeCloseTo(21, 0);
      expect(at(id).startG).toBeLessThan(1e-3);
    }
  });
  test('thickened pastes come hot and only partly set; raw ones of the same cake cold and unset', () => {
    for (const id of ['savoury-coconut-slab', 'taro-slab']) {
      const paste = at(id);
      expect(paste.startC.value).toBeGreaterThan(60);
      expect(paste.startC.value).toBeLessThan(78);
      expect(paste.startG).toBeGreaterThan(0.03);
      expect(paste.startG).toBeLessThan(0.4);
      expect(at(id, ['intoPan', 'raw']).startG).toBeLessThan(0.01);
    }
  });
  test('what was cooked in the pot comes above 80 °C and wholly set', () => {
    for (const id of ['stirred-set-pudding', 'alkali-rice-jelly']) {
      expect(at(id).startC.value).toBeGreaterThan(80);
      expect(at(id).startG).toBe(1);
    }
  });
  test('a sponge lands where yeast likes it and is poured warmer than the room', () => {
    const l = lightOf(formula('yeast-sponge'));
    expect(l.evaluated.byId.get('mix:batter')?.figures.tempC.value).toBeGreaterThan(36);
    expect(l.evaluated.byId.get('mix:batter')?.figures.tempC.value).toBeLessThan(43);
    expect(l.pour.startC.value).toBeGreaterThan(25);
  });
  test('a cold kitchen makes every hand-warm batter colder', () => {
    const cold = kitchenSchema.parse({ roomC: 12 });
    for (const id of ['dimpled-cups', 'yeast-sponge', 'fruit-chew-cake', 'radish-slab'])
      expect(lightOf(formula(id), cold).pour.startC.value).toBeLessThan(at(id).startC.value - 2);
  });
});

describe('heat jobs are named by what they depend on', () => {
  const plan = formula('radish-slab');
  const jobs = (p: Plan, kitchen?: Parameters<typeof lightOf>[1]) => heatJobs(lightOf(p, kitchen));
  const base = jobs(plan);
  test('a name, a note, guests or a sauce change none of them', () => {
    for (const p of [
      { ...plan, name: 'Other' },
      { ...plan, notes: 'x' },
      { ...plan, guests: 3 },
      { ...plan, accompaniments: [] },
    ])
      expect(jobs(p).hash).toBe(base.hash);
  });
  test('a gram of flour, the heat, the pan or the room change the steaming and what rests on it', () => {
    const flour = {
      ...plan,
      batters: plan.batters.map((b) => ({
        ...b,
        lines: b.lines.map((l, i) => (i === 0 ? { ...l, massG: l.massG + 1 } : l)),
      })),
    };
    for (const j of [
      jobs(flour),
      jobs({ ...plan, heat: 'gentle' }),
      jobs({ ...plan, vesselCount: 2 }),
      jobs(plan, kitchenSchema.parse({ roomC: 25 })),
    ]) {
      expect(j.steam.hash).not.toBe(base.steam.hash);
      expect(j.rest.hash).not.toBe(base.rest.hash);
    }
  });
  test('cooling changes only the rest, the pan’s dial only the searing', () => {
    const rest = jobs({ ...plan, cooling: [{ where: 'fridge', timeS: 9000 }] });
    expect([rest.steam.hash, rest.sear.hash]).toEqual([base.steam.hash, base.sear.hash]);
    expect(rest.rest.hash).not.toBe(base.rest.hash);
    const sear = jobs({ ...plan, sear: { dial: 'low', colour: 'golden', startC: 5, pans: 1, dip: 'dry', lid: false } });
    expect([sear.steam.hash, sear.rest.hash]).toEqual([base.steam.hash, base.rest.hash]);
    expect(sear.sear.hash).not.toBe(base.sear.hash);
  });
  test('a job that was answered is not run again: only what changed is', () => {
    const asked: string[] = [];
    const inner = heatCache();
    const cache: HeatCache = { get: (hash, work) => inner.get(hash, () => (asked.push(hash), work())) };
    const light = lightOf(plan);
    const first = forecastHeat(light, COARSE_GRID, cache);
    expect(asked).toHaveLength(3);
    const again = forecastHeat(
      lightOf({ ...plan, name: 'Other', cooling: [{ where: 'fridge', timeS: 9000 }] }),
      COARSE_GRID,
      cache,
    );
    expect(asked).toHaveLength(4);
    expect(overWater(again)).toBe(overWater(first));
    expect(again?.rest).not.toBe(first?.rest);
  });
  test('a cache forgets the answer that was longest unasked', () => {
    const cache = heatCache(2);
    let runs = 0;
    const ask = (h: string) =>
      whole(
        cache.get(h, function* () {
          yield;
          return ++runs;
        }),
      );
    expect([ask('a'), ask('b'), ask('a'), ask('c'), ask('a'), ask('b')]).toEqual([1, 2, 1, 3, 1, 4]);
  });
});

describe('evaluated again with what the stations found', () => {
  const light = lightOf(formula('radish-slab'));
  const heat = forecastHeat(light, COARSE_GRID);
  const cold = composeForecast(light, undefined);
  const hot = composeForecast(light, heat);
  test('waits of steaming and cooling are the models’, and ids stay', () => {
    expect(hot.steps.find((s) => s.id === 'steam:cake')?.waitS).toBe(Math.round(overWater(heat)?.times?.checkAtS ?? 0));
    expect(hot.steps.map((s) => s.id)).toEqual(cold.steps.map((s) => s.id));
  });
  test('the pan’s oil enters the account when the loads are known, half of it stays in the pan', () => {
    const oil = (heat?.sear?.loads ?? 0) * (heat?.sear?.oilPerLoadG ?? 0);
    expect(oil).toBeGreaterThan(20);
    expect(hot.evaluated.account.inG - cold.evaluated.account.inG).toBeCloseTo(oil, 6);
    expect(hot.evaluated.account.leftG - cold.evaluated.account.leftG).toBeCloseTo(oil / 2, 6);
    expect(hot.steps.find((s) => s.id === 'sear:pieces')?.amounts).toEqual([
      { name: 'Oil for the pan', massG: oil, path: '' },
    ]);
  });
  test('slices that all lie in the pans at once are not counted by the room there is, nor is their oil', () => {
    const few = formula('taro-slab');
    const one = lightOf({ ...few, sear: few.sear && { ...few.sear, pans: 4 } });
    const sear = forecastHeat(one, COARSE_GRID)?.sear;
    const room = (one.packing?.perLoad ?? 0) * 4;
    expect(sear?.pieces).toBeLessThan(room);
    expect(sear).toMatchObject({ loads: 1, perLoad: sear?.pieces });
    const faceM2 = (one.piece?.faceM[0] ?? 0) * (one.piece?.faceM[1] ?? 0);
    expect(sear?.oilPerLoadG).toBe(Math.round(1000 * faceM2 * (sear?.pieces ?? 0)));
    const said = composeForecast(one, forecastHeat(one, COARSE_GRID)).steps.find((s) => s.id === 'sear:pieces');
    expect(said?.sentence).toContain(`Sear ${sear?.pieces} pieces at once, with`);
  });
  test('egg for the dip is reckoned from the faces that are dipped, and counts as an allergen only when it is', () => {
    const sticky = madeOf(formula('sticky-sweet-cake'));
    const egg = sticky.steps.find((s) => s.id === 'dip:pieces')?.amounts[0];
    expect(egg?.massG).toBeGreaterThan(50);
    expect(egg?.massG).toBeLessThan(400);
    expect(sticky.light.balance.allergens).toContain('egg');
    expect(lightOf(chooseSchool(formula('sticky-sweet-cake'), 'serve', 'plain')).balance.allergens).not.toContain(
      'egg',
    );
  });
  test('eaten both ways, half of the pieces are seared', () => {
    const both = madeOf(chooseSchool(formula('radish-slab'), 'serve', 'both'));
    expect(both.heat?.sear?.pieces).toBe(Math.ceil((heat?.sear?.pieces ?? 0) / 2));
  });
});
