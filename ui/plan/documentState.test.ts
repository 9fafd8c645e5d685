import { FAMILIES, formulaOf } from '@/core/families';
import type { Plan } from '@/core/plan';
import { isUnsaved, reduce, shownOf, stateOf, type DocumentEvent, type DocumentState } from './documentState';

const plan = formulaOf(FAMILIES[0]);
const guests = (n: number, of: Plan = plan): Plan => ({ ...of, guests: n });
const stored = { id: 'p', revision: 3, plan };
const after = (...events: DocumentEvent[]): DocumentState => events.reduce(reduce, stateOf(stored));
const edit = (to: Plan, at = 1000): DocumentEvent => ({ type: 'edit', plan: to, key: '', at });

test('a newer one of the kitchen is taken in only where nothing is unsaved or half typed, and never an older one', () => {
  const newer: DocumentEvent = { type: 'heard', doc: { id: 'p', revision: 5, plan: guests(40) } };
  const seen = (s: DocumentState) => [shownOf(s).guests, s.base.revision, isUnsaved(s)];
  expect(seen(after(newer))).toEqual([40, 5, false]);
  expect(seen(after(edit(guests(9)), newer))).toEqual([9, 3, true]);
  expect(seen(after({ type: 'preview', plan: guests(9) }, newer))).toEqual([9, 3, false]);
  expect(seen(after(newer, { type: 'heard', doc: { id: 'p', revision: 4, plan: guests(2) } }))).toEqual([40, 5, false]);
});

test('what was edited while it was sent stays unsaved; names whose answer came are forgotten', () => {
  const sent = guests(8);
  const s = after(edit(sent), { type: 'sending', writer: 'w1' }, edit(guests(9), 9000), {
    type: 'written',
    doc: { id: 'p', revision: 4, plan: sent },
  });
  expect([isUnsaved(s), s.base.revision, s.unheard, s.save]).toEqual([true, 4, [], 'saving']);
  const lost = Array.from({ length: 30 }, (_, i): DocumentEvent => ({ type: 'sending', writer: `w${i}` }));
  expect(after(...lost).unheard).toHaveLength(20);
  expect(after(...lost).unheard.at(-1)).toBe('w29');
});

test('a draft of before is gone on with where nothing was touched, over the revision it was made on; else it is offered', () => {
  const draft = { unheard: ['w'], revision: 2, plan: guests(7), at: 5 };
  const took: DocumentEvent = { type: 'took-up', draft, at: 10 };
  const s = after(took);
  expect([shownOf(s).guests, s.base.revision, s.baseIsKnown, s.unheard, s.left]).toEqual([7, 2, false, ['w'], []]);
  const touched = after(edit(guests(9)), took);
  expect([shownOf(touched).guests, touched.base.revision, touched.left.map((d) => d.plan.guests)]).toEqual([9, 3, [7]]);
  const taken = after(edit(guests(9)), took, { type: 'left-taken', draft: touched.left[0], take: true, at: 9000 });
  expect([shownOf(taken).guests, taken.left]).toEqual([7, []]);
});

test('of two that touch the same thing the cook chooses, and undo brings her own back', () => {
  const theirs = { id: 'p', revision: 4, plan: guests(40) };
  const asked = [edit(guests(9)), { type: 'stale', theirs }] as const;
  const hers = after(...asked, { type: 'chose', which: 'mine', at: 9000 });
  expect([shownOf(hers).guests, hers.base.revision, isUnsaved(hers)]).toEqual([9, 4, true]);
  const other = after(...asked, { type: 'chose', which: 'theirs', at: 9000 });
  expect([shownOf(other).guests, other.base.revision, other.theirs]).toEqual([40, 4, undefined]);
  expect(shownOf(reduce(other, { type: 'undo' })).guests).toBe(9);
  const blind = after(
    { type: 'took-up', draft: { unheard: [], revision: 2, plan: guests(9), at: 5 }, at: 10 },
    asked[1],
    {
      type: 'chose',
      which: 'theirs',
      at: 9000,
    },
  );
  expect([shownOf(blind).guests, isUnsaved(blind), blind.save]).toEqual([40, false, 'saved']);
});
