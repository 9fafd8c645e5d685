/** @jest-environment jsdom */
import { formula } from '@/core/testing/made';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { FAMILIES, formulaOf } from '@/core/families';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { addLine } from '../lines/editLines';
import type { Plan } from '@/core/plan';
import { COARSE_GRID } from '@/core/model/steam';
import { KitchenContext, type KitchenHand } from '../kitchen/useKitchen';
import type { StationProps } from '../plan/StationProps';
import { NotYet } from './NotYet';
import { Ways } from './Ways';

const kitchen = emptyKitchen();
const hand = {
  kitchen,
  keepSettings: () => Promise.resolve(),
  keepThing: () => Promise.resolve(),
} as unknown as KitchenHand;
afterEach(cleanup);
function draw(Part: (p: StationProps) => React.ReactNode, plan: Plan) {
  const made = forecast(plan, kitchen, COARSE_GRID);
  if (!made.ok) throw new Error(made.problems[0].sentence);
  const plans: Plan[] = [];
  render(
    <KitchenContext value={hand}>
      <Part
        plan={plan}
        forecast={made.value}
        kitchen={kitchen}
        heating={false}
        past={[]}
        edit={(_key, change) => plans.push(change(plan))}
      />
    </KitchenContext>,
  );
  return plans;
}

describe('what is in the plan with nothing of it yet', () => {
  test('is asked for in a sentence of its own, and weighed there', () => {
    const plan = addLine(addLine(formula('savoury-coconut-slab'), 0, 'white-pepper'), 'addIns', 'spring-onion');
    const plans = draw(NotYet, plan);
    expect(screen.getByText(/^Not in it yet/).textContent).toMatch(/white pepper.*spring onion.*How much of it\?$/);
    const field = screen.getByLabelText<HTMLInputElement>('Grams of White pepper, ground');
    act(() => field.focus());
    fireEvent.change(field, { target: { value: '2' } });
    act(() => field.blur());
    expect(plans.at(-1)?.batters[0].lines.at(-1)).toMatchObject({ ingredient: 'white-pepper', massG: 2 });
  });
  test('is not spoken of where everything has its grams', () => {
    draw(NotYet, formula('savoury-coconut-slab'));
    expect(screen.queryByText(/Not in it yet/)).toBeNull();
  });
});

describe('where cooks disagree', () => {
  test('the extra starch is read off the lines, and another takes its place in them', () => {
    const plan = formula('radish-slab');
    const plans = draw(Ways, plan);
    const starch = screen.getByRole<HTMLSelectElement>('combobox', { name: 'Extra starch' });
    expect(starch.value).toBe('maize');
    fireEvent.change(starch, { target: { value: 'potato' } });
    const grams = (p: Plan, id: string) => p.batters[0].lines.find((l) => l.ingredient === id)?.massG;
    expect(grams(plans[0], 'potato-starch')).toBe(grams(plan, 'maize-starch'));
    expect(grams(plans[0], 'maize-starch')).toBeUndefined();
  });
  test('pouring off asks how much, only where it is poured off', () => {
    const plan = formula('dimpled-cups');
    draw(Ways, plan);
    expect(screen.queryByLabelText('Poured off')).toBeNull();
    const rest = screen.getByRole<HTMLSelectElement>('combobox', { name: 'Rest the batter' });
    expect([...rest.options].map((o) => o.value)).toContain('pour-off');
    cleanup();
    const plans = draw(Ways, {
      ...plan,
      schools: { ...plan.schools, rest: 'pour-off' },
      batters: plan.batters.map((b) => ({ ...b, pouredOffG: 120 })),
    });
    const off = screen.getByLabelText<HTMLInputElement>('Poured off');
    expect(off.value).toBe('120');
    act(() => off.focus());
    fireEvent.change(off, { target: { value: '150' } });
    act(() => off.blur());
    expect(plans.at(-1)?.batters[0].pouredOffG).toBe(150);
  });
  test('a family about which nobody disagrees has no such sentence', () => {
    const none = FAMILIES.find((f) => !['extraStarch', 'rest', 'yeast', 'release'].some((q) => q in f.schools));
    if (!none) throw new Error('every family has such a question: this test needs another example');
    draw(Ways, formulaOf(none));
    expect(screen.queryByRole('combobox')).toBeNull();
  });
});
