import type { BatchEvent } from '../notebook';
import { FAMILIES, formulaOf } from '../../families';
import { timerOf } from '../../steps';
import { madeOf, formula } from '../../testing/made';
import { sayDuration } from '../../units';
import { cleanChance, expectedClean, SURE } from './chance';
import { courseOf } from './course';
import { leftByLook, priceOf } from './cutShort';
import { rebalanceWords } from './rebalance';
import { seasoningFor } from './seasoning';
import { asCooked } from './asCooked';
import type { Vessel } from '../../kitchen';
import { depthForVolume } from '../../model/vessel';
import { whichPan } from './whichPan';
import { endsMs, leftS, timersOf, waterDueS } from './timers';
import { at, log } from './testing/events';
import { overWater } from '../../stations/steam';

const slab = madeOf(formula('radish-slab'));
const timers = (f: typeof slab, nowS: number, ...events: readonly (readonly [number, BatchEvent])[]) => {
  const all = log(...events);
  return timersOf(f.steps, courseOf(f.steps, all, at(nowS), 300), all, f, at(nowS));
};
const begin = (stepId: string): BatchEvent => ({ kind: 'begun', stepId });
const tick = (stepId: string): BatchEvent => ({ kind: 'ticked', stepId, done: true });

test('waits that were begun ring at their end, named as a cook names them; one that was seen is gone', () => {
  const two = timers(slab, 60, [0, begin('soak:dried-mushroom')], [5, begin('wilt:radish')]);
  expect(two.map((t) => [t.name, leftS(t, at(60))])).toEqual([
    ['wilt the grated white radish', 5 + 720 - 60],
    ['soak the dried mushroom', 1500 - 60],
  ]);
  expect(timers(slab, 60, [0, begin('wilt:radish')], [50, tick('wilt:radish')])).toEqual([]);
});

test('a timer keeps its time through any clock of the device: it is a start and a length', () => {
  const [t] = timers(slab, 400, [0, { kind: 'timer-set', timer: 'a', name: 'rice', forS: 600 }]);
  expect(leftS(t, at(400))).toBe(200);
  // Rung unseen: how long ago. Begun by a clock ahead of this one: all of it is left, not more.
  expect(leftS(t, at(900))).toBe(-300);
  expect(leftS(t, at(-50))).toBe(600);
  expect(
    timers(
      slab,
      900,
      [0, { kind: 'timer-set', timer: 'a', name: 'rice', forS: 600 }],
      [700, { kind: 'timer-ended', timer: 'a' }],
    ),
  ).toEqual([]);
});

describe('water', () => {
  const long = madeOf({
    ...formula('sticky-sweet-cake'),
    steamer: {
      id: 's',
      name: 'Low pot',
      tiers: 1,
      innerDiameterM: 0.26,
      clearHeightM: 0.08,
      lid: 'tight',
      potDiameterM: 0.24,
      waterDepthM: 0.045,
    },
  });
  const due = (ml: number) => waterDueS(long, ml);
  test('is due by what was topped up: twice as much lasts until a proportion later', () => {
    const water = overWater(long.heat)?.water;
    expect(due(0)).toBe(water?.firstTopUpS);
    expect((due(100) ?? 0) - (due(0) ?? 0)).toBeCloseTo((60 * 100) / (water?.boilOffMlPerMin ?? 1), 6);
    expect(due(1e6)).toBeUndefined();
  });
  test('rings ahead of it, once for each, and only while the fire is on', () => {
    const began = [0, begin('steam:cake')] as const;
    const first = timers(long, 10, began).find((t) => t.kind === 'water');
    expect(endsMs(first!) - at(0)).toBeLessThan(1000 * (due(0) ?? 0));
    const next = timers(long, 3750, began, [3740, { kind: 'topped-up', massG: 100 }]).find((t) => t.kind === 'water');
    expect(next?.id).not.toBe(first?.id);
    expect(
      timers(long, 5000, began, [4990, { kind: 'checked', state: 'clean', afterS: 4990 }]).filter(
        (t) => t.kind === 'water',
      ),
    ).toEqual([]);
  });
});

test('a batter that settles is to be stirred as often as it settles, until it is poured', () => {
  const layers = madeOf(formula('rainbow-layers'));
  const everyS = layers.light.consistency[0].stirEveryS;
  const [stir] = timers(layers, 10, [0, tick('mix:batter')]);
  expect([stir.name, stir.forS]).toEqual(['stir the batter', everyS]);
  const [second] = timers(layers, everyS + 5, [0, tick('mix:batter')]);
  expect(endsMs(second)).toBeCloseTo(at(2 * everyS), -1);
  expect(
    timers(layers, 10, [0, tick('mix:batter')], [5, begin('layer:cake')]).filter((t) => t.kind === 'stir'),
  ).toEqual([]);
});

test('moments inside a step ring too: every pour of a layered cake', () => {
  const layers = madeOf(formula('rainbow-layers'));
  const rung = timers(layers, 1, [0, begin('layer:cake')]).filter((t) => t.kind === 'moment');
  expect(rung.map((t) => t.name)[0]).toMatch(/^Pour 2: pandan, 165 g/);
  expect(rung).toHaveLength(1);
  // The pour that has come stays, said how long ago, beside the next one; those before it do not crowd the edge.
  const later = timers(layers, 1200, [0, begin('layer:cake')]).filter((t) => t.kind === 'moment');
  expect(later).toHaveLength(2);
  expect(leftS(later[0], at(1200))).toBeLessThan(0);
  expect(leftS(later[1], at(1200))).toBeGreaterThan(0);
});

test.each([
  ['radish-slab', 'fry:filling', 'Fry', /^Tip them into a bowl/],
  ['radish-slab', 'sear:pieces', 'Sear', /^Load \d out|^Turn/],
])('%s: %s is timed by the minutes it says, with its moments', (family, _id, verb, last) => {
  const f = madeOf(formula(family));
  const step = f.steps.find((s) => s.verb === verb);
  expect(step?.timeline?.length).toBeGreaterThan(1);
  expect(step?.timeline?.at(-1)?.words).toMatch(last);
  expect(step?.timedS).toBeGreaterThan(step?.timeline?.at(-1)?.atS ?? Infinity);
  const [first] = timers(f, 1, [0, begin(step?.id ?? '')]).filter((t) => t.kind === 'moment');
  expect(first.name).toBe(step?.timeline?.find((m) => m.atS > 1)?.words);
});

test('every step that says how long it is stirred, fried, wilted or boiled is timed so long', () => {
  // "for 12 min": what the sentence says last of its own length is what the timer is set to.
  for (const family of FAMILIES) {
    for (const s of madeOf(formulaOf(family), undefined, false).steps) {
      const said =
        /^(?:Wilt|Soak|Boil|Let|Leave|Cool|Simmer|Fry)\b[^.;]*? for (?:about )?((?:\d+ h ?)?(?:\d+ min)?)(?=[ ,.;:])/.exec(
          s.sentence,
        );
      if (!said || s.verb === 'Fry') continue;
      expect([family.id, s.id, sayDuration(timerOf(s))]).toEqual([family.id, s.id, said[1].trim()]);
    }
  }
});

describe('the chance that it is clean', () => {
  const expected = expectedClean(slab)!;
  test('is half at the median, grows, and is sure enough where it says', () => {
    const chance = (s: number) => cleanChance(expected, [], s).chance;
    expect(chance(expected.medianS)).toBeCloseTo(0.5, 6);
    const at30 = Array.from({ length: 30 }, (_, i) => chance(300 * i));
    expect(at30).toEqual([...at30].sort((a, b) => a - b));
    expect(chance(cleanChance(expected, [], 0).sureAtS)).toBeCloseTo(SURE, 5);
  });
  test('a sticky pick takes away what lay before it; there is none at that second and the rest adds to one', () => {
    const sticky = [{ afterS: expected.medianS, state: 'sticky' as const }];
    expect(cleanChance(expected, sticky, expected.medianS).chance).toBe(0);
    expect(cleanChance(expected, sticky, 20 * expected.medianS).chance).toBeCloseTo(1, 6);
    expect(cleanChance(expected, sticky, 0).sureAtS).toBeGreaterThan(cleanChance(expected, [], 0).sureAtS);
  });
  test('words', () => {
    expect(cleanChance(expected, [], expected.medianS).sentence).toMatch(
      /^50 % chance that it is clean now; sure enough at .*, \d+ min more\.$/,
    );
    expect(cleanChance(expected, [], 1).sentence).toMatch(/^It cannot be clean yet; sure enough at .*min\.$/);
  });
});

describe('before a wait is cut short', () => {
  const step = (id: string) => slab.steps.find((s) => s.id === id)!;
  test('its price: what is left, and what it gives', () => {
    expect(priceOf(slab, step('wilt:radish'), 100)).toMatch(/^10 min of 12 min are left\. .*juice/);
    expect(priceOf(slab, step('stand:cake'), 10)).toMatch(/it tears/);
    expect(priceOf(slab, step('steam:cake'), 600, 0.02)).toMatch(/2 % chance that it is clean/);
  });
  test('of a cooling that is cut short: how warm the middle is, and when it passes the next mark here', () => {
    expect(priceOf(slab, slab.steps.filter((s) => s.verb === 'Cool').at(0)!, 30)).toMatch(
      /are left\. The middle is at about \d+ °C/,
    );
  });
  test('nothing is said near its end', () => expect(priceOf(slab, step('wilt:radish'), 700)).toBeUndefined());
  test('a ferment by its look: half way at 40 min has 40 to go; doubled has none', () => {
    expect(leftByLook(2400, 0.5)).toBe(2400);
    expect(leftByLook(2400, 1)).toBe(0);
  });
});

describe('a depth by ruler', () => {
  const { vessel } = slab.light.resolved;
  const { depthM, volumeEachMl } = slab.light.fill;
  const smaller: Vessel = {
    ...(vessel as Extract<Vessel, { shape: 'round' }>),
    id: 'small',
    name: 'Round tin, small',
    diameterM: 0.15,
  };
  test('near the one reckoned with says nothing of the pan', () =>
    expect(whichPan(slab, depthM * 1.08, [vessel, smaller])).toBeUndefined());
  test('of another pan of the rack names it; of none asks for the pan, level, all of it', () => {
    const there = depthForVolume(smaller, volumeEachMl);
    expect(whichPan(slab, there * 1.02, [vessel, smaller])).toMatch(/so deep it stands in the round tin \(small\)/);
    expect(whichPan(slab, depthM * 0.5, [vessel, smaller])).toMatch(
      /was reckoned: is it the .*, level, and all of the batter\?/,
    );
  });
});

describe('taste and over-pours', () => {
  test('flat: the grams said do bring it to what is said', () => {
    const s = seasoningFor(slab.light, 'flat', 'mix:batter');
    const to = Number(/to ([\d.]+) %/.exec(s.sentence)?.[1]);
    const after = madeOf(
      asCooked(
        slab.light.resolved.document,
        log([0, { kind: 'line-changed', stepId: 'mix:batter', line: s.add[0].line, byG: s.add[0].massG }]),
      ),
      undefined,
      false,
    );
    expect(after.light.balance.salt.pctOfTotal).toBeCloseTo(to, 1);
    expect(after.light.balance.salt.pctOfTotal).toBeGreaterThan(slab.light.balance.salt.pctOfTotal);
  });
  test('salty: more of the plain batter; once it is poured, the sauce', () => {
    expect(seasoningFor(slab.light, 'salty', 'mix:batter').sentence).toMatch(
      /^Salty at .*rice flour.* of water more bring it to/,
    );
    expect(seasoningFor(slab.light, 'salty', 'serve:plate').add).toEqual([]);
  });
  test('of two bowls the one that was tasted is salted, by its own salt', () => {
    const two = madeOf(formula('two-tone-layers'), undefined, false).light;
    const bowls = two.resolved.document.batters.map((b) => seasoningFor(two, 'flat', `mix:${b.id}`));
    expect(new Set(bowls.map((b) => b.add[0].line)).size).toBe(2);
    bowls.forEach((b, i) =>
      expect(b.add[0].line).toBe(
        two.flow.lines.filter((l) => l.kind === 'salt' && l.group === two.resolved.document.batters[i].id)[0].id,
      ),
    );
    const after = madeOf(
      asCooked(
        two.resolved.document,
        log([0, { kind: 'line-changed', stepId: 'x', line: bowls[1].add[0].line, byG: bowls[1].add[0].massG }]),
      ),
      undefined,
      false,
    ).light;
    expect(after.balance.batters[1].saltPct).toBeCloseTo(Number(/to ([\d.]+) %/.exec(bowls[1].sentence)?.[1]), 1);
    expect(after.balance.batters[0].saltPct).toBeCloseTo(two.balance.batters[0].saltPct, 6);
  });
  test('a sauce that tastes flat gets more of what salts it, one that is salty water', () => {
    const sauce = slab.light.resolved.document.accompaniments[0].id;
    const flat = seasoningFor(slab.light, 'flat', `make:${sauce}`);
    expect(flat.sentence).toMatch(/^Flat: \d+ g more of the light soy sauce, then taste again\.$/);
    const salt = (l: typeof slab.light) =>
      l.flow.lines.filter((x) => x.group === sauce).reduce((a, x) => a + x.massG * x.perGram[6], 0);
    const { line, massG, ofG } = flat.add[0];
    const after = madeOf(
      asCooked(slab.light.resolved.document, log([0, { kind: 'line-changed', stepId: 'x', line, byG: massG, ofG }])),
      undefined,
      false,
    ).light;
    expect(salt(after) / salt(slab.light)).toBeCloseTo(1.15, 2);
    expect(seasoningFor(slab.light, 'salty', `make:${sauce}`).sentence).toMatch(/of water thins it by 15 %/);
  });
  test('flour poured over: the water said keeps liquid : dry', () => {
    const plan = { ...formula('rainbow-layers') };
    const before = madeOf(plan, undefined, false);
    const over = (line: string, byG: number) =>
      madeOf(asCooked(plan, log([0, { kind: 'line-changed', stepId: 'weigh:plan', line, byG }])), undefined, false);
    const after = over('tapioca', 30);
    const words = rebalanceWords(before.light, after.light, 'tapioca');
    const water = Number(/(\d+) g more water/.exec(words)?.[1]);
    const dry = before.light.balance.batters[0].dryBlendG + 30;
    expect((before.light.balance.batters[0].liquidG + water) / dry).toBeCloseTo(
      before.light.balance.batters[0].liquidToDry,
      1,
    );
    expect(rebalanceWords(before.light, over('tapioca', 0.6).light, 'tapioca')).toBe('');
    expect(rebalanceWords(before.light, over('fine-salt', 1).light, 'fine-salt')).toMatch(
      /1 g over: take it out again/,
    );
  });
});
