/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { FAMILIES, formulaOf } from '@/core/families';
import { HistoryBench } from './testing/HistoryBench';
import { WordsField } from './WordsField';

afterEach(cleanup);

/** A plan with its notes in a field, and its history. */
const Bench = ({ multiline = false }: { multiline?: boolean }) => (
  <HistoryBench
    start={{ ...formulaOf(FAMILIES[0]), notes: 'Old' }}
    Fields={({ plan, kept, steps, edit }) => (
      <>
        <WordsField
          label="Notes"
          {...(multiline ? { rows: 2 } : {})}
          most={12}
          wrong={(t) => (t === '' ? 'Say something.' : undefined)}
          value={plan.notes}
          onTake={(notes) => edit({ notes })}
        />
        <output>{`${plan.notes} shown, ${kept.notes} kept, ${steps} steps`}</output>
      </>
    )}
  />
);
const field = () => screen.getByLabelText<HTMLInputElement>('Notes');
const told = () => screen.getByRole('status').textContent;
function type(text: string) {
  act(() => field().focus());
  for (let i = 1; i <= text.length; i++) fireEvent.change(field(), { target: { value: text.slice(0, i) } });
}
const press = (key: string, more: object = {}) => fireEvent.keyDown(field(), { key, ...more });

test('words are shown as they are typed, are one step once taken, and undo brings the old ones back into the field', () => {
  render(<Bench />);
  type('Soy first');
  expect(told()).toBe('Soy first shown, Old kept, 0 steps');
  press('Enter');
  act(() => field().blur());
  expect(told()).toBe('Soy first shown, Soy first kept, 1 steps');
  fireEvent.click(screen.getByText('undo'));
  expect([field().value, told()]).toEqual(['Old', 'Old shown, Old kept, 0 steps']);
});
test('Escape and undo in the field put back what was there, and what is too long is cut where it ends', () => {
  render(<Bench />);
  type('A name far too long');
  expect(field().value).toBe('A name far t');
  press('Escape');
  expect([field().value, told()]).toEqual(['Old', 'Old shown, Old kept, 0 steps']);
  type('B');
  press('z', { ctrlKey: true });
  expect([field().value, told()]).toEqual(['Old', 'Old shown, Old kept, 0 steps']);
});
test('emptied, it says so, stays empty on screen and changes nothing; typed anew it is well', () => {
  render(<Bench />);
  type('x');
  fireEvent.change(field(), { target: { value: '' } });
  act(() => field().blur());
  expect([field().value, told()]).toEqual(['', 'Old shown, Old kept, 0 steps']);
  expect(screen.getByText('Say something.')).toBeTruthy();
  type('New');
  act(() => field().blur());
  expect(told()).toBe('New shown, New kept, 1 steps');
});
test('of several lines Enter and Escape take nothing and throw nothing away; leaving takes them', () => {
  render(<Bench multiline />);
  type('One');
  press('Enter');
  press('Escape');
  expect([field().value, told()]).toEqual(['One', 'One shown, Old kept, 0 steps']);
  act(() => field().blur());
  expect(told()).toBe('One shown, One kept, 1 steps');
});
test('a field that goes away has taken what was typed in it', () => {
  const taken: string[] = [];
  const { unmount } = render(<WordsField label="Notes" value="" onTake={(t) => taken.push(t)} />);
  type('Half');
  unmount();
  expect(taken).toEqual(['Half']);
});
