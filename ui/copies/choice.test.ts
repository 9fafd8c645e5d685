import fc from 'fast-check';
import { groupKey } from '@/core/units';
import { countChosen, isChosen, sent, toggled, wholly, type Choice, type Group } from './choice';

const lineOf = (id: number) => ({ id: `l${id}`, suggested: id % 3 === 0 && id % 4 !== 0, takeable: id % 4 !== 0 });
const lines = Array.from({ length: 12 }, (_, i) => lineOf(i));
const group: Group = {
  where: 'both',
  kind: 'plan',
  count: lines.length,
  takeable: lines.filter((l) => l.takeable).length,
  suggested: lines.filter((l) => l.suggested).length,
};
const takeable = lines.filter((l) => l.takeable);

test('however lines and wholes are pressed, the count is that of the lines that show as chosen', () => {
  const press = fc.oneof(
    fc.constantFrom('all' as const, 'none' as const, 'suggested' as const),
    fc.nat(takeable.length - 1),
  );
  fc.assert(
    fc.property(fc.array(press, { maxLength: 20 }), (presses) => {
      const choice = presses.reduce<Choice>(
        (c, p) => (typeof p === 'number' ? toggled(c, group, takeable[p]) : wholly(c, group, p)),
        {},
      );
      expect(countChosen(choice, group)).toBe(lines.filter((l) => isChosen(choice, group, l)).length);
      // What is sent says the same of each line.
      const { from, but } = sent(choice, [group])[groupKey(group)];
      for (const l of takeable) {
        const whole = from === 'all' || (from === 'suggested' && l.suggested);
        expect(whole !== but.includes(l.id)).toBe(isChosen(choice, group, l));
      }
    }),
  );
});
test('a line that cannot be taken is in no whole', () => {
  expect(isChosen(wholly({}, group, 'all'), group, lines[0])).toBe(false);
});
test('pressed twice, a line is as it was', () => {
  const once = toggled({}, group, takeable[0]);
  expect(isChosen(once, group, takeable[0])).toBe(!isChosen({}, group, takeable[0]));
  expect(countChosen(toggled(once, group, takeable[0]), group)).toBe(group.suggested);
});
