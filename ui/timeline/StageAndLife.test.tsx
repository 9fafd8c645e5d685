/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { emptyKitchen } from '@/core/kitchen';
import { cakeAt, lifeOf } from '@/core/work/timeline';
import { formula, madeOf } from '@/core/testing/made';
import type { StationName } from './headline';
import { StageAndLife } from './StageAndLife';

// Nothing paints a canvas here.
HTMLCanvasElement.prototype.getContext = () => null;
afterEach(cleanup);

/** Stage and life line of a family as it is shipped; what stations were opened. */
function bench(id: string) {
  const f = madeOf(formula(id));
  const opened: StationName[] = [];
  const Bench = () => {
    const [station, setStation] = useState<StationName>('mix');
    return (
      <StageAndLife
        plan={f.light.resolved.document}
        forecast={f}
        kitchen={emptyKitchen()}
        heating={false}
        station={station}
        onStation={(s) => {
          opened.push(s);
          setStation(s);
        }}
        edit={() => undefined}
      />
    );
  };
  const { container } = render(<Bench />);
  const needle = () => Number(screen.getByRole('slider', { name: 'Moment of its life' }).getAttribute('aria-valuenow'));
  const part = () => container.querySelector('[data-part]:not([data-part="sitting"], [data-part="pour-scale"])');
  return { f, life: lifeOf(f), opened, needle, part: () => part()?.getAttribute('data-part') };
}
const press = (key: string) =>
  act(() => void fireEvent.keyDown(document.body, { key, code: key === ' ' ? 'Space' : key }));

test('a station is opened by its number as by a press: the needle goes to it and the stage shows the cake then', () => {
  const { f, life, opened, needle, part } = bench('radish-slab');
  const drawn: Record<string, string | null | undefined> = {};
  for (const [i, s] of life.segments.entries()) {
    press(String(i + 1));
    const byKey = [needle(), part()];
    press('1');
    fireEvent.click(screen.getByRole('tab', { name: new RegExp(`^${s.station}`, 'i') }));
    expect([needle(), part()]).toEqual(byKey);
    drawn[s.station] = part();
    expect(cakeAt(life, f, needle())).toBeDefined();
  }
  expect(opened.filter((s) => s !== 'mix')).toEqual(life.segments.slice(1).flatMap((s) => [s.station, s.station]));
  expect(drawn).toMatchObject({ mix: 'bowl', vessel: 'section', steam: 'section', sear: 'sear', serve: 'plate' });
});
test('of a cake of the pot the numbers go as its line goes: the pot comes before the dish it is poured into', () => {
  const { life, opened, part } = bench('stirred-set-pudding');
  expect(life.segments.slice(0, 4).map((s) => s.station)).toEqual(['mix', 'steam', 'vessel', 'rest']);
  press('2');
  expect(part()).toBe('pot');
  press('3');
  expect(part()).toBe('section');
  expect(opened).toEqual(['steam', 'vessel']);
});
test('Space plays and stops; a key in a field or with a single key too many does nothing', () => {
  const { opened } = bench('radish-slab');
  const play = () => screen.queryByRole('button', { name: 'Play' }) !== null;
  expect(play()).toBe(true);
  press(' ');
  expect(play()).toBe(false);
  press(' ');
  expect(play()).toBe(true);
  const field = document.createElement('input');
  document.body.append(field);
  act(() => void fireEvent.keyDown(field, { key: '3', code: '3' }));
  field.remove();
  press('8');
  expect(opened).toEqual([]);
});
