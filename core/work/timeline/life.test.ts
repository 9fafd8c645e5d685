import { operationOf } from '../../flow';
import fc from 'fast-check';
import { FAMILIES, formulaOf } from '../../families';
import { forecast, type Forecast } from '../../forecast';
import { emptyKitchen } from '../../kitchen';
import { COARSE_GRID } from '../../model/steam';
import { scalePlan } from '../../plan';
import { timerOf, type Step } from '../../steps';
import { sayDuration, there } from '../../units';
import { runs } from '../../testing/runs';
import { cakeAt, foldScale, isBeside, lastsS, layOut, lifeOf, momentOf, STATIONS } from '.';
import { overWater, pourSteam, stackIn } from '../../stations/steam';

const made = (id: string): Forecast => {
  const f = FAMILIES.find((x) => x.id === id);
  const r = f && forecast(formulaOf(f), emptyKitchen(), COARSE_GRID);
  if (!r?.ok) throw new Error(`no forecast of ${id}`);
  return r.value;
};
const step = (id: string, handsOnS: number, waitS: number, after: readonly string[] = []): Step => ({
  id,
  op: operationOf(id),
  station: 'mix',
  verb: 'Do',
  sentence: 'Do it.',
  amounts: [],
  handsOnS,
  waitS,
  resources: [],
  cautions: [],
  after,
});

describe('one clock for life line, timer, sentence and heat', () => {
  const agrees = (f: Forecast): void => {
    const t = overWater(f.heat)?.times;
    if (!t || pourSteam(f.heat)?.pressure) return;
    const of = (...ops: readonly Step['op'][]) => f.steps.filter((s) => ops.includes(s.op));
    const cooking = there(of('steam', 'layer', 'fill')[0]);
    if (cooking.op === 'fill') {
      expect(lastsS(cooking)).toBe(timerOf(cooking));
      return;
    }
    const [check, stand] = [of('check')[0], of('stand')[0]];
    // Putting it in comes before its clock; layers are poured within it.
    expect(lastsS(cooking) - (cooking.op === 'steam' ? cooking.handsOnS : 0)).toBe(timerOf(cooking));
    expect(Math.abs(timerOf(cooking) - t.checkAtS)).toBeLessThanOrEqual(1);
    expect(lastsS(there(check))).toBe(timerOf(there(check)));
    expect(
      Math.abs(timerOf(cooking) + timerOf(there(check)) - Math.max(t.planForS, t.checkAtS + 30)),
    ).toBeLessThanOrEqual(2);
    if (stand) expect(lastsS(stand)).toBe(Math.max(15, Math.round(t.standS)));
    if (cooking.op === 'steam') expect(cooking.sentence).toContain(sayDuration(t.planForS));
  };
  test.each(FAMILIES.map((f) => f.id))('%s', (id) => agrees(made(id)));
  test('three hundred plans of all sizes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FAMILIES),
        fc.double({ min: 0.3, max: 2.5, noNaN: true }),
        fc.constantFrom('gentle' as const, 'medium' as const, 'strong' as const),
        (family, by, firstHeat) => {
          const plan = { ...scalePlan(formulaOf(family), by), firstHeat };
          const r = forecast(plan, emptyKitchen(), COARSE_GRID);
          if (r.ok) agrees(r.value);
        },
      ),
      { numRuns: runs(300) },
    );
  });
});

describe('steps on one clock', () => {
  test('by hand: a soak runs while the radish is grated, the frying waits for it', () => {
    const laid = layOut([
      step('soak:a', 60, 1500),
      step('grate:b', 300, 0),
      step('wilt:b', 60, 600, ['grate:b']),
      step('fry:a', 240, 0, ['soak:a']),
      step('fold:x', 120, 0, ['wilt:b', 'fry:a']),
    ]);
    expect(laid.map((l) => l.fromS)).toEqual([0, 60, 360, 1560, 1800]);
    expect(laid.map((l) => l.toS)).toEqual([1560, 360, 1020, 1800, 1920]);
  });
  test('hands that work inside a time do not lengthen it', () => {
    expect(lastsS({ handsOnS: 288, waitS: 432, timedS: 720 })).toBe(720);
    expect(lastsS({ handsOnS: 60, waitS: 30 })).toBe(90);
  });
  test('whatever is to be done: nothing begins before what it needs is done, and there is one pair of hands', () => {
    const work = fc
      .array(fc.record({ hands: fc.nat(900), wait: fc.nat(9000), needs: fc.array(fc.nat(20), { maxLength: 3 }) }), {
        minLength: 1,
        maxLength: 14,
      })
      .map((list) =>
        list.map((x, i) =>
          step(
            `s:${i}`,
            x.hands,
            x.wait,
            x.needs.filter((n) => n < i).map((n) => `s:${n}`),
          ),
        ),
      );
    fc.assert(
      fc.property(work, (steps) => {
        const laid = layOut(steps);
        const end = new Map(laid.map((l) => [l.step.id, l.toS]));
        for (const l of laid) for (const id of l.step.after) expect(l.fromS).toBeGreaterThanOrEqual(end.get(id) ?? 0);
        const hands = laid.filter((l) => l.handsToS > l.fromS).sort((a, b) => a.fromS - b.fromS);
        for (let i = 1; i < hands.length; i++) expect(hands[i].fromS).toBeGreaterThanOrEqual(hands[i - 1].handsToS);
      }),
      { numRuns: runs(200) },
    );
  });
});

describe.each(FAMILIES.map((f) => [f.id] as const))('the life of a %s', (id) => {
  const f = made(id);
  const life = lifeOf(f);
  test('its stations follow one another from the first step to the plate, without a gap', () => {
    expect(life.segments.map((s) => s.station).sort()).toEqual([...STATIONS].sort());
    expect(life.segments[0].fromS).toBe(0);
    expect(life.segments.at(-1)?.toS).toBe(life.spanS);
    for (let i = 1; i < life.segments.length; i++) expect(life.segments[i].fromS).toBe(life.segments[i - 1].toS);
  });
  test('each step of the cake begins in the stretch of its station, and where it is cooked there is a step to tell', () => {
    for (const l of life.laid) {
      const seg = life.segments.find((s) => s.station === l.step.station);
      if (isBeside(l.step) || !seg) continue;
      expect([l.step.id, l.fromS >= seg.fromS && l.fromS <= seg.toS]).toEqual([l.step.id, true]);
    }
    expect(life.laid.some((l) => l.step.station === 'steam')).toBe(true);
  });
  test('hands and waits cover the clock, and the hands are those of the steps', () => {
    let at = 0;
    for (const s of life.stretches) {
      expect(s.fromS).toBe(at);
      expect(s.toS).toBeGreaterThan(s.fromS);
      at = s.toS;
    }
    expect(at).toBe(life.spanS);
    const hands = life.stretches.filter((s) => s.is === 'hands').reduce((a, s) => a + s.toS - s.fromS, 0);
    expect(hands).toBeCloseTo(f.totals.handsOnS, 6);
  });
  test('on the ribbon time never runs back, comes back as it went, and every station can be read', () => {
    const scale = foldScale(life);
    let last = 0;
    for (let i = 0; i <= 400; i++) {
      const x = scale.toX((life.spanS * i) / 400);
      expect(x).toBeGreaterThanOrEqual(last - 1e-12);
      expect(x).toBeLessThanOrEqual(1 + 1e-12);
      last = x;
    }
    expect([scale.toX(0), scale.toX(life.spanS)].map((x) => Math.round(x * 1e9) / 1e9)).toEqual([0, 1]);
    for (const seg of life.segments)
      for (const u of [0.1, 0.5, 0.9]) {
        const s = seg.fromS + u * (seg.toS - seg.fromS);
        if (seg.toS > seg.fromS) expect(scale.toS(scale.toX(s))).toBeCloseTo(s, 3);
      }
    for (const [from, to] of scale.bounds) expect(to - from).toBeGreaterThan(0.08);
  });
  test('it ends on the plate; opening a station shows a moment of it', () => {
    expect(cakeAt(life, f, life.spanS)?.is).toBe('plate');
    for (const s of life.segments) {
      const at = momentOf(life, s.station);
      expect(at).toBeGreaterThanOrEqual(0);
      expect(at).toBeLessThanOrEqual(life.spanS);
      expect(cakeAt(life, f, at)).toBeDefined();
      if (s.toS > s.fromS) expect([s.station, at >= s.fromS && at <= s.toS]).toEqual([s.station, true]);
    }
  });
  test('what a station shows when it is opened is what is done there', () => {
    const shown: Readonly<Record<string, readonly string[]>> = {
      mix: ['mix', 'bowl'],
      vessel: ['pour', 'mix', 'bowl'],
      steam: ['steam', 'loads', 'film', 'pot'],
      rest: ['cool'],
      cut: ['cut'],
      sear: ['sear'],
      serve: ['plate', 'roll'],
    };
    for (const s of life.segments) {
      const own = life.laid.some((l) => l.step.station === s.station && !isBeside(l.step));
      const is = cakeAt(life, f, momentOf(life, s.station))?.is ?? 'nothing';
      if (own && s.toS > s.fromS) expect([s.station, is, shown[s.station].includes(is)]).toEqual([s.station, is, true]);
    }
  });
});

test('the marks of a slab: check, clean, plan in their order, each where the steam’s own clock says', () => {
  const f = made('radish-slab');
  const life = lifeOf(f);
  const at = (kind: string) => life.marks.find((m) => m.kind === kind)?.atS ?? NaN;
  const times = overWater(f.heat)?.times;
  if (!times) throw new Error('not steamed');
  expect(at('plan') - at('check')).toBeCloseTo(times.planForS - times.checkAtS, 6);
  expect(at('late') - at('check')).toBeCloseTo(times.noLaterThanS - times.checkAtS, 6);
  const state = cakeAt(life, f, at('check'));
  expect(state).toMatchObject({ is: 'steam' });
  expect((state as { timeS: number }).timeS).toBeCloseTo(times.checkAtS, 6);
  // The fridge and the ice are longer than anybody watches: folded, and the longest first pass of them.
  expect(foldScale(life).folds.length).toBeGreaterThanOrEqual(2);
});
test('a stack has a mark for every pour but the first; cooling says when it is cold, and whether in time', () => {
  const f = made('rainbow-layers');
  const life = lifeOf(f);
  const pours = life.marks.filter((m) => m.kind === 'pour');
  expect(pours).toHaveLength((stackIn(f.heat)?.pours.length ?? 0) - 1);
  expect(life.marks.some((m) => m.kind === (f.heat?.rest?.check.safe ? 'safe' : 'unsafe'))).toBe(true);
  const third = pours[1];
  const state = cakeAt(life, f, third.atS);
  expect((state as { timeS: number }).timeS).toBeCloseTo(stackIn(f.heat)?.pours[2].atS ?? NaN, 6);
});
test('a batter that rests is in its bowl, and so far on its way', () => {
  const f = made('dimpled-cups');
  const life = lifeOf(f);
  const rest = life.laid.find((l) => l.step.id === 'rest:batter');
  if (!rest) throw new Error('no rest');
  const half = cakeAt(life, f, (rest.handsToS + rest.toS) / 2);
  // What is made beside it meanwhile does not take its place.
  expect(half).toMatchObject({ is: 'bowl', step: { step: { id: 'rest:batter' } } });
  expect((half as { way: number }).way).toBeCloseTo(0.5, 6);
});
