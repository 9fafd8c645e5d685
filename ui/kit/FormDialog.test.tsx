/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { z } from 'zod';
import { FormNumber, FormWords } from './form';
import { FormDialog } from './FormDialog';

afterEach(() => {
  cleanup();
  sessionStorage.clear();
});

const potSchema = z.object({ name: z.string().min(1, 'Give it a name.'), litres: z.number().optional() });
type Pot = z.infer<typeof potSchema>;

/** The form as a page would open it; answers with what was kept and how often it was left. */
function open(values: Pot = { name: 'Old pot', litres: 3 }) {
  const kept: Pot[] = [];
  let left = 0;
  const { unmount } = render(
    <FormDialog<Pot, Pot>
      title="Pot"
      schema={potSchema}
      values={values}
      thingOf={(v) => v}
      onClose={() => left++}
      onKeep={(p) => {
        kept.push(p);
        return Promise.resolve();
      }}
    >
      <FormWords name="name" label="Name" />
      <FormNumber name="litres" label="Holds" min={1} max={9} clears />
    </FormDialog>,
  );
  return { kept, left: () => left, unmount };
}
const field = (name: string) => screen.getByLabelText<HTMLInputElement>(name);
const type = (name: string, text: string) => {
  act(() => field(name).focus());
  fireEvent.change(field(name), { target: { value: text } });
  act(() => field(name).blur());
};
const press = (name: string) => act(async () => fireEvent.click(screen.getByRole('button', { name })));
const back = () => screen.queryByText(/What you had typed is back/)?.textContent ?? '';

test('what was half entered comes back after a reload, an emptied field empty, and says so', async () => {
  const first = open();
  type('Name', 'Big pot');
  type('Holds', '');
  first.unmount();
  const { kept } = open();
  expect([field('Name').value, field('Holds').value]).toEqual(['Big pot', '']);
  expect(back()).toMatch(/^Watch: What you had typed is back\./);
  await press('Keep it');
  await waitFor(() => expect(kept).toEqual([{ name: 'Big pot' }]));
  cleanup();
  open();
  expect([field('Name').value, back()]).toEqual(['Old pot', '']);
});
test('it can be begun anew, and what was left by a press is gone', async () => {
  open().unmount();
  const first = open();
  type('Name', 'Half');
  first.unmount();
  const second = open();
  await press('Begin anew');
  expect([field('Name').value, field('Holds').value, back()]).toEqual(['Old pot', '3', '']);
  type('Name', 'Other');
  await press('Leave it');
  expect(second.left()).toBe(1);
  cleanup();
  open();
  expect([field('Name').value, back()]).toEqual(['Old pot', '']);
});
test('Escape loses nothing: it is offered the next time, and told where the thing is another by then', () => {
  const first = open();
  type('Name', 'Half');
  fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape' });
  expect(first.left()).toBe(1);
  cleanup();
  open({ name: 'Renamed elsewhere', litres: 3 });
  expect(field('Name').value).toBe('Half');
  expect(back()).toContain('though it was changed elsewhere since');
});
test('what is wrong is said, and stays to be put right', async () => {
  const { kept } = open();
  type('Name', '');
  await press('Keep it');
  expect(screen.getByText('Give it a name.')).toBeTruthy();
  expect([kept, field('Name').value]).toEqual([[], '']);
});

test('nothing is kept while a field is red: it is told, the field is gone to, and what was typed stays; put right, it is kept', async () => {
  const { kept } = open();
  type('Holds', '6 bushels');
  await press('Keep it');
  expect(kept).toEqual([]);
  expect(screen.getByRole('alert').textContent).toMatch(/Holds: .*is not a number/);
  expect(document.activeElement).toBe(field('Holds'));
  expect(field('Holds').value).toBe('6 bushels');
  type('Holds', '70');
  await press('Keep it');
  expect([kept, screen.getByRole('alert').textContent]).toEqual([[], expect.stringMatching(/Use at most 9/)]);
  type('Holds', '4');
  await press('Keep it');
  expect(kept).toEqual([{ name: 'Old pot', litres: 4 }]);
});
