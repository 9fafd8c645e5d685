import { formula } from '../testing/made';
import { forecastLight } from '../forecast';
import { emptyKitchen } from '../kitchen';
import { larderOf } from '../larder';
import { placeOfPath, type Plan } from '../plan';
import { withWait } from '.';

const larder = larderOf();
const radish = formula('radish-slab');
const line = (p: Plan, id: string) => p.addIns.find((l) => l.id === id);

describe('a wait that is set where it is said', () => {
  test('of what is done to one line is kept with the line; one written at its step gives way', () => {
    const before = { ...radish, waits: { 'wilt:radish': 300, 'rest:batter': 60 } };
    const after = withWait(before, 'wilt:radish', 900, larder);
    expect(line(after, 'radish')?.drawS).toBe(900);
    expect(after.waits).toEqual({ 'rest:batter': 60 });
  });
  test('of a dried thing is its soak, and leaves the minutes of its frying alone', () => {
    const after = withWait(radish, 'soak:dried-mushroom', 2400, larder);
    expect(line(after, 'dried-mushroom')).toMatchObject({ soakS: 2400 });
    expect(line(after, 'dried-mushroom')?.drawS).toBe(line(radish, 'dried-mushroom')?.drawS);
  });
  test('of the batter as a whole is kept at its step, and can be as usual again', () => {
    const set = withWait(radish, 'stand:cake', 480, larder);
    expect(set.waits['stand:cake']).toBe(480);
    expect(withWait(set, 'stand:cake', undefined, larder).waits).not.toHaveProperty('stand:cake');
  });
  test('as usual again, a line’s minutes are those of an untouched plan', () => {
    const usual = { ...radish, addIns: radish.addIns.map((l) => (l.id === 'radish' ? { ...l, drawS: undefined } : l)) };
    const back = withWait(withWait(usual, 'wilt:radish', 3000, larder), 'wilt:radish', undefined, larder);
    const waitOf = (p: Plan) => {
      const r = forecastLight(p, emptyKitchen());
      return r.ok ? r.value.evaluated.byId.get('wilt:radish')?.timedS : undefined;
    };
    expect(waitOf(back)).toBe(waitOf(usual));
    expect(waitOf(back)).toBeGreaterThan(0);
  });
  test('no other line is touched', () => {
    const after = withWait(radish, 'wilt:radish', 900, larder);
    for (const l of radish.addIns.filter((x) => x.id !== 'radish')) expect(line(after, l.id)).toEqual(l);
    expect(after.batters).toEqual(radish.batters);
  });
});

test.each([
  ['batters.1.lines.3', { place: 1, index: 3 }],
  ['addIns.0', { place: 'addIns', index: 0 }],
  ['fillings.2.lines.0', { place: 'filling:2', index: 0 }],
  ['accompaniments.0.lines.1', undefined],
  ['addIns.0.drawSaltG', undefined],
  ['', undefined],
])('the path %s stands for a line of the cake, or for none', (path, at) => {
  expect(placeOfPath(path)).toEqual(at);
});
