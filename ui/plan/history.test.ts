import fc from 'fast-check';
import { FAMILIES, formulaOf } from '@/core/families';
import type { Plan } from '@/core/plan';
import { historyOf, reduce, stepBetween, type Action, type History } from './history';

const plan = formulaOf(FAMILIES[1]);
const edit = (h: History, change: (p: Plan) => Plan, key = '', at = 0): History =>
  reduce(h, { type: 'edit', plan: change(h.present), key, at });

/** Edits of every depth: a name, a line's weight, a line out, a line in, a part added and taken away. */
const CHANGES: readonly ((p: Plan, n: number) => Plan)[] = [
  (p, n) => ({ ...p, name: `Name ${n}` }),
  (p, n) => ({ ...p, guests: 1 + n }),
  (p, n) => ({
    ...p,
    batters: p.batters.map((b) => ({ ...b, lines: b.lines.map((l, i) => (i === 0 ? { ...l, massG: n } : l)) })),
  }),
  (p, n) => ({ ...p, addIns: p.addIns.filter((_, i) => i !== n % Math.max(1, p.addIns.length)) }),
  (p, n) => ({
    ...p,
    addIns: [{ id: `extra-${n}`, ingredient: 'tapioca', massG: n, treatment: 'as-is' as const }, ...p.addIns],
  }),
  (p, n) => ({ ...p, readings: n % 2 ? {} : { ...p.readings, [`x:${n}`]: { juiceG: n } } }),
  (p, n) => ({
    ...p,
    cut: n % 3 ? { shape: 'squares' as const, by: { kind: 'count' as const, pieces: n + 1 } } : undefined,
  }),
  (p, n) => ({ ...p, waits: { ...p.waits, [`w${n % 4}`]: n } }),
];
const said = (p: Plan) => JSON.parse(JSON.stringify(p)) as unknown;

test('undo and redo go back and forth through any edits, exactly', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.nat(CHANGES.length - 1), fc.nat(50)), { minLength: 1, maxLength: 25 }),
      (edits) => {
        let h = historyOf(plan);
        const seen = [h.present];
        for (const [which, n] of edits) {
          const next = edit(h, (p) => CHANGES[which](p, n));
          if (next.past.length > h.past.length) seen.push(next.present);
          h = next;
        }
        const last = h.present;
        for (let i = seen.length - 2; i >= 0; i--) {
          h = reduce(h, { type: 'undo' });
          expect(said(h.present)).toEqual(said(seen[i]));
        }
        expect(h.past).toEqual([]);
        while (h.future.length > 0) h = reduce(h, { type: 'redo' });
        expect(said(h.present)).toEqual(said(last));
      },
    ),
    { seed: 5, numRuns: 150 },
  );
});

test('a step holds what differs, not the plan', () => {
  const heavier = {
    ...plan,
    batters: plan.batters.map((b) => ({
      ...b,
      lines: b.lines.map((l, i) => (i === 1 ? { ...l, massG: 99 } : { ...l })),
    })),
  };
  expect(stepBetween(plan, heavier).forth).toEqual([
    { op: 'replace', path: ['batters', 0, 'lines', 1, 'massG'], value: 99 },
  ]);
  expect(stepBetween(plan, { ...plan, guests: 3 }).back).toEqual([
    { op: 'replace', path: ['guests'], value: plan.guests },
  ]);
});

test('an edit that says the same is no step', () => {
  const h = edit(historyOf(plan), (p) => JSON.parse(JSON.stringify(p)) as Plan);
  expect([h.past.length, h.present]).toEqual([0, plan]);
});

test('edits of one name soon after each other are one step, back to before the first', () => {
  let h = historyOf(plan);
  for (let i = 0; i < 30; i++) h = edit(h, (p) => ({ ...p, guests: 100 + i }), 'guests', i * 100);
  expect(h.past).toHaveLength(1);
  h = edit(h, (p) => ({ ...p, guests: 200 }), 'guests', 9999);
  expect(h.past).toHaveLength(2);
  h = reduce(reduce(h, { type: 'undo' }), { type: 'undo' });
  expect(h.present).toEqual(plan);
});

test('what is half typed is shown and is in no step; undo, an edit and another plan put it away', () => {
  const half: Action = { type: 'preview', plan: { ...plan, guests: 77 } };
  const h = reduce(historyOf(plan), half);
  expect([h.preview?.guests, h.present.guests, h.past.length]).toEqual([77, plan.guests, 0]);
  expect(reduce(h, { type: 'drop' }).preview).toBeUndefined();
  expect(reduce(h, { type: 'undo' }).preview).toBeUndefined();
  expect(reduce(h, { type: 'edit', plan, key: '', at: 0 })).toMatchObject({ preview: undefined, past: [] });
  expect(
    reduce(
      edit(h, (p) => ({ ...p, guests: 5 })),
      { type: 'adopt', plan },
    ).past,
  ).toEqual([]);
});
