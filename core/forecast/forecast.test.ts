import { readFileSync, readdirSync } from 'node:fs';
import { FAMILIES, formulaOf } from '../families';
import { forecast, forecastLight } from '.';
import { DEFAULT_STEAMER, emptyKitchen, kitchenSchema, steamerSchema, whoIs } from '../kitchen';
import { learnTimes } from '../work/notebook';
import { formula } from '../testing/made';
import { readPlan, readKitchen, scalePlan } from '../plan';
import { COARSE_GRID, waterPlan } from '../model/steam';
import { coolingCheck } from '../model/rest';
import { overWater, stackIn } from '../stations/steam';

const read = (doc: unknown) => {
  const p = readPlan(doc);
  if (!p.ok) throw new Error(p.problems[0].sentence);
  return p.value;
};

describe('every shipped formula', () => {
  for (const family of FAMILIES) {
    test(`${family.name}: liquid to dry and shares inside its own bands, and it forecasts without a fault`, () => {
      const made = forecast(formulaOf(family), emptyKitchen(), COARSE_GRID);
      if (!made.ok) throw new Error(made.problems[0].sentence);
      const b = made.value.light.balance.batters[0];
      expect(b.liquidToDry).toBeGreaterThanOrEqual(family.liquidToDry[0]);
      expect(b.liquidToDry).toBeLessThanOrEqual(family.liquidToDry[1]);
      for (const [id, [lo, hi]] of Object.entries(family.blend)) {
        if ((b.shares[id] ?? 0) === 0) continue;
        expect(100 * b.shares[id]).toBeGreaterThanOrEqual(lo - 0.5);
        expect(100 * b.shares[id]).toBeLessThanOrEqual(hi + 0.5);
      }
      if (family.saltPct)
        expect(made.value.light.balance.salt.pctOfTotal).toBeGreaterThanOrEqual(family.saltPct[0] * 0.95);
      const verbs = made.value.steps.map((s) => s.verb);
      expect(verbs[verbs.length - 1]).toBe('Serve');
      for (const s of made.value.steps) {
        expect(s.handsOnS).toBeGreaterThan(0);
        expect(Number.isFinite(s.waitS)).toBe(true);
        expect(s.sentence).not.toMatch(/undefined|NaN/);
      }
      const said = made.value.steps.flatMap((s) => s.cautions);
      expect(new Set(said).size).toBe(said.length);
    });
  }
});

test('the examples in the repository read and forecast', () => {
  for (const file of readdirSync('examples').filter((f) => !f.includes('kitchen'))) {
    const made = forecast(read(JSON.parse(readFileSync(`examples/${file}`, 'utf8'))), emptyKitchen(), COARSE_GRID);
    expect(made.ok && made.value.light.problems).toEqual([]);
    expect(made.ok && overWater(made.value.heat)?.times?.firstCleanPickS.value).toBeGreaterThan(120);
  }
});

test('part-cooked batter is done sooner than raw, and starts hotter', () => {
  const plan = formulaOf(FAMILIES[0]);
  const time = (intoPan: string) => {
    const f = forecast({ ...plan, schools: { intoPan } }, emptyKitchen(), COARSE_GRID);
    return f.ok ? (overWater(f.value.heat)?.times?.firstCleanPickS.value ?? NaN) : NaN;
  };
  expect(time('part-cooked')).toBeLessThan(time('raw'));
});

test('a learned factor multiplies the time and is called learned; the unlearned figure stays beside it', () => {
  const kitchen = kitchenSchema.parse({
    steamers: [
      {
        id: 's',
        name: 'S',
        innerDiameterM: 0.3,
        clearHeightM: 0.1,
        potDiameterM: 0.3,
        waterDepthM: 0.06,
        learned: { medium: { median: 1.25, low: 1.1, high: 1.4, checks: 3 } },
      },
    ],
  });
  const f = forecast(formulaOf(FAMILIES[0]), kitchen, COARSE_GRID);
  const t = f.ok ? overWater(f.value.heat)?.times : undefined;
  expect(t?.firstCleanPickS.source).toBe('learned');
  expect((t?.firstCleanPickS.value ?? 0) / (t?.unlearnedS ?? 1)).toBeCloseTo(1.25, 9);
});

test('a second loaded tier is never faster than one alone, and a weak hob makes it slower', () => {
  const steamer = {
    id: 's',
    name: 'S',
    tiers: 2,
    innerDiameterM: 0.3,
    clearHeightM: 0.1,
    potDiameterM: 0.3,
    waterDepthM: 0.06,
  };
  const vessel = { id: 'v', name: 'V', shape: 'round', material: 'steel', diameterM: 0.2, heightM: 0.06, count: 2 };
  const time = (count: number, watts: number) => {
    const plan = read({
      ...scalePlan(formulaOf(FAMILIES[1]), 0.6 * count),
      vessel,
      steamer,
      vesselCount: count,
      hob: { id: 'h', name: 'H', measuredPowerW: { strong: watts } },
      cooling: [],
      // A bigger bowl comes to the pan warmer; here only the steam is asked about.
      readings: { 'pour:cake': { tempC: 40 } },
    });
    const f = forecast(plan, emptyKitchen(), COARSE_GRID);
    return (f.ok ? overWater(f.value.heat)?.times?.firstCleanPickS.value : undefined) ?? NaN;
  };
  expect(time(2, 1500)).toBeGreaterThanOrEqual(time(1, 1500) * 0.999);
  expect(time(2, 350)).toBeGreaterThan(time(1, 350) * 1.05);
});

test('top-ups keep a minute clear of the pours of a layered cake', () => {
  const busyS = [600, 900, 1200, 1500, 1800, 2100, 2400];
  const w = waterPlan({
    steamer: steamerSchema.parse({
      id: 's',
      name: 'S',
      innerDiameterM: 0.2,
      clearHeightM: 0.1,
      potDiameterM: 0.2,
      waterDepthM: 0.035,
    }),
    lid: 'tight',
    powerW: () => 1500,
    takenJ: 0,
    totalS: 5400,
    boilUpW: 1500,
    tapC: 20,
    boilC: 100,
    busyS,
  });
  expect(w.topUps).toBeGreaterThan(1);
  for (const t of w.timesS) for (const b of busyS) expect(Math.abs(t - b)).toBeGreaterThanOrEqual(59);
});

test('an ice bath cools faster than the fridge, the fridge faster than the counter', () => {
  const to21 = (where: string) => {
    const f = forecast(
      read({ ...formulaOf(FAMILIES[0]), cooling: [{ where, timeS: 36000 }] }),
      emptyKitchen(),
      COARSE_GRID,
    );
    return (f.ok ? f.value.heat?.rest?.check.to21S : undefined) ?? Infinity;
  };
  expect(to21('ice-bath')).toBeLessThan(to21('fridge'));
  expect(to21('fridge')).toBeLessThan(to21('counter'));
});

test('the two-stage rule by hand: 60 at 0 h, 21 at 1.9 h, 5 at 5.9 h is safe; 21 at 2.1 h is not', () => {
  const curve = (h21: number, h5: number) =>
    [
      [0, 60],
      [h21, 21],
      [h5, 5],
    ].map(([h, c]) => ({ timeS: h * 3600, centreC: c, meanC: c, edgeC: c }));
  const usual = { fridgeC: 4, coldFirst: false };
  expect(coolingCheck(curve(1.9, 5.9), usual).safe).toBe(true);
  expect(coolingCheck(curve(2.1, 5.9), usual).safe).toBe(false);
  expect(coolingCheck(curve(1.9, 6.1), usual).safe).toBe(false);
  // The advice is of what is the cause.
  const said = (to21H: number, to5H: number, where: Partial<typeof usual>) =>
    coolingCheck(curve(to21H, to5H), { ...usual, ...where }).sentence;
  expect(said(2.1, 5.9, { coldFirst: true })).not.toMatch(/sooner/);
  expect(said(2.1, 5.9, {})).toMatch(/sooner/);
  expect(said(1.9, 6.1, { fridgeC: 8 })).toMatch(/at 8 °C, is too warm/);
  expect(said(1.9, 6.1, {})).toMatch(/Chill it sooner/);
});

describe('bad documents', () => {
  const plan = formulaOf(FAMILIES[1]);
  const codes = (doc: unknown) => {
    const r = readPlan(doc);
    return r.ok ? [] : r.problems.map((p) => `${p.path}: ${p.sentence}`);
  };
  test('each fault is told at its place, all of them at once', () => {
    const lines = [
      { ingredient: 'rice-flour-fine', massG: -3 },
      { ingredient: 'tapioca' },
      { ingredient: 'fine-salt', massG: 'pinch' },
      { ingredient: 'oil', massG: 9e9 },
    ];
    const said = codes({ ...plan, batters: [{ ...plan.batters[0], lines }] });
    expect(said).toHaveLength(4);
    expect(said[0]).toMatch(/batters.0.lines.0.massG: The amount cannot be below zero/);
    expect(said[1]).toMatch(/batters.0.lines.1.massG: The amount is missing/);
    expect(said[2]).toMatch(/batters.0.lines.2.massG: The amount must be a number/);
    expect(said[3]).toMatch(/batters.0.lines.3.massG: The amount above 50000 g/);
  });
  test('an unknown version, format, family, ingredient and vessel', () => {
    expect(codes({ ...plan, version: 7 })[0]).toMatch(/version 7 .* newer Idle Ladle/);
    expect(codes({ ...plan, version: 0 })[0]).toMatch(/Version 0/);
    expect(codes([1])[0]).toMatch(/not a plan/);
    const family = forecastLight({ ...plan, family: 'soufflé' }, emptyKitchen());
    expect(!family.ok && family.problems[0]).toMatchObject({ code: 'unknown-family', path: 'family' });
    const both = forecastLight(
      { ...plan, vessel: 'none', addIns: [{ id: 'gold', ingredient: 'gold', massG: 1, treatment: 'as-is' }] },
      emptyKitchen(),
    );
    expect(!both.ok && both.problems.map((p) => p.code)).toEqual(['unknown-ingredient', 'unknown-vessel']);
  });
  test('an inline pan with a wrong size is told at the size', () => {
    expect(
      codes({
        ...plan,
        vessel: { id: 'x', name: 'X', shape: 'round', material: 'steel', diameterM: 9, heightM: 0.05 },
      })[0],
    ).toMatch(/vessel.diameterM: Inside diameter: use at most 800 mm/);
  });
  test('a kitchen at 9000 m, or with a fridge warmer than its room', () => {
    expect(readKitchen({ altitudeM: 9000 })).toMatchObject({ ok: false, problems: [{ path: 'altitudeM' }] });
    expect(readKitchen({ fridgeC: 8, roomC: 6 })).toMatchObject({ ok: false, problems: [{ path: 'fridgeC' }] });
  });
});

test('top-ups stand among the pours of a long stack, in order', () => {
  const shallow = steamerSchema.parse({
    id: 's',
    name: 'Shallow pot',
    innerDiameterM: 0.28,
    clearHeightM: 0.1,
    potDiameterM: 0.24,
    waterDepthM: 0.03,
  });
  const f = forecast(
    { ...formula('rainbow-layers'), steamer: 's' },
    { ...emptyKitchen(), steamers: [shallow] },
    COARSE_GRID,
  );
  const moments = (f.ok && f.value.steps.find((s) => s.verb === 'Layer')?.timeline) || [];
  expect(moments.some((m) => m.words.startsWith('Top up with'))).toBe(true);
  expect(moments.map((m) => m.atS)).toEqual([...moments.map((m) => m.atS)].sort((a, b) => a - b));
});

test('one sponge batch that was done in half its time does not take half of a sticky cake’s', () => {
  const sponge = formula('yeast-sponge');
  const seen = {
    who: whoIs(DEFAULT_STEAMER.id, 'medium', 'yeast-sponge', sponge.name),
    modelS: 1200,
    notBeforeS: 540,
    notAfterS: 660,
  };
  const kitchen = { ...emptyKitchen(), timeFactors: learnTimes([seen]) };
  const times = (plan: typeof sponge) => {
    const f = forecast(plan, kitchen, COARSE_GRID);
    const t = f.ok ? overWater(f.value.heat)?.times : undefined;
    return (t?.firstCleanPickS.value ?? NaN) / (t?.unlearnedS ?? NaN);
  };
  const own = 1 - times({ ...sponge, heat: 'medium' });
  const sticky = 1 - times(formula('sticky-sweet-cake'));
  expect(own).toBeGreaterThan(0.3);
  expect(sticky).toBeGreaterThan(0);
  expect(sticky).toBeLessThan(own / 2);
});

test('one batter in colours: what is weighed apart is what is poured, equal layers whatever their number', () => {
  for (const layers of [9, 8, 7, 2]) {
    const f = forecast({ ...formula('rainbow-layers'), layers }, emptyKitchen(), COARSE_GRID);
    if (!f.ok) throw new Error('not made');
    const pours = stackIn(f.value.heat)?.pours ?? [];
    for (const p of pours) expect(p.grams).toBeCloseTo(pours[0].grams, 6);
    const split = f.value.steps.find((s) => s.verb === 'Split')?.sentence ?? '';
    for (const [i, colour] of ['Porcelain', 'Pandan', 'Rose'].entries()) {
      const poured = pours.filter((p) => p.batter === i).reduce((g, p) => g + p.grams, 0);
      const weighed = Number(split.match(new RegExp(`${colour.toLowerCase()} (\\d+) g`))?.[1] ?? NaN);
      // One in a hundred stays in the bowls.
      expect(Math.abs(weighed - poured)).toBeLessThanOrEqual(0.015 * weighed + 3);
    }
  }
});
