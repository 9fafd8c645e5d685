import { FAMILIES } from '../../families';
import type { BatchEvent } from '../notebook';
import { madeOf, formula } from '../../testing/made';
import { courseOf, type Course } from './course';
import { at, log } from './testing/events';

const steps = madeOf(formula('radish-slab')).steps;
const ids = (c: Course) => [c.now?.id, c.next?.id];
const course = (nowS: number, ...events: readonly (readonly [number, BatchEvent])[]) =>
  courseOf(steps, log(...events), at(nowS), 300);
const tick = (stepId: string): BatchEvent => ({ kind: 'ticked', stepId, done: true });
const begin = (stepId: string): BatchEvent => ({ kind: 'begun', stepId });
/** Everything up to a step, done at once. */
const upTo = (id: string) =>
  steps
    .slice(
      0,
      steps.findIndex((s) => s.id === id),
    )
    .map((s): [number, BatchEvent] => [0, tick(s.id)]);

test('the first step is first; a wait that was begun lets the hands go on, and calls when it is over', () => {
  expect(ids(course(0))).toEqual(['choose:produce', 'weigh:plan']);
  const soaking = [...upTo('soak:dried-mushroom'), [10, begin('soak:dried-mushroom')] as [number, BatchEvent]];
  expect(ids(course(20, ...soaking))[0]).toBe('soak:dried-shrimp');
  expect(ids(course(10 + 1500, ...soaking))[0]).toBe('soak:dried-mushroom');
  const state = course(20, ...soaking).states.get('soak:dried-mushroom');
  expect(state).toEqual({ is: 'waiting', beganMs: at(10), forS: 1500 });
});

test('no step comes before what it needs', () => {
  const c = course(
    0,
    [0, tick('choose:produce')],
    [0, tick('weigh:plan')],
    [1, begin('soak:dried-mushroom')],
    [2, begin('soak:dried-shrimp')],
    [3, tick('grate:radish')],
    [4, begin('wilt:radish')],
    [5, tick('grate:cured-sausage')],
  );
  // Frying waits for the soaked things: the sauce, water and pan are all that can be done.
  expect(c.now?.id).toBe('make:soy');
});

test('the steaming calls for the check; a pick ends it; sticky makes it wait, clean goes on to the standing', () => {
  const steaming = [...upTo('steam:cake'), [0, begin('steam:cake')] as [number, BatchEvent]];
  const waitS = steps.find((s) => s.id === 'steam:cake')?.waitS ?? 0;
  expect(course(60, ...steaming).now?.id).toBe('steam:cake');
  expect(course(waitS + 1, ...steaming).now?.id).toBe('check:cake');
  const sticky: [number, BatchEvent] = [waitS, { kind: 'checked', state: 'sticky', afterS: waitS }];
  const again = course(waitS + 10, ...steaming, sticky);
  expect(again.states.get('check:cake')).toEqual({ is: 'waiting', beganMs: at(waitS), forS: 300 });
  expect(again.states.get('steam:cake')?.is).toBe('done');
  expect(course(waitS + 301, ...steaming, sticky).now?.id).toBe('check:cake');
  const clean = course(waitS + 400, ...steaming, sticky, [
    waitS + 390,
    { kind: 'checked', state: 'clean', afterS: waitS + 390 },
  ]);
  expect([clean.states.get('check:cake')?.is, clean.now?.id]).toEqual(['done', 'stand:cake']);
});

test('at the frying the cook stands: nothing else comes between, until the pan is empty', () => {
  const fry = steps.find((s) => s.verb === 'Fry')!;
  const frying = [...upTo(fry.id), [0, begin(fry.id)] as [number, BatchEvent]];
  const emptyS = fry.timeline?.at(-1)?.atS ?? 0;
  expect(course(emptyS - 5, ...frying).now?.id).toBe(fry.id);
  const after = course(emptyS + 5, ...frying);
  expect(after.now?.id).not.toBe(fry.id);
  expect(after.states.get(fry.id)?.is).toBe('waiting');
});

test('skipped is done, and said to be; taken back it is to do again', () => {
  const skipped: BatchEvent = { kind: 'ticked', stepId: 'choose:produce', done: true, skipped: true };
  const c = course(0, [0, skipped]);
  expect(c.states.get('choose:produce')).toEqual({ is: 'done', atMs: at(0), skipped: true });
  expect(course(2, [0, skipped], [1, { kind: 'ticked', stepId: 'choose:produce', done: false }]).now?.id).toBe(
    'choose:produce',
  );
});

test('an event in the future counts as begun now: the wait neither runs out at once nor is negative', () => {
  const c = course(0, ...upTo('soak:dried-mushroom'), [3600, begin('soak:dried-mushroom')]);
  expect(c.now?.id).toBe('soak:dried-shrimp');
});

test.each(FAMILIES.map((f) => f.id))(
  '%s: begun, waited for and answered in the order in which it calls, every step is done once',
  (id) => {
    const all = madeOf(formula(id), undefined, true).steps;
    const events: [number, BatchEvent][] = [];
    const order: string[] = [];
    let clock = 0;
    for (let i = 0; i < 4 * all.length; i++) {
      const c = courseOf(all, log(...events), at(clock), 300);
      if (!c.now) break;
      const state = c.states.get(c.now.id) ?? { is: 'to-do' };
      const left = state.is === 'waiting' ? state.forS - (at(clock) - state.beganMs) / 1000 : 0;
      if (left > 0) {
        clock += left;
        continue;
      }
      if (state.is === 'to-do' && c.now.waitS > 0 && c.now.op !== 'check') events.push([clock, begin(c.now.id)]);
      else if (c.now.op === 'check') events.push([clock, { kind: 'checked', state: 'clean', afterS: clock }]);
      else events.push([clock, tick(c.now.id)]);
      if (events.at(-1)?.[1].kind !== 'begun') order.push(c.now.id);
      clock += c.now.handsOnS;
    }
    const last = courseOf(all, log(...events), at(clock), 300);
    expect(last.now).toBeUndefined();
    expect(last.done).toBe(all.length);
    expect(order).toHaveLength(new Set(order).size);
    for (const s of all)
      for (const before of s.after) {
        const seen = order.includes(before) ? order.indexOf(before) : order.indexOf(s.id) - 1;
        if (order.includes(s.id)) expect(seen).toBeLessThan(order.indexOf(s.id));
      }
  },
);
