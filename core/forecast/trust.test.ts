import { asCooked } from '../work/stove';
import { FAMILIES, familyOf, formulaOf } from '../families';
import { composeForecast, forecast, forecastHeat, forecastLight, heatJobs, sayFilmsWanted } from '.';
import { canHeat } from './heat';
import { emptyKitchen } from '../kitchen';
import { planSchema, withReading, type Plan } from '../plan';
import { COARSE_GRID } from '../model/steam';
import type { StampedEvent } from '../work/notebook';
import { filmIn } from '../stations/steam';

const kitchen = emptyKitchen();
const planOf = (id: string): Plan => {
  const f = familyOf(id);
  if (!f.ok) throw new Error(id);
  return formulaOf(f.value);
};
const lightOf = (plan: Plan) => {
  const light = forecastLight(plan, kitchen);
  if (!light.ok) throw new Error(light.problems[0].sentence);
  return light.value;
};
const ALL = FAMILIES.map((f) => [f.id] as const);
const SMALL = COARSE_GRID;

describe('a depth by the ruler', () => {
  const deep = (mm: number) => withReading(planOf('radish-slab'), { node: 'pour:cake', slot: 'depthMm' }, mm);
  test('over the rim is a problem at its reading; nothing fits, and no minutes are made up', () => {
    const tin = lightOf(planOf('radish-slab')).resolved.vessel.heightM * 1000;
    const made = forecast(deep(tin + 15), kitchen, SMALL);
    if (!made.ok) throw new Error('not made');
    const { light, heat, steps } = made.value;
    expect(light.problems.map((p) => [p.code, p.path])).toEqual([['depth-read', 'readings.pour:cake.depthMm']]);
    expect(light.problems[0].sentence).toMatch(/cannot be in .* high; read it again/);
    expect([light.fill.fits, heat]).toEqual([false, undefined]);
    const steam = steps.find((s) => s.id === 'steam:cake');
    expect(steam?.sentence).toMatch(/its minutes come once the heat is worked out/);
    expect(steam?.waitS).toBe(0);
  });
  test('less than a ruler shows is a problem, one that fits decides the room above it and what is advised', () => {
    expect(lightOf(deep(0.1)).problems.map((p) => p.code)).toEqual(['reading-out-of-range']);
    expect(lightOf(deep(250)).problems.map((p) => p.code)).toEqual(['reading-out-of-range']);
    const plan = planOf('radish-slab');
    const { vessel } = lightOf(plan).resolved;
    const at = lightOf(deep(40)).fill;
    expect(at.depthM).toBe(0.04);
    expect(at.headroomM).toBeCloseTo(vessel.heightM - 0.04 * at.rise, 9);
    const full = lightOf(deep(vessel.heightM * 1000 - 0.1));
    expect(full.problems).toEqual([]);
    expect(full.advice.map((a) => a.id)).toContain('rises-over');
  });
});

describe('a forecast without heat', () => {
  /** Plans that a slip of the hand makes of a formula. */
  const slips = (plan: Plan): Plan[] => [
    { ...plan, batters: plan.batters.map((b) => ({ ...b, lines: [] })) },
    { ...plan, batters: plan.batters.map((b) => ({ ...b, lines: b.lines.map((l) => ({ ...l, massG: 0 })) })) },
    {
      ...plan,
      batters: plan.batters.map((b) => ({ ...b, lines: b.lines.map((l) => ({ ...l, massG: l.massG / 1000 })) })),
    },
    {
      ...plan,
      batters: plan.batters.map((b) => ({ ...b, lines: b.lines.map((l) => ({ ...l, massG: l.massG * 60 })) })),
    },
    { ...plan, vesselCount: 60 },
    { ...plan, layers: 30 },
    { ...plan, alsoVessels: [{ id: 'x', vessel: lightOf(plan).resolved.vessel, count: 1, massEachG: 9000 }] },
    ...['pour:cake', 'fill:cake'].flatMap((node) =>
      [0, 0.2, 90, 400].map((mm) => withReading(plan, { node, slot: 'depthMm' }, mm)),
    ),
  ];
  test.each(ALL)('%s: has a problem that says why, whatever slip made it', (id) => {
    for (const plan of slips(planOf(id))) {
      const light = forecastLight(plan, kitchen);
      if (!light.ok) continue;
      if (!canHeat(light.value)) expect(light.value.problems.length).toBeGreaterThan(0);
    }
  });
  test.each(ALL)('%s: says no time that only the heat could say', (id) => {
    const light = lightOf(planOf(id));
    const { steps, totals } = composeForecast(light, undefined);
    const open = steps.filter((s) => s.openS !== undefined);
    for (const s of open) expect([s.id, s.waitS]).toEqual([s.id, 0]);
    const told = steps.filter((s) => /^(steam|layer|fill|film|preheat):/.test(s.id));
    for (const s of told) expect(s.sentence).toMatch(/once the heat is worked out/);
    expect(totals.waitS).toBe(steps.reduce((sum, s) => sum + s.waitS, 0));
    const heat = forecastHeat(light, SMALL);
    expect(heat).toBeDefined();
    const whole = composeForecast(light, heat);
    expect(whole.steps.filter((s) => s.openS !== undefined && !/^(boil-up|sear)/.test(s.id)).map((s) => s.id)).toEqual(
      [],
    );
    expect(whole.steps.map((s) => s.sentence).join(' ')).not.toMatch(/once the heat is worked out/);
  });
});

describe('heat of the same name is the same heat', () => {
  test('guests of pan films are not of the heat: the sentence of how many are wanted follows them at once', () => {
    const plan = planOf('pan-film-sheets');
    const few = lightOf({ ...plan, guests: 2 });
    const many = lightOf({ ...plan, guests: 60 });
    expect(heatJobs(few).hash).toBe(heatJobs(many).hash);
    const heat = forecastHeat(few);
    expect(forecastHeat(many)).toEqual(heat);
    const film = filmIn(heat);
    if (!film) throw new Error('no film');
    expect(sayFilmsWanted(few, film)).toMatch(/so it is enough/);
    expect(sayFilmsWanted(many, film)).toMatch(/for 60 guests: not enough/);
  });
  test('a raw filling that is renamed keeps its own safe temperature in the sentence', () => {
    const plan = planOf('filled-rolls');
    const raw = (name: string): Plan => ({
      ...plan,
      fillings: plan.fillings.map((f, i) => (i === 0 ? { ...f, name, doneness: 'raw', safeC: 77 } : f)),
    });
    const before = lightOf(raw('Duck'));
    const heat = forecastHeat(before, SMALL);
    const renamed = lightOf(raw('Spring duck'));
    expect(heatJobs(renamed).hash).toBe(heatJobs(before).hash);
    const said = composeForecast(renamed, heat).steps.find((s) => s.id === 'fill:cake')?.sentence;
    expect(said).toMatch(/Lay the spring duck on .* until the filling has come to 77 °C/);
  });
});

test.each(['rainbow-layers', 'two-tone-layers'])('%s: layers left out are judged as many as are poured', (id) => {
  const { layers: _, ...rest } = planOf(id);
  const plan = planSchema.parse(rest);
  expect(plan.layers).toBeUndefined();
  const left = lightOf(plan);
  const poured = left.flow.nodes.find((n) => n.op === 'layer');
  const order = poured && 'order' in poured.settings ? (poured.settings.order as unknown[]).length : 0;
  const said = lightOf({ ...plan, layers: order });
  expect(left.advice).toEqual(said.advice);
  expect(left.problems).toEqual(said.problems);
  expect(heatJobs(left).hash === heatJobs(said).hash || left.advice.length === said.advice.length).toBe(true);
});

test('a depth that was read at the stove over the rim stops the forecast with a sentence, not with made-up minutes', () => {
  const plan = planOf('savoury-coconut-slab');
  const read: StampedEvent = {
    kind: 'read',
    stepId: 'pour:cake',
    slot: 'depthMm',
    value: 180,
    id: 1,
    at: '2026-01-01T10:00:00.000Z',
    key: 'read-key-1',
  };
  expect(lightOf(asCooked(plan, [read])).problems.map((p) => p.code)).toEqual(['depth-read']);
});
