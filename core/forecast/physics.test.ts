import { whole } from '../units';
import { someOf } from '../testing/runs';
import { FAMILIES, isRaised, wayOf, type Family, formulaOf } from '../families';
import fc from 'fast-check';
import { forecastHeat, forecastLight, type Forecast } from '.';
import { equilibriumGel, lookUp } from '../model/heat';
import { DEFAULT_RING, DEFAULT_STEAMER, emptyKitchen, type Lid } from '../kitchen';
import { isLiquid, larderOf, thermalProperties } from '../larder';
import { thermalShares } from '../model/batter';
import { scalePlan, type Plan } from '../plan';
import { cakeMaterial, COARSE_GRID } from '../model/steam';
import { volumeAtDepth } from '../model/vessel';
import { formula, lightOf, madeOf, pourInputOf } from '../testing/made';
import { forecastOf, planOf, round } from '../testing/truth';
import { overWater, pourOf, pourSteam, roomOf, shareSteam, stackIn, vesselOf } from '../stations/steam';

const larder = larderOf([]);
const kindOf = (id: string) => larder.get(id);
const clean = (f: Forecast): number => overWater(f.heat)?.times?.firstCleanPickS.value ?? Infinity;
const cleanOf = (plan: Plan, kitchen = emptyKitchen()): number => clean(madeOf(plan, kitchen));

/** A plan with its liquids and sugars brought to shares of its dry blend. */
function at(plan: Plan, liquidToDry: number, sugarOfDry: number | undefined): Plan {
  const batters = plan.batters.map((b, i) => {
    const balance = lightOf(plan).balance.batters[i];
    const isSugar = (id: string) => kindOf(id)?.kind === 'sugar';
    const sugarG = b.lines.reduce((g, l) => g + (isSugar(l.ingredient) ? l.massG : 0), 0);
    const bySugar = sugarOfDry === undefined || sugarG === 0 ? 1 : (sugarOfDry * balance.dryBlendG) / 100 / sugarG;
    const byLiquid = (liquidToDry * balance.dryBlendG) / Math.max(1, balance.liquidG);
    return {
      ...b,
      lines: b.lines.map((l) => {
        const i = kindOf(l.ingredient);
        const by = isSugar(l.ingredient)
          ? bySugar
          : i && (isLiquid(i) || i.id.startsWith('coconut-milk'))
            ? byLiquid
            : 1;
        return { ...l, massG: l.massG * by };
      }),
      ...(b.wantedLiquidG === undefined ? {} : { wantedLiquidG: liquidToDry * balance.dryBlendG }),
    };
  });
  return { ...plan, batters };
}
const corners = (f: Family): Plan[] =>
  f.liquidToDry.flatMap((l) => (f.sugarOfDry ?? [undefined]).map((s) => at(formulaOf(f), l, s)));

describe('whatever lies inside a family’s bands can set at 97 °C', () => {
  test.each(FAMILIES.map((f) => [f.id, f] as const))('%s, at the corners of its liquid and sugar', (_, f) => {
    for (const plan of corners(f))
      for (const g of lightOf(plan).gellings) expect(equilibriumGel(97, g)).toBeGreaterThanOrEqual(0.95);
  });
});

test('and anywhere between: random blends, liquids and sugars within the bands of every family', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  let tried = 0;
  fc.assert(
    fc.property(fc.constantFrom(...FAMILIES), fc.array(share, { minLength: 8, maxLength: 8 }), (f, r) => {
      const within = ([a, b]: readonly [number, number], x: number) => a + (b - a) * x;
      const base = formulaOf(f);
      const dry = lightOf(base).balance.batters[0].dryBlendG;
      const wanted = Object.entries(f.blend).map(([id, band], i) => [id, within(band, r[i % 6])] as const);
      const sum = wanted.reduce((a, [, x]) => a + x, 0);
      const others = base.batters[0].lines.filter((l) => f.blend[l.ingredient] === undefined);
      const treatment = base.batters[0].lines.find((l) => f.blend[l.ingredient] !== undefined)?.treatment;
      const lines = wanted.flatMap(([id, x]) =>
        x > 0 && kindOf(id)
          ? [{ id: `dry-${id}`, ingredient: id, massG: (dry * x) / sum, treatment: treatment ?? ('as-is' as const) }]
          : [],
      );
      const blended = {
        ...base,
        batters: [{ ...base.batters[0], lines: [...lines, ...others] }, ...base.batters.slice(1)],
      };
      const made = forecastLight(
        at(blended, within(f.liquidToDry, r[6]), f.sugarOfDry && within(f.sugarOfDry, r[7])),
        emptyKitchen(),
      );
      if (!made.ok) return;
      tried++;
      for (const g of made.value.gellings) expect(equilibriumGel(97, g)).toBeGreaterThanOrEqual(0.95);
    }),
    { numRuns: 120 },
  );
  expect(tried).toBeGreaterThan(100);
});

describe('properties of whole plans', () => {
  const steamed = FAMILIES.filter((f) => wayOf(f).overSteam && f.cooked !== 'layers');
  test.each(someOf(steamed.filter((f) => f.sugarOfDry)).map((f) => [f.id, f] as const))(
    '%s: more sugar is never faster, but for the water that it takes the place of',
    (_, f) => {
      const [low, high] = f.sugarOfDry ?? [0, 0];
      const base = planOf({ family: f.id, vessel: round(0.18), depthMm: 25 });
      const times = [low, (low + high) / 2, high].map((s) => {
        const plan = at(base, lightOf(base).balance.batters[0].liquidToDry, s);
        // The same depth, so that it is the sugar that tells.
        const by = lightOf(base).fill.volumeEachMl / lightOf(plan).fill.volumeEachMl;
        return cleanOf(scalePlan(plan, by));
      });
      // Where the middle waits for its temperature alone, less water is to be heated: 1 % or so.
      expect(times[1]).toBeGreaterThanOrEqual(times[0] * 0.98);
      expect(times[2]).toBeGreaterThanOrEqual(times[1] * 0.98);
    },
  );
  test.each(someOf(steamed).map((f) => [f.id, f] as const))('%s: thicker is never faster', (_, f) => {
    const times = [12, 18, 26, 36].map((depthMm) => clean(forecastOf({ family: f.id, vessel: round(0.18), depthMm })));
    for (let i = 1; i < times.length; i++) expect(times[i]).toBeGreaterThanOrEqual(times[i - 1]);
  });
  test.each(someOf(steamed).map((f) => [f.id, f] as const))(
    '%s: woven is never faster than tight, nor foil than open; loose boils more away',
    (_, f) => {
      const plan = formulaOf(f);
      const inLid = (lid: Lid, dripGuard: string) =>
        madeOf(
          { ...plan, steamer: 's', schools: { ...plan.schools, dripGuard } },
          {
            ...emptyKitchen(),
            steamers: [{ ...DEFAULT_STEAMER, innerDiameterM: 0.36, potDiameterM: 0.36, id: 's', lid }],
          },
        );
      const [tight, woven, foil, loose] = [
        inLid('tight', 'none'),
        inLid('woven', 'none'),
        inLid('tight', 'foil'),
        inLid('tight', 'loose'),
      ];
      expect(clean(woven)).toBeGreaterThanOrEqual(clean(tight) - 0.5);
      expect(clean(foil)).toBeGreaterThanOrEqual(clean(tight) - 0.5);
      expect(clean(loose)).toBeGreaterThanOrEqual(clean(woven) - 0.5);
      const boils = (x: Forecast) => overWater(x.heat)?.water.boilOffMlPerMin ?? 0;
      expect(boils(loose)).toBeGreaterThan(boils(tight));
      expect(pourSteam(tight.heat)?.puddle.dripsG).toBeGreaterThan(0);
      expect(pourSteam(woven.heat)?.puddle.dripsG).toBe(0);
    },
  );
});

test('a loose lid on a small flame lets in so much air that nothing gets ready: it is said, with the way out', () => {
  const plan = { ...formula('radish-slab'), hob: 'h', ring: 'r', heat: 'gentle' as const };
  const kitchen = {
    ...emptyKitchen(),
    hobs: [{ id: 'h', name: 'Hob', rings: [{ ...DEFAULT_RING, id: 'r', measuredPowerW: { gentle: 260 } }] }],
  };
  const loose = madeOf({ ...plan, schools: { ...plan.schools, dripGuard: 'loose' } }, kitchen);
  expect(overWater(loose.heat)?.times).toBeUndefined();
  expect(loose.heat?.problems.map((p) => p.sentence).join(' ')).toMatch(
    /so much air in the steam \(\d+ %\).*wrap it in a cloth/,
  );
  expect(clean(madeOf(plan, kitchen))).toBeLessThan(Infinity);
});

describe('several vessels in one steamer', () => {
  const two = {
    ...emptyKitchen(),
    steamers: [{ ...DEFAULT_STEAMER, id: 'two', name: 'Two tiers', tiers: 2 }],
    vessels: [
      { ...round(0.2), id: 'tin', name: 'Round tin', count: 2 },
      { ...round(0.1, 'ceramic', { heightM: 0.05 }), id: 'bowl', name: 'Small bowl', count: 4 },
    ],
  };
  const plan = (change: Partial<Plan> = {}): Plan => ({
    ...scalePlan(formula('radish-slab'), 1.2),
    vessel: 'tin',
    steamer: 'two',
    vesselCount: 2,
    ...change,
  });
  test('two tiers: the higher is never faster than the lower, and the forecast is the slower one’s', () => {
    const steam = pourSteam(madeOf(plan({ heat: 'gentle' }), two).heat);
    const [lower, upper] = steam?.vessels ?? [];
    expect([lower?.tier, upper?.tier]).toEqual([0, 1]);
    const t = (v: typeof lower) => v?.times?.firstCleanPickS.value ?? NaN;
    expect(t(upper)).toBeGreaterThanOrEqual(t(lower));
    expect(steam?.times?.firstCleanPickS.value).toBeCloseTo(t(upper), 6);
  });
  test('a further vessel has its own depth, minutes and lift-out, in the step too', () => {
    const f = madeOf(
      plan({ vesselCount: 1, alsoVessels: [{ id: 'm', vessel: 'bowl', count: 2, massEachG: 150 }] }),
      two,
    );
    const vessels = pourSteam(f.heat)?.vessels ?? [];
    expect(vessels.map((v) => vesselOf(f.light, v))).toEqual(['Round tin', 'Small bowl']);
    const [tin, bowl] = vessels.map((v) => v.times?.planForS ?? NaN);
    expect(bowl).toBeLessThan(tin);
    const step = f.steps.find((s) => s.verb === 'Steam');
    expect(step?.timeline?.map((m) => m.words).filter((w) => w.startsWith('Lift'))).toEqual([
      expect.stringMatching(/^Lift out the 2 of Small bowl/),
      expect.stringMatching(/^Lift out Round tin/),
    ]);
  });
  test('layers on two tiers: the upper stack finds what the lower one leaves', () => {
    const layers = (vesselCount: number) =>
      stackIn(
        madeOf(
          {
            ...scalePlan(formula('rainbow-layers'), vesselCount),
            vessel: 'tin',
            steamer: 'two',
            vesselCount,
            layers: 6,
            heat: 'gentle',
          },
          two,
        ).heat,
      );
    expect(layers(2)?.pours.map((p) => p.grams)).toEqual(layers(1)?.pours.map((p) => expect.closeTo(p.grams, 6)));
    expect(layers(2)?.totalS ?? 0).toBeGreaterThan(layers(1)?.totalS ?? Infinity);
  });
  test('what is taken together is never more than boils, and whoever comes after is left the rest', () => {
    const light = lightOf(plan({ heat: 'gentle' }), two);
    const input = pourInputOf(light);
    const room = roomOf(input, 1);
    const groups = [0, 1].map((tier) => ({ count: 1, tier, pour: (r: typeof room) => pourOf(input, r) }));
    const [lower, upper] = whole(shareSteam(room, groups));
    for (const t of [1, 30, 120, 600, 1800]) {
      expect(lower.powerW(t)).toBeCloseTo(room.powerW(t), 6);
      expect(upper.powerW(t)).toBeLessThan(lower.powerW(t));
    }
  });
  test('two cakes in one steamer: the second takes longer than alone, and a lid opened for the first costs it time', () => {
    const light = lightOf(plan({ vesselCount: 1 }), two);
    const alone = forecastHeat(light, COARSE_GRID);
    const taken = pourSteam(alone)?.taken ?? [];
    const t = (h: typeof alone) => overWater(h)?.times?.firstCleanPickS.value ?? NaN;
    const beside = forecastHeat(light, COARSE_GRID, undefined, { taken, openingsS: [] });
    const opened = forecastHeat(light, COARSE_GRID, undefined, { taken, openingsS: [300, 600, 900] });
    expect(t(beside)).toBeGreaterThan(t(alone));
    expect(t(opened)).toBeGreaterThan(t(beside));
  });
});

test('raised cakes: mass stays while the depth grows, by no more than the family’s rise', () => {
  for (const f of FAMILIES.filter(isRaised)) {
    const l = lightOf(formulaOf(f));
    expect(l.fill.rise).toBeLessThanOrEqual(f.rise + 1e-9);
    expect(l.body.gasShare).toBeGreaterThan(0.1);
    // What the solver holds per degree is what was poured: grams × specific heat, not gas.
    const held = lookUp(cakeMaterial(l.body).capacity, 25) * volumeAtDepth(l.resolved.vessel, l.fill.cookedM) * 1e-6;
    const grams = l.balance.massG / l.resolved.plan.vesselCount;
    const c = thermalProperties(thermalShares(l.balance.whole), 25).c;
    expect(held / ((grams / 1000) * c)).toBeCloseTo(1, 2);
    expect(l.fill.cookedM).toBeGreaterThan(l.fill.depthM * 1.05);
  }
});
