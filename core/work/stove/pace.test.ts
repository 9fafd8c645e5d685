import { FAMILIES, formulaOf } from '../../families';
import { madeOf, formula } from '../../testing/made';
import { cleanChance, expectedClean } from './chance';
import { courseOf } from './course';
import { asItGoes, atPace, byTouch, isOver, steamedInLoad } from './pace';
import { at, log, type Entry } from './testing/events';
import { timersOf, leftS } from './timers';
import { overWater, loadsIn } from '../../stations/steam';

const layers = madeOf(formula('rainbow-layers'));
const layer = layers.steps.find((s) => s.verb === 'Layer')!;
const pours = (layer.timeline ?? []).filter((m) => m.turn?.is === 'pour').map((m) => m.atS);
const begun: Entry = [0, { kind: 'begun', stepId: layer.id }];
const said = (s: number, words: string): Entry => [s, { kind: 'said', stepId: layer.id, words }];
const poursWith = (...events: readonly Entry[]) =>
  asItGoes(layer, log(begun, ...events), at(0))
    .filter((m) => m.turn?.is === 'pour')
    .map((m) => m.atS);

describe('layers by touch', () => {
  test('nothing said: as forecast', () => expect(poursWith()).toEqual(pours));
  test('tacky later than forecast moves that pour there and those after it as much; those before stay', () => {
    const moved = poursWith(said(pours[2] + 70, 'tacky'));
    expect(moved.slice(0, 2)).toEqual(pours.slice(0, 2));
    moved.slice(2).forEach((t, i) => expect(t).toBeCloseTo(pours[i + 2] + 70, 2));
  });
  test('a pour that nobody spoke of does not shift the count: what is said belongs to the nearest', () => {
    const moved = poursWith(said(pours[4] - 20, 'tacky'));
    expect(moved.slice(1, 4)).toEqual(pours.slice(1, 4));
    expect(moved[5]).toBeCloseTo(pours[5] - 20, 2);
  });
  test('wet gives it a minute more; tacky then is that same pour', () => {
    const wet = poursWith(said(pours[1], 'wet'));
    expect(wet[1]).toBeCloseTo(pours[1] + 60, 2);
    const then = poursWith(said(pours[1], 'wet'), said(pours[1] + 45, 'tacky'));
    expect(then[1]).toBeCloseTo(pours[1] + 45, 2);
    expect(then[2]).toBeCloseTo(pours[2] + 45, 2);
  });
  test('a pour is over once it is said to be on, or when it has come and nobody says anything for long', () => {
    const at1 = asItGoes(layer, log(begun, said(pours[1], 'tacky')), at(0)).filter((m) => m.turn?.is === 'pour');
    expect(at1.slice(0, 3).map((m) => isOver(m, pours[1] + 1))).toEqual([true, true, false]);
    const silent = asItGoes(layer, log(begun), at(0)).filter((m) => m.turn?.is === 'pour');
    expect([1, 100].map((s) => isOver(silent[1], pours[1] + s))).toEqual([false, true]);
  });
  test('a pour that is on rings no more', () => {
    const names = (...events: readonly Entry[]) => {
      const all = log(begun, ...events);
      const steps = byTouch([layer], all);
      return timersOf(steps, courseOf(steps, all, at(pours[1] + 30), 0), all, layers, at(pours[1] + 30))
        .filter((t) => t.kind === 'moment')
        .map((t) => t.name.slice(0, 6));
    };
    expect(names()).toEqual(['Pour 2', 'Pour 3']);
    expect(names(said(pours[1] + 20, 'tacky'))).toEqual(['Pour 3']);
  });
  test('the check comes as much later as the pours, and water by the clock', () => {
    const events = log(begun, said(pours[1] + 90, 'tacky'));
    const [paced] = byTouch([layer], events);
    expect(paced.waitS).toBe(layer.waitS + 90);
    const water = (s: typeof layer) => (s.timeline ?? []).filter((m) => !m.turn).map((m) => m.atS);
    expect(water(paced)).toEqual(water(layer));
    const course = courseOf([paced], events, at(pours[1] + 95), 0);
    const check = timersOf([paced], course, events, layers, at(pours[1] + 95)).find((t) => t.kind === 'check');
    expect(check && leftS(check, at(0))).toBeCloseTo(layer.waitS + 90, 2);
  });
  test('of a stack only the last layer is not known: surer than of a cake poured at once, and later as it was poured later', () => {
    const expected = expectedClean(layers)!;
    const clean = overWater(layers.heat)?.times?.firstCleanPickS.value ?? 0;
    expect(expected.medianS).toBeCloseTo(clean, 2);
    const sure = cleanChance(expected, [], 0).sureAtS - clean;
    // What is not known is not known of the last layer's own time, not of the whole.
    expect(sure).toBeLessThan(0.8 * (clean - (pours.at(-1) ?? 0)));
    const [paced] = byTouch([layer], log(begun, said(pours[1] + 90, 'tacky')));
    expect(expectedClean(layers, [paced])?.medianS).toBeCloseTo(clean + 90, 2);
  });
});

describe('loads in turn', () => {
  const sheets = madeOf(formula('filled-rolls'));
  const fill = sheets.steps.find((s) => s.id.startsWith('fill:'))!;
  const outs = (s: typeof fill) => (s.timeline ?? []).filter((m) => m.turn?.is === 'out').map((m) => m.atS);
  test('each load has its own second to come out, and the last is the end of the step', () => {
    expect(outs(fill)).toHaveLength(loadsIn(sheets.heat)?.loads ?? 0);
    const planS = overWater(sheets.heat)?.times?.planForS ?? 0;
    const ins = (fill.timeline ?? []).filter((m) => m.turn?.is === 'in').map((m) => m.atS);
    ins.forEach((t, i) => expect(outs(fill)[i] - t).toBeGreaterThan(0.9 * planS));
    expect(fill.timedS).toBeGreaterThanOrEqual(Math.floor(outs(fill).at(-1) ?? Infinity));
  });
  test('a sheet that is clean later puts those after it off; not clean, it is looked at again in 20 s', () => {
    const first = outs(fill)[0];
    const pick = (s: number, state: 'clean' | 'sticky'): Entry => [s, { kind: 'checked', state, afterS: s }];
    const start: Entry = [0, { kind: 'begun', stepId: fill.id }];
    const late = asItGoes(fill, log(start, pick(first, 'sticky'), pick(first + 15, 'clean')), at(0));
    expect(late.filter((m) => m.turn?.is === 'out').map((m) => Math.round(m.atS))).toEqual(
      outs(fill).map((t) => Math.round(t + 15)),
    );
  });
  test('the minutes of a load are its own, not since the first went in', () => {
    const ins = (fill.timeline ?? []).filter((m) => m.turn?.is === 'in').map((m) => m.atS);
    expect(steamedInLoad(fill, ins[2] + 40)).toBeCloseTo(40, 2);
  });
});

describe('a cake that takes longer than forecast', () => {
  const slab = madeOf(formula('radish-slab'));
  const steam = slab.steps.find((s) => s.id === 'steam:cake')!;
  test('is waited for longer, and the sentence says the same minutes as the timer', () => {
    const [paced] = atPace([steam], slab, 1.4);
    expect(paced.waitS).toBe(Math.round(1.4 * steam.waitS));
    const minutes = Number(/Check at (\d+) min/.exec(paced.sentence)?.[1]);
    expect(Math.abs(minutes - paced.waitS / 60)).toBeLessThan(0.51);
    expect(paced.sentence).not.toBe(steam.sentence);
  });
  test.each(FAMILIES.map((f) => [f.id, f] as const))('%s: at its forecast pace nothing is said anew', (_, family) => {
    const f = madeOf(formulaOf(family), undefined, false);
    expect(byTouch(atPace(f.steps, f, 1), [])).toEqual(f.steps);
  });
});
