/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { useMemo } from 'react';
import { FAMILIES, formulaOf } from '@/core/families';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { COARSE_GRID } from '@/core/model/steam';
import { KitchenContext, type KitchenHand } from '../kitchen/useKitchen';
import { HistoryBench } from '../kit/testing/HistoryBench';
import { UnitsProvider } from '../kit';
import { Method } from './Method';

const kitchen = emptyKitchen();
const hand = {
  kitchen,
  keepSettings: () => Promise.resolve(),
  keepThing: () => Promise.resolve(),
} as unknown as KitchenHand;
afterEach(cleanup);

/** The method of a station, over a plan with its history. */
function bench(id: string, station: string, units?: Parameters<typeof UnitsProvider>[0]['units']) {
  const family = FAMILIES.find((f) => f.id === id);
  if (!family) throw new Error(`no family ${id}`);
  let kept: Plan = formulaOf(family);
  const Fields = ({ plan, edit }: { plan: Plan; edit: (c: Partial<Plan>) => void }) => {
    const made = useMemo(() => forecast(plan, kitchen, COARSE_GRID), [plan]);
    if (!made.ok) return <p>{made.problems[0].sentence}</p>;
    return (
      <Method
        station={station}
        plan={plan}
        forecast={made.value}
        kitchen={kitchen}
        heating={false}
        past={[]}
        edit={(_key, change) => edit(change(plan))}
      />
    );
  };
  const page = (
    <KitchenContext value={hand}>
      <HistoryBench start={kept} onKept={(c) => (kept = { ...kept, ...c } as Plan)} Fields={Fields} />
    </KitchenContext>
  );
  render(units ? <UnitsProvider units={units}>{page}</UnitsProvider> : page);
  return { kept: () => kept };
}
const put = (label: string, text: string) => {
  const field = screen.getByLabelText<HTMLInputElement>(label);
  act(() => field.focus());
  fireEvent.change(field, { target: { value: text } });
  act(() => field.blur());
};

test('grams are changed in the sentence that says them, and the next sentence follows', () => {
  const { kept } = bench('radish-slab', 'mix');
  expect(screen.getByText(/Fold the wilted white radish/).textContent).toContain('into the batter (845 g)');
  put('Grams of Rice flour, wet-milled fine', '300');
  expect(kept().batters[0].lines.find((l) => l.id === 'rice-flour-fine')?.massG).toBe(300);
  expect(screen.getByText(/Fold the wilted white radish/).textContent).not.toContain('into the batter (845 g)');
});
test('the way a thing goes in is chosen behind its name, and the method changes with it', () => {
  bench('radish-slab', 'mix');
  expect(screen.getByText(/Wilt/, { selector: 'p' })).toBeTruthy();
  const way = screen.getByRole<HTMLSelectElement>('combobox', { name: 'How White radish, raw goes in' });
  act(() => void fireEvent.change(way, { target: { value: 'squeezed-hard' } }));
  expect(screen.queryByText(/^Wilt/, { selector: 'p' })).toBeNull();
  expect(screen.getByText(/Squeeze out hard in a cloth/, { selector: 'p' })).toBeTruthy();
});
test('where a weighing would help, the sentence asks; answered, it is measured, and can be taken back', () => {
  const { kept } = bench('radish-slab', 'mix');
  const asked = screen.getByLabelText<HTMLInputElement>('Juice weighed');
  expect([asked.value, asked.placeholder]).toEqual(['', '285']);
  put('Juice weighed', '400');
  expect(kept().readings['wilt:radish']).toEqual({ juiceG: 400 });
  expect(screen.getByText(/Top up the white radish juice \(400 g\)/, { selector: 'p' })).toBeTruthy();
  put('Juice weighed', '');
  expect(kept().readings['wilt:radish']).toBeUndefined();
});
test('what is weighed dry is typed dry, and the soaked grams follow', () => {
  const { kept } = bench('radish-slab', 'mix');
  const soaked = () => kept().addIns.find((l) => l.id === 'dried-mushroom')?.massG ?? 0;
  const before = soaked();
  put('Dry Dried mushroom, soaked and squeezed', '21');
  expect(soaked() / before).toBeCloseTo(2, 1);
});
test('minutes, heat, lid, lining and layers are set where they are said', () => {
  const { kept } = bench('rainbow-layers', 'steam');
  put('Layers', '6');
  expect(kept().layers).toBe(6);
  put('Time: stand cake', '9');
  expect(kept().waits['stand:cake']).toBe(540);
  fireEvent.change(screen.getByRole('combobox', { name: 'Heat' }), { target: { value: 'gentle' } });
  expect(kept().heat).toBe('gentle');
  fireEvent.change(screen.getByRole('combobox', { name: 'How it is closed' }), { target: { value: 'foil' } });
  expect(kept().schools.dripGuard).toBe('foil');
});
test('a cooling stage says where and how long, and both are changed there', () => {
  const { kept } = bench('radish-slab', 'rest');
  fireEvent.change(screen.getByRole('combobox', { name: 'Stage 1' }), { target: { value: 'fan' } });
  put('Time of stage 1', '25');
  expect(kept().cooling[0]).toMatchObject({ where: 'fan', timeS: 1500 });
});
test('a long round wait stands in hours, and is typed in hours, in minutes or as a clock shows it', () => {
  const { kept } = bench('radish-slab', 'rest');
  const field = () => screen.getByLabelText<HTMLInputElement>('Time of stage 1');
  const said = () => [field().value, field().nextElementSibling?.textContent, kept().cooling[0].timeS];
  put('Time of stage 1', '4 h');
  expect(said()).toEqual(['4', 'h', 14_400]);
  put('Time of stage 1', '2.5');
  expect(said()).toEqual(['2.5', 'h', 9000]);
  put('Time of stage 1', '130 min');
  expect(said()).toEqual(['130', 'min', 7800]);
  put('Time of stage 1', '1:30');
  expect(said()).toEqual(['90', 'min', 5400]);
  put('Time of stage 1', '4 days');
  expect(screen.getByText('Use at most 4320 min.')).toBeTruthy();
  expect(kept().cooling[0].timeS).toBe(5400);
});
test('a computed figure opens why it is so, and closes again', async () => {
  bench('savoury-coconut-slab', 'steam');
  const step = screen.getByText(/Check at/, { selector: 'p' });
  const figure = within(step).getByRole('button', { expanded: false });
  fireEvent.click(figure);
  await waitFor(() => expect(screen.getByRole('note').textContent).toMatch(/0\.85 × first clean pick/));
  expect(screen.getByRole('note').textContent).toContain(figure.textContent);
  fireEvent.click(figure);
  await waitFor(() => expect(screen.queryByRole('note')).toBeNull());
});
test('in ounces and °F every figure of a sentence is in them, the ones that are typed too', () => {
  bench('savoury-coconut-slab', 'mix', { mass: 'oz', length: 'in', temp: 'F' });
  expect(screen.getByLabelText<HTMLInputElement>('Grams of Rice flour, wet-milled fine').value).toBe('6.88');
  expect(document.body.textContent).not.toMatch(/\d ?°C/);
});
