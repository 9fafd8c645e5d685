import { someOf } from '../testing/runs';
import { FAMILIES, familyOf } from '../families';
import { eatenOf, forecast, forecastLight, standOf } from '.';
import { kitchenSchema } from '../kitchen';
import { snapshotOf } from '../work/notebook';
import { planSchema } from '../plan';
import { COARSE_GRID, sayTimes } from '../model/steam';
import { formula, pourInputOf } from '../testing/made';
import { overWater, stackIn, pourSteam, potIn, loadsIn, filmIn, readyOf } from '../stations/steam';

const steamer = {
  id: 's',
  name: 'S',
  innerDiameterM: 0.3,
  clearHeightM: 0.1,
  potDiameterM: 0.3,
  waterDepthM: 0.06,
};
const kitchenOf = (median?: number, more: object = {}) =>
  kitchenSchema.parse({
    steamers: [
      {
        ...steamer,
        ...(median === undefined
          ? {}
          : { learned: { medium: { median, low: median * 0.9, high: median * 1.1, checks: 4 } } }),
        ...more,
      },
    ],
  });
const made = (id: string, change: object = {}, kitchen = kitchenOf()) => {
  const f = forecast(planSchema.parse({ ...formula(id), steamer: undefined, ...change }), kitchen, COARSE_GRID);
  if (!f.ok) throw new Error(f.problems[0].sentence);
  return f.value;
};
const minutes = (f: ReturnType<typeof made>, verb: string) => f.steps.find((s) => s.verb === verb)?.waitS ?? NaN;

const SINGLE = FAMILIES.filter((f) => f.cooked === 'steamed').map((f) => f.id);

describe('one clock', () => {
  test.each(someOf(SINGLE))(
    '%s: bench, step, snapshot say the same three figures, and the steps add up to them',
    (id) => {
      const f = made(id);
      const t = overWater(f.heat)?.times;
      if (!t) throw new Error('never sets');
      expect(t.totalS).toBeCloseTo(t.planForS + t.standS, 9);
      expect(overWater(f.heat)?.words).toContain(sayTimes(t));
      expect(f.steps.find((s) => s.verb === 'Steam')?.sentence).toContain(sayTimes(t));
      const kept = snapshotOf(f).figures;
      expect([kept.planForS, kept.standS, kept.totalS]).toEqual([t.planForS, t.standS, t.totalS]);
      const waits = minutes(f, 'Steam') + minutes(f, 'Check') + (t.standS > 0 ? minutes(f, 'Stand') : 0);
      expect(Math.abs(waits - t.totalS)).toBeLessThan(3);
    },
  );
  test.each(['savoury-coconut-slab', 'rainbow-layers'])(
    '%s: a learned steamer stretches figures, drawing, pours and water alike, but not the standing',
    (id) => {
      const [plain, learned] = [made(id), made(id, {}, kitchenOf(1.3))];
      const [a, b] = [plain, learned].map((f) => overWater(f.heat));
      if (!a?.times || !b?.times) throw new Error('never sets');
      expect(b.times.firstCleanPickS.value / a.times.firstCleanPickS.value).toBeCloseTo(1.3, 6);
      expect(b.times.planForS / a.times.planForS).toBeCloseTo(1.3, 6);
      expect(b.times.standS).toBe(a.times.standS);
      const end = (s: typeof a) => s.frames?.timesS.at(-1);
      expect(end(a)).toBeCloseTo(a.times.totalS, 0);
      expect(end(b)).toBeCloseTo(b.times.totalS, 0);
      const wait = (f: typeof plain) => stackIn(f.heat)?.pours[1].waitS ?? 1;
      expect(wait(learned) / wait(plain)).toBeCloseTo(id === 'rainbow-layers' ? 1.3 : 1, 6);
    },
  );
  test('the cook’s own standing replaces the family’s, on the bench and in the step', () => {
    const f = made('radish-slab', { waits: { 'stand:cake': 900 } });
    expect(overWater(f.heat)?.times?.standS).toBe(900);
    expect(minutes(f, 'Stand')).toBe(900);
    expect(standOf(f.light)).toBe(900);
  });
  test('first clean pick carries its spread into the flow', () => {
    const f = made('radish-slab');
    const figure = f.evaluated.byId.get('steam:cake')?.figures.cleanS;
    expect(figure?.value).toBe(overWater(f.heat)?.times?.firstCleanPickS.value);
    expect(figure?.sd ?? 0).toBeGreaterThan(60);
  });
});

describe('minutes that families add', () => {
  test('sticky cakes steam 12 minutes more once they are set', () => {
    const f = made('sticky-sweet-cake');
    const { heat, light } = f;
    expect(light.family.moreS).toBe(720);
    const history = pourSteam(heat)?.history ?? [];
    const goal = readyOf(pourInputOf(light));
    const i = history.findIndex(([, c, , g]) => g >= goal.gel && c >= goal.tempC);
    const set = (overWater(heat)?.times?.firstCleanPickS.value ?? 0) - 720;
    expect(set).toBeGreaterThanOrEqual(history[i - 1][0]);
    expect(set).toBeLessThanOrEqual(history[i][0]);
  });
  test('no later than never comes before usual practice ends: the bands of the table in families’ own depth', () => {
    const most: Record<string, number> = {
      'radish-slab': 65,
      'savoury-coconut-slab': 33,
      'squash-slab': 45,
      'fruit-chew-cake': 40,
      'yeast-sponge': 28,
      'dimpled-cups': 7,
      'filled-rolls': 2.5,
      'noodle-sheets': 3.5,
    };
    for (const [id, min] of Object.entries(most))
      expect((overWater(made(id).heat)?.times?.noLaterThanS ?? 0) / 60).toBeGreaterThanOrEqual(min);
  });
  test('pot-cooked cakes say their minutes, 6 to 12, and the scorching limit beyond them; more heat scorches sooner', () => {
    for (const id of ['stirred-set-pudding', 'alkali-rice-jelly']) {
      const pot = potIn(made(id).heat);
      if (!pot) throw new Error(id);
      expect(pot.throughS / 60).toBeGreaterThanOrEqual(6);
      expect(pot.throughS / 60).toBeLessThanOrEqual(12);
      expect(pot.scorchS).toBeGreaterThan(pot.throughS);
      const hot = made(id, {
        hob: { id: 'h', name: 'H', rings: [{ id: 'r', name: 'R', measuredPowerW: { gentle: 1400 } }] },
      });
      expect(potIn(hot.heat)?.scorchS ?? Infinity).toBeLessThan(pot.scorchS);
      expect(made(id).steps.find((s) => s.verb === 'Cook')?.sentence).toMatch(/scorches after/);
    }
  });
});

describe('water in the plan', () => {
  test('boil-up is a step as long as the litres take, and a kettle is told', () => {
    const f = made('radish-slab');
    const w = overWater(f.heat)?.water;
    const step = f.steps.find((s) => s.verb === 'Boil');
    expect(step?.waitS).toBe(Math.round(w?.boilUpS ?? 0));
    expect(step?.sentence).toMatch(/about \d+ min from the tap; hot from the kettle/);
  });
  test('half an hour for 7.1 l at 1.18 kW', () => {
    const f = made(
      'radish-slab',
      {
        heat: 'medium',
        hob: { id: 'h', name: 'H', rings: [{ id: 'r', name: 'R', measuredPowerW: { medium: 1180 } }] },
        readings: { 'boil-up:steamer': { waterMl: 7100 } },
      },
      kitchenOf(undefined, { waterDepthM: 0.15 }),
    );
    expect(minutes(f, 'Boil') / 60).toBeGreaterThan(30);
    expect(minutes(f, 'Boil') / 60).toBeLessThan(36);
  });
  test('a shallow pot is a problem with a sentence, and the plan can still be read', () => {
    const f = made('radish-slab', {}, kitchenOf(undefined, { waterDepthM: 0.012 }));
    expect(f.heat?.problems.map((p) => p.code)).toContain('pot-too-shallow');
    expect(overWater(f.heat)?.times).toBeDefined();
  });
  test('parboiling says what is left in the pot and when it would be dry', () => {
    const f = made('radish-slab', { schools: { ...formula('radish-slab').schools, juice: 'parboil' } });
    const step = f.steps.find((s) => s.verb === 'Parboil');
    if (step) expect(step.sentence).toMatch(/is left; it would boil dry after/);
    const n = f.evaluated.nodes.find((x) => x.node.op === 'parboil');
    if (n) expect(n.figures.leftG.value + n.figures.boilsAwayG.value).toBeCloseTo(n.figures.waterG.value, 6);
    expect(step === undefined).toBe(n === undefined);
  });
});

describe('a pressure pot', () => {
  const pot = kitchenOf(undefined, { pressureTempC: 112, waterDepthM: 0.05 });
  test('comes up, is held, lets go; the open steamer stands beside; no check in the middle', () => {
    const f = made('radish-slab', {}, pot);
    const steam = pourSteam(f.heat);
    const p = steam?.pressure;
    if (!p || !steam?.times) throw new Error('no cycle');
    expect(steam.times.planForS).toBeCloseTo(p.comeUpS + p.holdS, 6);
    expect(steam.times.checkAtS).toBeCloseTo(steam.times.totalS, 6);
    expect(p.openS ?? 0).toBeGreaterThan(p.holdS);
    expect(minutes(f, 'Check')).toBe(0);
    expect(f.steps.find((s) => s.verb === 'Steam')?.sentence).toMatch(/Lock the lid.*Nothing can be looked at/);
    expect(minutes(f, 'Steam')).toBe(Math.round(steam.times.totalS));
  });
  test('let go at once it is held for longer, as it does not boil on', () => {
    const hold = (pressureRelease: string) =>
      pourSteam(made('radish-slab', { pressureRelease }, pot).heat)?.pressure?.holdS ?? 0;
    expect(hold('quick')).toBeGreaterThan(hold('slow'));
  });
});

describe('loads in the plan', () => {
  test('cups: the step, its hands and its waiting are those of the chart', () => {
    const f = made('dimpled-cups');
    const loads = loadsIn(f.heat);
    const step = f.steps.find((s) => s.verb === 'Steam cups');
    if (!loads || !step) throw new Error('no loads');
    expect(step.handsOnS).toBe(Math.round(loads.handsS));
    const preheat = minutes(f, 'Preheat');
    expect(Math.abs(step.waitS + step.handsOnS + preheat - loads.finishS)).toBeLessThan(3);
    expect(step.sentence).toMatch(new RegExp(`in ${loads.loads} turns of up to ${loads.together}, all done in`));
  });
  test('pans that do not go in together steam in loads of their own, and water lasts for all of them', () => {
    const vessel = { id: 'v', name: 'Tin', shape: 'round', material: 'steel', diameterM: 0.2, heightM: 0.06, count: 3 };
    const one = made('savoury-coconut-slab', { vessel, vesselCount: 1 });
    const three = made('savoury-coconut-slab', {
      vessel,
      vesselCount: 3,
      batters: one.light.resolved.plan.batters.map((b) => ({
        ...b,
        wantedLiquidG: b.wantedLiquidG === undefined ? undefined : 3 * b.wantedLiquidG,
        lines: b.lines.map((l) => ({ ...l, massG: 3 * l.massG })),
      })),
    });
    expect(loadsIn(one.heat)).toBeUndefined();
    expect(loadsIn(three.heat)?.loads).toBe(3);
    expect(minutes(three, 'Steam')).toBeGreaterThan(2.5 * (overWater(three.heat)?.times?.planForS ?? 0));
    expect(overWater(three.heat)?.water.leftMl ?? 0).toBeLessThan(overWater(one.heat)?.water.leftMl ?? 0);
  });
  test('raw fillings steam in the set sheet until they are safe', () => {
    const rolls = formula('filled-rolls');
    const raw = rolls.fillings.map((x) => ({ ...x, doneness: 'raw', safeC: 71 }));
    const [ready, safe] = [made('filled-rolls'), made('filled-rolls', { fillings: raw })];
    expect(loadsIn(safe.heat)?.finishS ?? 0).toBeGreaterThan((loadsIn(ready.heat)?.finishS ?? 0) + 9 * 30);
    expect(safe.steps.find((s) => s.id === 'fill:cake')?.sentence).toMatch(
      /Lay the pork and wood ear on 9 of the set sheets and steam each .* more, until the filling has come to 71 °C/,
    );
  });
});

test('films: contact, lid and thickness give the minute; without a lid they take longer or never set; the batter says how many', () => {
  const f = made('pan-film-sheets');
  const film = filmIn(f.heat);
  if (!film) throw new Error('no films');
  expect((film.filmS ?? 0) / 60).toBeGreaterThan(0.5);
  expect((film.filmS ?? 0) / 60).toBeLessThan(1.2);
  const pan = { id: 'p', name: 'Pan', diameterM: 0.24, lid: false };
  expect(filmIn(made('pan-film-sheets', { fryingPan: pan }).heat)?.filmS ?? Infinity).toBeGreaterThan(film.filmS ?? 0);
  expect(f.steps.find((s) => s.verb === 'Pan films')?.handsOnS).toBe(Math.round(film.totalS));
  expect(film.fewest).toBeLessThanOrEqual(film.most);
  // Mass by hand: so many of the thinnest weigh no more than the batter.
  expect(film.most * 0.7e-3 * (Math.PI / 4) * 0.24 ** 2 * 1000).toBeLessThan(1.2 * f.light.balance.massG);
  expect(film.words).toMatch(/The batter gives \d+ to \d+/);
});

describe('gas', () => {
  const rise = (timeS: number | undefined) => {
    const plan = planSchema.parse({ ...formula('yeast-sponge'), proving: { where: 'warm-box', timeS } });
    const light = forecastLight(plan, kitchenOf());
    return light.ok ? light.value.fill.rise : NaN;
  };
  test('half the ferment rises less, a whole one to the family’s rise and no further', () => {
    const sponge = familyOf('yeast-sponge');
    expect(rise(600)).toBeLessThan(rise(undefined));
    expect(rise(undefined)).toBeLessThanOrEqual(sponge.ok ? sponge.value.rise : 0);
    expect(rise(20_000)).toBeLessThanOrEqual(sponge.ok ? sponge.value.rise : 0);
  });
});

test('what spoils is known by what is in it: coconut milk and meat without an allergen, beans; not pearls or plain flour', () => {
  const spoils = (id: string, ingredient?: string) => {
    const plan = formula(id);
    const lines = [
      ...plan.batters[0].lines,
      ...(ingredient ? [{ id: 'more', ingredient, massG: 40, treatment: 'as-is' }] : []),
    ];
    return eatenOf(
      made(id, { fillings: [], accompaniments: [], addIns: [], batters: [{ ...plan.batters[0], lines }] }).light,
    ).spoils;
  };
  expect(spoils('noodle-sheets')).toBe(false);
  expect(spoils('noodle-sheets', 'tapioca-pearls')).toBe(false);
  for (const i of ['coconut-milk', 'minced-pork', 'mung-beans-cooked', 'egg', 'fresh-shrimp'])
    expect([i, spoils('noodle-sheets', i)]).toEqual([i, true]);
});

test('every family’s own formula cools safely by its own rule', () => {
  for (const f of FAMILIES) {
    const check = made(f.id).heat?.rest?.check;
    if (check) expect([f.id, check.safe]).toEqual([f.id, true]);
  }
});
