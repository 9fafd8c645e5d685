/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { Choice } from './Choice';
import { KitPage } from './KitPage';
import { More } from './More';
import { NumberField } from './NumberField';
import { Toggle } from './Toggle';

afterEach(cleanup);

test('what opens draws nothing before it is opened, one at a time, and says whether it is open', () => {
  const drawn: string[] = [];
  const part = (name: string) => ({
    name,
    draw: () => {
      drawn.push(name);
      return <p>{name} is here</p>;
    },
  });
  render(<More label="More" of={[part('Blend'), part('Water')]} />);
  expect(drawn).toEqual([]);
  const press = (name: string) => screen.getByRole('button', { name });
  fireEvent.click(press('Blend'));
  expect(screen.getByText('Blend is here')).toBeTruthy();
  fireEvent.click(press('Water'));
  expect(screen.queryByText('Blend is here')).toBeNull();
  expect([press('Blend'), press('Water')].map((b) => b.getAttribute('aria-expanded'))).toEqual(['false', 'true']);
  fireEvent.click(press('Water'));
  expect(screen.queryByText('Water is here')).toBeNull();
});

test('a choice says its words, offers what each changes, and shows other words where it is told to', () => {
  const Bench = () => {
    const [v, setV] = useState('cloth');
    return (
      <Choice
        as="said"
        label="How it is closed"
        value={v}
        shown={v === 'cloth' ? 'the lid wrapped in a cloth' : undefined}
        options={[
          { value: 'cloth', words: 'Cloth', hint: 'No drips.' },
          { value: 'bare', words: 'Bare lid', hint: 'Drips will puddle.' },
        ]}
        onChange={setV}
      />
    );
  };
  render(<Bench />);
  const list = screen.getByRole<HTMLSelectElement>('combobox', { name: 'How it is closed' });
  expect([...list.options].map((o) => o.text)).toEqual(['Cloth (No drips.)', 'Bare lid (Drips will puddle.)']);
  expect(screen.getByText('the lid wrapped in a cloth')).toBeTruthy();
  act(() => void fireEvent.change(list, { target: { value: 'bare' } }));
  expect(list.value).toBe('bare');
  expect(screen.queryByText('the lid wrapped in a cloth')).toBeNull();
});

test('where nothing was entered the figure that is reckoned with stands there, and nothing is taken for it', () => {
  const taken: number[] = [];
  render(
    <NumberField
      label="Juice weighed"
      value={undefined}
      unit="g"
      instead="285"
      onChange={(n) => taken.push(n)}
      onClear={() => taken.push(-1)}
    />,
  );
  const field = screen.getByLabelText<HTMLInputElement>('Juice weighed');
  expect([field.value, field.placeholder]).toEqual(['', '285']);
  act(() => field.focus());
  act(() => field.blur());
  expect(taken).toEqual([]);
});

test('of a few that are all seen, the chosen one says so', () => {
  const chosen: string[] = [];
  render(
    <Toggle
      label="Shown"
      value="heat"
      options={[
        { value: 'heat', words: 'Heat' },
        { value: 'set', words: 'Set' },
      ]}
      onChange={(v) => chosen.push(v)}
    />,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Set' }));
  expect(chosen).toEqual(['set']);
  expect(screen.getByRole('button', { name: 'Heat', pressed: true })).toBeTruthy();
});

test('the page of components shows every source of a figure in every look, and a bad number says why', () => {
  render(<KitPage />);
  for (const source of ['entered', 'computed', 'measured', 'learned'])
    expect(screen.getAllByLabelText(`Rice flour, ${source}`)).toHaveLength(3);
  const field = screen.getByLabelText('Too little of it');
  act(() => field.focus());
  fireEvent.change(field, { target: { value: '2' } });
  expect(screen.getByText('Use at least 5 mm.')).toBeTruthy();
  expect(field.getAttribute('aria-invalid')).toBe('true');
});
