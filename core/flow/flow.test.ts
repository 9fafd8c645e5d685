import { runs } from '../testing/runs';
import fc from 'fast-check';
import { emptyKitchen } from '../kitchen';
import { planSchema, type Plan, type Readings } from '../plan';
import { flowEnv, flowOf, forecastLight } from '../forecast';
import { familyBy, formula, lightOf, resolvedIn } from '../testing/made';
import { evaluate, flowBuilder, flowLines, FlowError, type Evaluation, type Flow } from '.';
import { randomPlan } from './testing/randomPlan';

const built = (plan: Plan): Flow => flowOf(resolvedIn(plan), familyBy(plan.family));
const run = (plan: Plan, readings: Readings = plan.readings): Evaluation =>
  evaluate(built(plan), flowEnv(resolvedIn(plan)), readings, plan.waits);

const tiny = planSchema.parse({
  format: 'idle-ladle/plan',
  version: 2,
  name: 'Tiny',
  family: 'radish-slab',
  batters: [
    {
      id: 'b',
      name: 'B',
      lines: [
        { ingredient: 'rice-flour-fine', massG: 100 },
        { ingredient: 'water', massG: 200 },
      ],
    },
  ],
});

describe('a builder', () => {
  const start = () => flowBuilder(flowLines(resolvedIn(tiny), undefined));
  const rest = { resources: ['hands'] } as const;
  test('refuses to end with a line that no operation takes, and names it', () => {
    const b = start();
    const [h] = b.node('mix', 'b', { firstShare: 1, bowl: 'none', bowlG: 0 }, [b.take('water')], ['x'], rest);
    b.node('serve', 'plate', {}, [h], [], rest);
    expect(() => b.end()).toThrow(FlowError);
    expect(() => b.end()).toThrow(/no operation takes "rice-flour-fine"/);
  });
  test('refuses to end with a stream left over', () => {
    const b = start();
    b.node(
      'mix',
      'b',
      { firstShare: 1, bowl: 'none', bowlG: 0 },
      [b.take('water'), b.take('rice-flour-fine')],
      ['slurry'],
      rest,
    );
    expect(() => b.end()).toThrow(/left over: "slurry" of mix:b/);
  });
  test('a line cannot be taken twice, nor a stream used twice, nor two operations share a name', () => {
    const b = start();
    const whole = b.take('water');
    expect(() => b.take('water', 0.1)).toThrow(/more than once/);
    const [h] = b.node('mix', 'b', { firstShare: 1, bowl: 'none', bowlG: 0 }, [whole], ['x'], rest);
    b.node('sieve', 'b', {}, [h], ['y'], rest);
    expect(() => b.node('rest', 'b', { leastS: 0, usualS: 0, mostS: 0 }, [h], ['z'], rest)).toThrow(/not there/);
    expect(() => b.node('sieve', 'b', {}, [], [], rest)).toThrow(/two operations/);
    expect(() => b.take('gold')).toThrow(/no line "gold"/);
  });
  test('shares of a line add to one: a third and the rest are taken whole', () => {
    const b = start();
    const third = b.take('water', 1 / 3);
    const other = b.take('water', 'rest');
    expect(third.share + other.share).toBeCloseTo(1, 12);
    expect(b.has('water')).toBe(false);
  });
});

describe('the account of a batch', () => {
  const closes = (e: Evaluation) => {
    const { inG, servedG, drawnG, pouredOffG, boiledAwayG, leftG } = e.account;
    expect(Math.abs(inG - (servedG + drawnG + pouredOffG + boiledAwayG + leftG))).toBeLessThan(1e-9 * Math.max(1, inG));
  };
  test('closes to 1e-9 for plans over all families, schools, treatments and readings, with nothing negative', () => {
    fc.assert(
      fc.property(
        randomPlan,
        fc.array(fc.double({ min: 0, max: 2000, noNaN: true }), { minLength: 7, maxLength: 7 }),
        (plan, numbers) => {
          const flow = built(plan);
          const readings: Readings = {};
          let at = 0;
          for (const n of flow.nodes)
            for (const slot of ['juiceG', 'uptakeG', 'waterG', 'tempC', 'pouredG', 'yieldG', 'leftG', 'waitedS']) {
              const x = numbers[at++ % numbers.length];
              if (x > 1200) readings[n.id] = { ...readings[n.id], [slot]: x - 1200 };
            }
          const e = evaluate(flow, flowEnv(resolvedIn(plan)), readings, plan.waits);
          closes(e);
          const low = Math.min(0, ...e.streams.map((s) => s.g.reduce((a, x) => Math.min(a, x), 0)));
          expect(low).toBeGreaterThanOrEqual(-1e-9);
          expect(e.streams.every((s) => Number.isFinite(s.tempC))).toBe(true);
          expect(e.streams.every((s) => [...s.set, ...s.swelling].every((w) => w >= 0 && w <= 1 + 1e-12))).toBe(true);
          expect(e.nodes.every((n) => n.handsS >= 0 && n.waitS >= 0)).toBe(true);
          const figures = e.nodes.flatMap((n) => Object.values(n.figures).filter((f) => f !== undefined));
          expect(figures.filter((f) => !(Number.isFinite(f.value) && f.value >= -1e-9))).toEqual([]);
        },
      ),
      { numRuns: runs(600) },
    );
  });
  test('every gram of every line enters exactly one operation or several by shares that add to one', () => {
    fc.assert(
      fc.property(randomPlan, (plan) => {
        const flow = built(plan);
        const taken = new Float64Array(flow.lines.length);
        for (const n of flow.nodes) for (const t of n.takes) taken[t.line] += t.share;
        flow.lines.forEach((l, i) => {
          if (l.role !== 'source' && l.massG > 0) expect(taken[i]).toBeCloseTo(1, 9);
          if (l.role === 'source') expect(taken[i]).toBe(0);
        });
      }),
      { numRuns: runs(300) },
    );
  });
  test('no reading changes the shape: ids, takes and streams stay', () => {
    fc.assert(
      fc.property(randomPlan, fc.double({ min: 0, max: 900, noNaN: true }), (plan, x) => {
        const before = lightOf(plan);
        const readings = Object.fromEntries(
          before.flow.nodes.map((n) => [n.id, { juiceG: x, tempC: x / 10, waterG: x }]),
        );
        const after = lightOf({ ...plan, readings });
        expect(after.flow.nodes.map((n) => [n.id, n.takes, n.ins])).toEqual(
          before.flow.nodes.map((n) => [n.id, n.takes, n.ins]),
        );
      }),
      { numRuns: 60 },
    );
  });
  test('ids name an operation and a line or batter, never a place in a list', () => {
    for (const n of built(formula('radish-slab')).nodes) expect(n.id).toMatch(/^[a-z-]+:[a-z][a-z0-9-]*$/);
    const swapped = formula('radish-slab');
    const other = { ...swapped, addIns: [...swapped.addIns].reverse() };
    expect(new Set(built(other).nodes.map((n) => n.id))).toEqual(new Set(built(swapped).nodes.map((n) => n.id)));
  });
  test('scaling scales every mass of the account and leaves the ratios', () => {
    const plan = formula('taro-slab');
    const [one, two] = [
      run(plan),
      run({
        ...plan,
        batters: plan.batters.map((b) => ({
          ...b,
          wantedLiquidG: 2 * (b.wantedLiquidG ?? 0),
          lines: b.lines.map((l) => ({ ...l, massG: 2 * l.massG })),
        })),
        addIns: plan.addIns.map((l) => ({ ...l, massG: 2 * l.massG })),
      }),
    ];
    const cake = (e: Evaluation) => e.account.leftG;
    expect(cake(two)).toBeCloseTo(2 * cake(one), 6);
  });
});

test('a document whose lines cannot be brought together is a problem for the cook, not a crash', () => {
  const plan = formula('radish-slab');
  const twice = { ...plan, addIns: plan.addIns.map((l) => ({ ...l, id: 'same' })) };
  expect(forecastLight(twice, emptyKitchen())).toMatchObject({ ok: false, problems: [{ code: 'cannot-build' }] });
});

describe('readings', () => {
  const radish = formula('radish-slab');
  test('a weighed juice replaces the estimate and moves the top-up behind it; the estimate carries its spread', () => {
    const free = run(radish);
    const weighed = run(radish, { 'wilt:radish': { juiceG: 310 } });
    expect(free.byId.get('wilt:radish')?.figures.juiceG).toMatchObject({ source: 'default' });
    expect(free.byId.get('wilt:radish')?.figures.juiceG.sd).toBeGreaterThan(20);
    expect(weighed.byId.get('wilt:radish')?.figures.juiceG).toMatchObject({ value: 310, source: 'measured' });
    expect(weighed.byId.get('top-up:batter')?.figures.waterG.value).toBeCloseTo(240, 6);
  });
  test('one out of range is refused with the range, and the estimate stands', () => {
    const e = run(radish, { 'wilt:radish': { juiceG: 9000 } });
    expect(e.problems[0]).toMatchObject({ code: 'reading-out-of-range', path: 'readings.wilt:radish.juiceG' });
    expect(e.problems[0].sentence).toMatch(/9000 g cannot be: here it lies between 0 g and 10\d\d g/);
    expect(e.byId.get('wilt:radish')?.figures.juiceG.source).toBe('default');
  });
  test('one of a node that is not there is kept and passed over', () => {
    const plan = { ...radish, readings: { 'squeeze:radish': { juiceG: 400 } } };
    expect(lightOf(plan).problems).toEqual([]);
    expect(lightOf(plan).resolved.plan.readings).toEqual(plan.readings);
  });
  test('what was left in the bowl is not served; a wait that was longer drifts further', () => {
    const left = run(radish, { 'pour:cake': { leftG: 100 } });
    expect(left.account.leftG).toBeCloseTo(100, 6);
    const cups = formula('dimpled-cups');
    const [short, long] = [run(cups), run(cups, { 'rest:batter': { waitedS: 4 * 3600 } })].map(
      (e) => e.byId.get('rest:batter')?.outs[0].tempC ?? NaN,
    );
    expect(long).toBeLessThan(short - 5);
  });
});
