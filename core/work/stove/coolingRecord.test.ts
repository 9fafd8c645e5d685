import { whatIDid } from './whatIDid';
import { coolingNow, coolingRecord } from './coolingRecord';
import { formula } from '../../testing/made';
import { at, log, type Entry } from './testing/events';

const began: Entry = [0, { kind: 'begun', stepId: 'steam:cake' }];
const clean: Entry = [3600, { kind: 'checked', state: 'clean', afterS: 3600 }];
const read = (min: number, tempC: number): Entry => [3600 + 60 * min, { kind: 'probed', tempC }];
const safe = (...readings: readonly Entry[]) => coolingRecord(log(began, clean, ...readings))?.safe;

describe('the record of the cooling', () => {
  test('begins with the clean pick; what was read in the steam is no cooling', () => {
    expect(coolingRecord(log(began, [100, { kind: 'probed', tempC: 60 }]))).toBeUndefined();
    expect(coolingRecord(log(began, [100, { kind: 'probed', tempC: 60 }], clean))?.readings).toEqual([]);
  });
  test('60 to 21 °C within two hours, to 5 °C within six, from the last reading over 60 °C', () => {
    expect(safe(read(30, 70), read(140, 21), read(380, 5))).toBe(true);
    expect(safe(read(30, 70), read(160, 22))).toBe(false);
    expect(safe(read(30, 70), read(140, 21), read(400, 5))).toBe(false);
    // Never read over 60: reckoned from the steam.
    expect(safe(read(125, 20))).toBe(false);
    expect(safe(read(60, 40))).toBeUndefined();
  });
  test('in words, with local codes last', () => {
    expect(coolingNow(log(began, clean), 48, at(3600 + 1800))).toMatch(
      /^Not read down to 21 °C yet: it must be by 2 h off the heat\. Local food codes rule\.$/,
    );
    expect(coolingRecord(log(began, clean, read(30, 70), read(160, 30)))?.sentence).toMatch(
      /^Too slow: still over 21 °C after 2 h 10 min\. Throw out/,
    );
  });
});

test('the plan changed to what was done: grams, heat and waits, not what was found out of this radish', () => {
  const plan = formula('radish-slab');
  const done = whatIDid(
    plan,
    log(
      [0, { kind: 'line-changed', stepId: 'mix:batter', line: 'oil', byG: 5 }],
      [1, { kind: 'read', stepId: 'wilt:radish', slot: 'juiceG', value: 340 }],
      [2, { kind: 'read', stepId: 'soak:dried-mushroom', slot: 'waitedS', value: 2400 }],
    ),
  );
  expect(done.readings).toEqual(plan.readings);
  expect(done.waits).toEqual({ ...plan.waits, 'soak:dried-mushroom': 2400 });
  expect(done.batters[0].lines.find((l) => l.id === 'oil')?.massG).toBe(23);
  expect(whatIDid(plan, [])).toBe(plan);
});

test('what was cooked in the pot, or never checked, cools from its first stage on', () => {
  const counter: Entry = [600, { kind: 'begun', stepId: 'cool:counter' }];
  const r = coolingRecord(log(counter, [4200, { kind: 'probed', tempC: 20 }], [9000, { kind: 'probed', tempC: 4 }]));
  expect(r?.safe).toBe(true);
  expect(r?.readings[0].sinceS).toBe(3600);
});
