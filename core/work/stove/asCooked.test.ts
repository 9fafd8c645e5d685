import { FAMILIES, formulaOf } from '../../families';
import { lightOf, madeOf, formula } from '../../testing/made';
import { COARSE_GRID } from '../../model/steam';
import { forecastHeat, composeForecast } from '../../forecast';
import { asCooked, massesOf } from './asCooked';
import { log, type Entry } from './testing/events';
import { whatChanged } from './whatChanged';
import { overWater } from '../../stations/steam';

const slab = formula('radish-slab');
const grams = (plan: typeof slab, id: string) =>
  plan.batters[0].lines.concat(plan.addIns).find((l) => l.id === id)?.massG;

describe('grams as they went in', () => {
  test('weighed stands, added and left over count from there, a second weighing begins anew', () => {
    const events = log(
      [0, { kind: 'line-weighed', stepId: 'weigh:plan', line: 'rice-flour-fine', massG: 240 }],
      [1, { kind: 'line-changed', stepId: 'mix:batter', line: 'rice-flour-fine', byG: -8 }],
      [2, { kind: 'line-changed', stepId: 'mix:batter', line: 'oil', byG: 4 }],
      [3, { kind: 'line-changed', stepId: 'mix:batter', line: 'nobody', byG: 4 }],
    );
    const cooked = asCooked(slab, events);
    expect([grams(cooked, 'rice-flour-fine'), grams(cooked, 'oil')]).toEqual([232, (grams(slab, 'oil') ?? 0) + 4]);
    expect(massesOf(slab, log([0, { kind: 'line-changed', stepId: 'x', line: 'oil', byG: -900 }])).get('oil')).toBe(0);
  });
  test('with nothing written down the plan is the very same', () => expect(asCooked(slab, [])).toBe(slab));
  test('no number changes the shape: all steps stay, whatever is weighed', () => {
    const events = log(
      [0, { kind: 'line-weighed', stepId: 'weigh:plan', line: 'white-sugar', massG: 0 }],
      [1, { kind: 'read', stepId: 'wilt:radish', slot: 'juiceG', value: 410 }],
      [2, { kind: 'read', stepId: 'pour:cake', slot: 'depthMm', value: 47 }],
    );
    const ids = (plan: typeof slab) => lightOf(plan).flow.nodes.map((n) => n.id);
    expect(ids(asCooked(slab, events))).toEqual(ids(slab));
  });
});

test('the juice that was weighed moves the water to top up, gram for gram, and the sentence says so', () => {
  const before = madeOf(slab);
  const juice = before.evaluated.byId.get('wilt:radish')?.figures.juiceG.value ?? 0;
  const water = (f: typeof before) => f.evaluated.byId.get('top-up:batter')?.figures.waterG.value ?? 0;
  const after = madeOf(
    asCooked(slab, log([0, { kind: 'read', stepId: 'wilt:radish', slot: 'juiceG', value: juice + 60 }])),
  );
  // What is kept of juice carries a little dry matter: the liquid of it is what stands in for water.
  expect(water(before) - water(after)).toBeGreaterThan(54);
  expect(water(before) - water(after)).toBeLessThanOrEqual(60.001);
  expect(whatChanged(before, after)).toMatch(/^Water to top up \d+ g instead of \d+ g/);
  expect(whatChanged(before, before)).toBe('Nothing after it moves.');
});

describe('heat turned while it steams', () => {
  const strong = { ...slab, heat: 'strong' as const, heatPhases: [] };
  const turn = (s: number, heat: 'gentle' | 'medium' | 'strong' | 'off'): Entry => [s, { kind: 'turned', heat }];
  const began: Entry = [100, { kind: 'begun', stepId: 'steam:cake' }];
  const phases = (...events: readonly Entry[]) => {
    const p = asCooked(strong, log(...events));
    return p.heatPhases.length === 0 ? [[p.heat, undefined]] : p.heatPhases.map((x) => [x.heat, x.timeS]);
  };
  test('each turn ends the phase before it; before the steaming it sets the first one', () => {
    expect(phases([0, { kind: 'turned', heat: 'medium' }], began)).toEqual([['medium', undefined]]);
    expect(phases(began, turn(700, 'gentle'))).toEqual([
      ['strong', 600],
      ['gentle', undefined],
    ]);
    expect(phases(began, turn(700, 'gentle'), turn(1300, 'strong'))).toEqual([
      ['strong', 600],
      ['gentle', 600],
      ['strong', undefined],
    ]);
  });
  test('turned to what is on already it is not turned', () => {
    expect(phases(began, turn(200, 'strong'))).toEqual([['strong', undefined]]);
    expect(phases(began, turn(700, 'gentle'), turn(800, 'gentle'))).toEqual([
      ['strong', 600],
      ['gentle', undefined],
    ]);
  });
  test('a dozen turns still fit, and their time adds up', () => {
    const turns = Array.from({ length: 12 }, (_, i) => turn(200 + 60 * i, i % 2 ? 'strong' : 'gentle'));
    const all = phases(began, ...turns);
    expect(all.length).toBeLessThanOrEqual(6);
    expect(all.reduce((a, [, s]) => a + Number(s ?? 0), 0)).toBe(100 + 60 * 11);
  });
  test('turned down half way it takes longer', () => {
    const check = (plan: typeof slab) => overWater(madeOf(plan).heat)?.times?.firstCleanPickS.value ?? 0;
    expect(check(asCooked(strong, log(began, turn(900, 'gentle'))))).toBeGreaterThan(check(strong) + 30);
  });
});

// What a step asks for must count: a figure that is read and moves nothing would be a form.
test.each(FAMILIES.map((f) => f.id))('%s: every reading that is asked for changes something after it', (id) => {
  const plan = formula(id);
  const made = madeOf(plan);
  for (const step of made.steps)
    for (const a of step.answers ?? []) {
      if (a.kind !== 'read') continue;
      const value = a.slot === 'tempC' ? 33.3 : a.expected === undefined || a.expected === 0 ? 2500 : a.expected * 0.8;
      const cooked = asCooked(plan, log([0, { kind: 'read', stepId: step.id, slot: a.slot, value }]));
      const light = lightOf(cooked);
      const after = composeForecast(light, a.slot === 'waterMl' ? forecastHeat(light, COARSE_GRID) : made.heat);
      const facts = (f: typeof made) =>
        JSON.stringify([
          f.evaluated.nodes.map((n) => [
            n.outs.map((s) => [...s.g, s.tempC]),
            Object.values(n.figures).map((x) => x.value),
            n.waitS,
          ]),
          f.light.fill.depthM,
          f.light.pour.startC,
          overWater(f.heat)?.water,
        ]);
      expect([step.id, a.slot, facts(after) !== facts(made)]).toEqual([step.id, a.slot, true]);
    }
});

describe('sauces as they were put together', () => {
  const f = lightOf(slab);
  const sauce = slab.accompaniments[0];
  const lines = (plan: typeof slab) =>
    new Map(lightOf(plan).flow.lines.flatMap((l) => (l.role === 'accompaniment' ? [[l.id, l.massG] as const] : [])));
  const was = new Map(f.flow.lines.flatMap((l) => (l.role === 'accompaniment' ? [[l.id, l.massG] as const] : [])));
  const [first, second] = sauce.lines.map((l) => l.id);
  const event = (line: string, e: { massG: number } | { byG: number }): Entry => [
    0,
    'massG' in e
      ? { kind: 'line-weighed', stepId: 'make:x', line, ofG: was.get(line), ...e }
      : { kind: 'line-changed', stepId: 'make:x', line, ofG: was.get(line), ...e },
  ];
  test('a line more or less in grams: the others keep theirs', () => {
    const now = lines(asCooked(slab, log(event(first, { byG: 12 }), event(second, { massG: 30 }))));
    expect(now.get(first)).toBeCloseTo((was.get(first) ?? 0) + 12, 6);
    expect(now.get(second)).toBeCloseTo(30, 6);
    for (const [id, g] of was) if (id !== first && id !== second) expect(now.get(id)).toBeCloseTo(g, 6);
  });
  test('weighed twice, by two devices that saw another list, the last weighing stands', () => {
    const grams = was.get(first) ?? 0;
    const twice = log(event(first, { massG: grams + 20 }), [
      1,
      { kind: 'line-weighed', stepId: 'make:x', line: first, massG: grams + 10, ofG: grams + 20 },
    ]);
    expect(lines(asCooked(slab, twice)).get(first)).toBeCloseTo(grams + 10, 6);
  });
  test.each(FAMILIES.filter((x) => formulaOf(x).accompaniments.length > 0).map((x) => [x.id, x] as const))(
    '%s: any line of any sauce',
    (_, family) => {
      const plan = formulaOf(family);
      for (const l of lightOf(plan).flow.lines.filter((x) => x.role === 'accompaniment' && x.massG > 0)) {
        const more = asCooked(
          plan,
          log([0, { kind: 'line-changed', stepId: 'make:x', line: l.id, byG: 5, ofG: l.massG }]),
        );
        const after = lightOf(more).flow.lines.find((x) => x.id === l.id && x.role === 'accompaniment');
        expect([l.id, after?.massG.toFixed(4)]).toEqual([l.id, (l.massG + 5).toFixed(4)]);
      }
    },
  );
});

describe('a step that is left out', () => {
  const skip = (stepId: string): Entry => [0, { kind: 'ticked', stepId, done: true, skipped: true }];
  const juice = (plan: typeof slab) => lightOf(plan).evaluated.byId.get('wilt:radish')?.figures.juiceG.value ?? NaN;
  test('draws no juice where it is the wilting, and the water is made up', () => {
    expect(juice(slab)).toBeGreaterThan(200);
    expect(juice(asCooked(slab, log(skip('wilt:radish'))))).toBeLessThan(1);
  });
  test('puts no water in where it is the topping up', () => {
    const water = (plan: typeof slab) => lightOf(plan).balance.batters[0].topUpG;
    expect(water(slab)).toBeGreaterThan(100);
    expect(lightOf(asCooked(slab, log(skip('top-up:batter')))).balance.batters[0].liquidToDry).toBeLessThan(
      lightOf(slab).balance.batters[0].liquidToDry - 0.3,
    );
  });
  test('comes back as planned when it is done after all; what is soaked is soaked some other way', () => {
    const plan = asCooked(slab, log(skip('wilt:radish'), [9, { kind: 'ticked', stepId: 'wilt:radish', done: false }]));
    expect(juice(plan)).toBeCloseTo(juice(slab), 6);
    expect(asCooked(slab, log(skip('soak:dried-mushroom')))).toBe(slab);
  });
});

test('a stage of cooling lasts as long as it did: the next begins from there', () => {
  const plan = {
    ...slab,
    cooling: [
      { where: 'counter' as const, timeS: 600 },
      { where: 'counter' as const, timeS: 900 },
    ],
  };
  const read = (stepId: string, value: number): Entry => [0, { kind: 'read', stepId, slot: 'waitedS', value }];
  const cooled = asCooked(plan, log(read('cool:counter', 1500), read('cool:counter-2', 60), read('cool:fridge', 1)));
  expect(cooled.cooling.map((s) => s.timeS)).toEqual([1500, 60]);
});
