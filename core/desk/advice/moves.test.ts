import { scalePlan } from '../../plan';
import { formula } from '../../testing/made';
import { movesOf, opposed } from './moves';

const plan = formula('radish-slab');
const line = (by: number) => ({
  ...plan,
  addIns: plan.addIns.map((l) => (l.ingredient === 'radish' ? { ...l, massG: l.massG * by } : l)),
});

test('all brought up together is one thing that moves; one line alone is itself', () => {
  expect([...movesOf(plan, scalePlan(plan, 1.2))]).toEqual([['whole', 1]]);
  expect([...movesOf(plan, line(0.5))]).toEqual([['line radish', -1]]);
  expect(movesOf(plan, plan).size).toBe(0);
});
test('more and less of the same are opposed; more of one and less of another, or of all, are not', () => {
  const more = movesOf(plan, line(1.4));
  expect(opposed(more, movesOf(plan, line(0.8)))).toBe(true);
  expect(opposed(more, movesOf(plan, scalePlan(plan, 0.8)))).toBe(false);
  expect(opposed(more, movesOf(plan, { ...plan, vesselCount: 2 }))).toBe(false);
  expect(opposed(movesOf(plan, { ...plan, heat: 'gentle' }), movesOf({ ...plan, heat: 'gentle' }, plan))).toBe(true);
});
