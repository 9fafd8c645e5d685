/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { Enter } from './Enter';

function entry(over: Partial<Parameters<typeof Enter>[0]> = {}) {
  const taken: number[] = [];
  let left = 0;
  render(
    <Enter
      label="Juice weighed"
      unit="g"
      from={285}
      min={0}
      max={5000}
      take="Write it down"
      onTake={(v) => taken.push(v)}
      onLeave={() => left++}
      {...over}
    />,
  );
  const field = screen.getByRole('textbox', { name: 'Juice weighed' });
  return {
    taken,
    left: () => left,
    field,
    type: (text: string) => fireEvent.change(field, { target: { value: text } }),
  };
}

test('a knuckle goes by five, and not past what can be; one press writes it down', () => {
  const { taken, field } = entry({ from: 8 });
  fireEvent.click(screen.getByRole('button', { name: 'More: Juice weighed' }));
  expect(field).toHaveProperty('value', '13');
  for (let i = 0; i < 4; i++) fireEvent.click(screen.getByRole('button', { name: 'Less: Juice weighed' }));
  expect(field).toHaveProperty('value', '0');
  fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  expect(taken).toEqual([0]);
});

test('what cannot be is told in words and not written; Escape leaves it', () => {
  const { taken, left, field, type } = entry();
  type('9000');
  fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  expect(screen.getByRole('alert').textContent).toContain('Use at most 5000 g');
  type('');
  fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  expect(taken).toEqual([]);
  fireEvent.keyDown(field, { key: 'Escape' });
  expect(left()).toBe(1);
});

test('words of a cook are an amount where the line can read them', () => {
  const { taken, type } = entry({
    words: (text) => (text === '2 tbsp' ? { kind: 'amount', value: 18 } : { kind: 'bad', sentence: 'No.' }),
  });
  type('2 tbsp');
  fireEvent.click(screen.getByRole('button', { name: 'Write it down' }));
  expect(taken).toEqual([18]);
});
