import { formula } from '../testing/made';
import { forecast, forecastLight, GRAMS_A_HEAD } from '.';
import { kitchenSchema, emptyKitchen } from '../kitchen';
import { planSchema, type Plan } from '../plan';
import { COARSE_GRID } from '../model/steam';
import { overWater } from '../stations/steam';

const light = (plan: Plan, kitchen = emptyKitchen()) => {
  const r = forecastLight(plan, kitchen);
  if (!r.ok) throw new Error(r.problems[0].sentence);
  return r.value;
};
const batter = (plan: Plan, change: Partial<Plan['batters'][number]>): Plan => ({
  ...plan,
  batters: [{ ...plan.batters[0], ...change }, ...plan.batters.slice(1)],
});
const line = (plan: Plan, ingredient: string, massG: number): Plan =>
  batter(plan, { lines: plan.batters[0].lines.map((l) => (l.ingredient === ingredient ? { ...l, massG } : l)) });
const slab = formula('savoury-coconut-slab');

describe('how many it serves', () => {
  test.each(Object.entries(GRAMS_A_HEAD))('%s is %d g a head', (role, grams) => {
    const l = light({ ...slab, role: role as Plan['role'], guests: 6 });
    expect(l.serves.neededG).toBe(6 * grams);
    expect(l.serves.enough).toBe(l.balance.massG >= 6 * grams);
    expect(l.serves.gramsEach).toBeCloseTo(l.balance.massG / 6, 9);
  });
});

describe('what warms the batter before the pan', () => {
  test('a measured pouring temperature replaces the computed one, and is called measured', () => {
    expect(light({ ...slab, readings: { 'pour:cake': { tempC: 52 } } }).pour).toMatchObject({
      startC: { value: 52, source: 'measured' },
    });
  });
  test('boiling water poured in warms it by its share, and a hot enough pour part-cooks it', () => {
    const cups = formula('dimpled-cups');
    const scald = (plan: Plan) => light(plan).evaluated.byId.get('scald:batter')?.outs[0].tempC ?? NaN;
    expect(scald(cups)).toBeGreaterThan(50);
    expect(scald(cups)).toBeLessThan(57);
    // All of the water boiling: it lands past the onset and comes to the pan part-cooked.
    const hot = {
      ...cups,
      schools: { rest: 'no' as const },
      batters: cups.batters.map((b) => ({
        ...b,
        wantedLiquidG: undefined,
        lines: b.lines.map((l) => (l.ingredient === 'water' ? { ...l, massG: 870 } : l)),
      })),
    };
    expect(scald(hot)).toBeGreaterThan(75);
    expect(light(hot).pour.words).toBe('part-cooked');
    const cold = {
      ...cups,
      batters: cups.batters.map((b) => ({ ...b, lines: b.lines.map((l) => ({ ...l, treatment: 'as-is' as const })) })),
    };
    expect(light(cold).pour.startC.value).toBeCloseTo(21, 0);
  });
  test('a pot-cooked cake starts hot and wholly set', () => {
    const { pour } = light(formula('alkali-rice-jelly'));
    expect(pour.startG).toBe(1);
    expect(pour.startC.value).toBeGreaterThan(80);
    expect(pour.startC.value).toBeLessThan(93);
  });
  test('a sponge batter never lands above 43 °C as shipped', () =>
    expect(light(formula('yeast-sponge')).pour.startC.value).toBeLessThanOrEqual(43));
});

describe('the kitchen it is made in', () => {
  const time = (plan: Plan, kitchen: unknown) => {
    const f = forecast(plan, kitchenSchema.parse(kitchen), COARSE_GRID);
    return (f.ok ? overWater(f.value.heat)?.times?.unlearnedS : undefined) ?? Infinity;
  };
  const steamer = { id: 's', name: 'S', innerDiameterM: 0.3, clearHeightM: 0.1, potDiameterM: 0.3, waterDepthM: 0.06 };
  test('higher up it takes longer, where less than 12 °C are left between setting and steam', () =>
    expect(time(slab, { altitudeM: 2500 })).toBeGreaterThan(time(slab, {})));
  test('in a pressure pot it is ready where it is in an open steamer, and so a fifth to two fifths sooner at 112 °C', () => {
    const pressed = time(slab, { steamers: [{ ...steamer, pressureTempC: 112 }] });
    const open = time(slab, { steamers: [steamer] });
    expect(pressed / open).toBeGreaterThan(0.6);
    expect(pressed / open).toBeLessThan(0.8);
  });
  test('a strong sugar batter high up may never set: it is said, not computed past', () => {
    const sweet = planSchema.parse({
      ...formula('sticky-sweet-cake'),
      batters: [
        {
          ...formula('sticky-sweet-cake').batters[0],
          lines: [
            { ingredient: 'glutinous-flour', massG: 400 },
            { ingredient: 'white-sugar', massG: 620 },
            { ingredient: 'water', massG: 330 },
          ],
        },
      ],
    });
    const f = forecast(sweet, kitchenSchema.parse({ altitudeM: 5500 }), COARSE_GRID);
    expect(f.ok && overWater(f.value.heat)?.times).toBeUndefined();
    expect(f.ok && overWater(f.value.heat)?.words).toMatch(/never gets hot enough to set/);
  });
  test('texture offsets learned from tastings move the estimate and keep it within 0 to 10', () => {
    const base = light(slab).texture;
    const moved = light(
      slab,
      kitchenSchema.parse({ textureOffsets: { 'savoury-coconut-slab': { chewy: 0.75, firm: -99 } } }),
    ).texture;
    expect(moved.chewy).toBeCloseTo(base.chewy + 0.75, 9);
    expect(moved.firm).toBe(0);
  });
});

test('layers under a millimetre are refused with how many would do, and nothing is computed from them', () => {
  const thin = {
    ...formula('rainbow-layers'),
    layers: 30,
    vessel: {
      id: 'v',
      name: 'Wide',
      shape: 'round' as const,
      material: 'steel' as const,
      diameterM: 0.27,
      heightM: 0.05,
      count: 1,
      provenance: 'measured' as const,
    },
  };
  const l = light(thin);
  expect(l.problems.map((p) => p.code)).toEqual(['layer-too-thin']);
  expect(l.problems[0].sentence).toMatch(/30 layers of 0\.\d mm/);
  const f = forecast(thin, emptyKitchen(), COARSE_GRID);
  expect(f.ok && f.value.heat).toBeUndefined();
});

test('nothing is heated when the pan is empty or running over, and the light forecast still says why', () => {
  const empty = forecast(batter(slab, { lines: [], wantedLiquidG: undefined }), emptyKitchen(), COARSE_GRID);
  expect(empty.ok && empty.value.heat).toBeUndefined();
  expect(empty.ok && empty.value.light.problems.map((p) => p.code)).toEqual(['empty-batter']);
  const over = forecast(
    {
      ...slab,
      vessel: {
        id: 'v',
        name: 'Cup',
        shape: 'round',
        material: 'steel',
        diameterM: 0.08,
        heightM: 0.05,
        count: 1,
        provenance: 'measured',
      },
    },
    emptyKitchen(),
    COARSE_GRID,
  );
  expect(over.ok && over.value.heat).toBeUndefined();
  expect(over.ok && over.value.light.problems.map((p) => p.code)).toContain('pan-too-small');
  const absurd = forecast(
    line(line(slab, 'rice-flour-fine', 30_000), 'coconut-milk', 45_000),
    emptyKitchen(),
    COARSE_GRID,
  );
  expect(absurd.ok && absurd.value.light.problems.map((p) => p.code)).toContain('absurd-amount');
});
