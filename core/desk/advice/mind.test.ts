import { applyFix, gradeRank } from '../../stations/mix';
import { FAULTY } from './testing/faulty';
import { lookerIn } from './lookAt';
import { mindOf } from './mindOf';
import { someOf } from '../../testing/runs';
import { CONCERNS, isConcern, whole } from '../../units';

describe('one fault of each kind', () => {
  test.each(someOf(FAULTY).map((f) => [f.first, f] as const))('%s is first, and a way out clears it', (first, f) => {
    const look = lookerIn(f.kitchen);
    const before = whole(look(f.plan));
    expect(
      before.concerns
        .map((a) => `${a.grade} ${a.id}`)
        .slice(0, 3)
        .join(', '),
    ).toMatch(new RegExp(`^\\w+ ${first}(,|$)`));
    const [worst] = whole(mindOf(before, f.kitchen, look, 1));
    expect(worst.advice.sentence).toMatch(/\d|“|"/);
    expect(worst.ways.map((t) => t.fix.words)).not.toEqual([]);
    for (const t of worst.ways) {
      expect(applyFix(f.plan, t.fix)).toEqual(t.plan);
      expect(t.look.concerns.map((a) => a.id)).not.toContain(first);
      expect(t.raises.every((a) => gradeRank(a.grade) < gradeRank(worst.advice.grade))).toBe(true);
    }
  });
});

test('what is looked for is known by its code, and each code has one station', () => {
  expect(FAULTY.map((f) => f.first.split(':')[0]).filter((code) => !isConcern(code))).toEqual([]);
  const all: readonly string[] = Object.values(CONCERNS).flat();
  expect(new Set(all).size).toBe(all.length);
});
