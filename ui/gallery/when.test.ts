import { nextAt, whenWords } from './when';

const now = new Date(2026, 10, 29, 9, 0).getTime();
const at = (h: number, m = 0) => new Date(2026, 10, 29, h, m).getTime();

test('begun now it is ready then; wanted by a time it says when to begin, or how far too late it is', () => {
  expect(whenWords(2 * 3600, now, undefined)).toEqual({ words: 'ready 11:00 if begun now', late: false });
  expect(whenWords(20 * 3600, now, undefined).words).toBe('ready 05:00 tomorrow if begun now');
  expect(whenWords(2 * 3600, now, at(12, 30))).toEqual({ words: 'begin by 10:30', late: false });
  expect(whenWords(4 * 3600, now, at(12, 15))).toMatchObject({ words: '45 min too late', late: true });
});
test('a time that has passed is tomorrow’s; what is no time is none', () => {
  expect(nextAt('12:30', now)).toBe(at(12, 30));
  expect(nextAt('08:00', now)).toBe(at(8) + 86_400_000);
  expect(nextAt('', now)).toBeUndefined();
});
