/** @jest-environment jsdom */
import { formula } from '@/core/testing/made';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { composeForecast, forecast, forecastLight, type Forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { lifeOf, STATIONS } from '@/core/work/timeline';
import type { Plan } from '@/core/plan';
import { SURROUNDINGS } from '@/core/units';
import { COARSE_GRID } from '@/core/model/steam';
import type { StationName } from './headline';
import { LifeLine } from './LifeLine';

const kitchen = emptyKitchen();
const made = (plan: Plan): Forecast => {
  const r = forecast(plan, kitchen, COARSE_GRID);
  if (!r.ok) throw new Error('no forecast');
  return r.value;
};
const slab = made(formula('radish-slab'));
afterEach(cleanup);

function line(f: Forecast = slab, heating = false) {
  const life = lifeOf(f);
  const heard = { at: [] as number[], stations: [] as string[], plays: 0, plans: [] as Plan[] };
  const Bench = () => {
    const [station, setStation] = useState<StationName>('mix');
    const [atS, setAtS] = useState(0);
    return (
      <LifeLine
        forecast={f}
        life={life}
        heating={heating}
        station={station}
        onStation={(s) => {
          heard.stations.push(s);
          setStation(s);
        }}
        atS={atS}
        onAt={(s) => {
          heard.at.push(s);
          setAtS(s);
        }}
        onPlay={() => heard.plays++}
        edit={(_key, change) => heard.plans.push(change(f.light.resolved.document))}
      />
    );
  };
  render(<Bench />);
  return { life, heard };
}
const needle = () => screen.getByRole('slider', { name: 'Moment of its life' });

test('every station stands on it with its figure, and the arrows walk from one to the next and round', () => {
  const { heard } = line();
  const tabs = screen.getAllByRole('tab');
  expect(tabs).toHaveLength(STATIONS.length);
  expect(tabs.map((t) => t.getAttribute('aria-selected'))).toEqual(['true', ...Array<string>(6).fill('false')]);
  for (const t of tabs) expect(t.textContent).toMatch(/[\dA-Za-z]/);
  fireEvent.keyDown(tabs[0], { key: 'ArrowLeft' });
  expect(document.activeElement).toBe(screen.getByRole('tab', { name: /^Serve/ }));
  fireEvent.keyDown(screen.getByRole('tab', { name: /^Serve/ }), { key: 'ArrowRight' });
  expect(heard.stations).toEqual(['serve', 'mix']);
});
test('the needle goes by arrows, in strides, to both ends, and Space plays', () => {
  const { life, heard } = line();
  fireEvent.keyDown(needle(), { key: 'ArrowRight' });
  const step = heard.at[0];
  expect(step).toBeGreaterThan(0);
  fireEvent.keyDown(needle(), { key: 'ArrowRight', shiftKey: true });
  expect(heard.at[1] - step).toBeGreaterThan(3 * step);
  fireEvent.keyDown(needle(), { key: 'End' });
  expect(heard.at.at(-1)).toBeCloseTo(life.spanS, 6);
  fireEvent.keyDown(needle(), { key: 'ArrowRight' });
  expect(heard.at.at(-1)).toBeCloseTo(life.spanS, 6);
  fireEvent.keyDown(needle(), { key: 'Home' });
  expect(heard.at.at(-1)).toBe(0);
  fireEvent.keyDown(needle(), { key: ' ' });
  expect(heard.plays).toBe(1);
  expect(needle().getAttribute('aria-valuetext')).toMatch(/from the first step/);
});
test('a mark says what and when, and takes the needle there', () => {
  const { life, heard } = line();
  const late = life.marks.find((m) => m.kind === 'late');
  const said = screen.getByRole('button', { name: /^no later/ });
  expect(said.textContent).toBe(`no later ${late?.minutes ?? ''}`);
  fireEvent.click(said);
  expect(heard.at).toEqual([late?.atS]);
});
test('long waits are folded and say how long they are', () => {
  line();
  // Ice and fridge, four hours each; in this kitchen the deep slab steams long, and is folded too.
  expect(screen.getByText(/^folded: /).textContent).toMatch(/^folded: \d+ min, 4 h, 4 h$/);
});
test('a cooling stage is made longer and shorter by keys, five minutes at a time, never under none', () => {
  const { heard } = line();
  const first = screen.getAllByRole('slider', { name: /^Cooling/ })[0];
  const now = slab.light.resolved.document.cooling[0].timeS;
  fireEvent.keyDown(first, { key: 'ArrowRight' });
  expect(heard.plans[0].cooling[0].timeS).toBe(now + 300);
  fireEvent.keyDown(first, { key: 'PageDown' });
  expect(heard.plans[1].cooling[0].timeS).toBe(Math.max(0, now - 1800));
  expect(heard.plans.every((p) => p.cooling.length === slab.light.resolved.document.cooling.length)).toBe(true);
});
test('pressed by Enter a stage cools in the next place, for as long as before', () => {
  const { heard } = line();
  const first = screen.getAllByRole('slider', { name: /^Cooling/ })[0];
  const { cooling } = slab.light.resolved.document;
  fireEvent.keyDown(first, { key: 'Enter' });
  const at = SURROUNDINGS.indexOf(cooling[0].where);
  expect(heard.plans[0].cooling).toEqual([
    { ...cooling[0], where: SURROUNDINGS[(at + 1) % SURROUNDINGS.length] },
    ...cooling.slice(1),
  ]);
});
test('while the heat is worked out it says so, and no station shows a dash or a wrong nothing', () => {
  const light = forecastLight(formula('radish-slab'), kitchen);
  if (!light.ok) throw new Error('no forecast');
  line(composeForecast(light.value, undefined), true);
  expect(screen.getByRole('region', { name: 'Life of the cake' }).getAttribute('aria-busy')).toBe('true');
  for (const tab of screen.getAllByRole('tab')) expect(tab.textContent).not.toMatch(/[–…]|NaN|never|\b0 min/);
  expect(within(screen.getByRole('tab', { name: /^Steam/ })).getByText('working it out')).toBeTruthy();
});
test('where the heat cannot be worked out it says so, and does not go on as if it were', () => {
  const light = forecastLight(formula('radish-slab'), kitchen);
  if (!light.ok) throw new Error('no forecast');
  line(composeForecast(light.value, undefined), false);
  for (const name of [/^Steam/, /^Rest/, /^Sear/])
    expect(screen.getByRole('tab', { name }).textContent).toMatch(/stopped see what to mind/);
});
test('a cake that is neither cooled, cut nor seared says so in words', () => {
  line(made(formula('dimpled-cups')));
  const words = (name: RegExp) => screen.getByRole('tab', { name }).textContent;
  expect([words(/^Rest/), words(/^Cut/), words(/^Sear/)]).toEqual([
    'Restwarm not cooled',
    'Cutwhole uncut',
    'Searplain not seared',
  ]);
});
