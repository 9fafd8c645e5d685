/** @jest-environment jsdom */
import { act, cleanup, render, screen } from '@testing-library/react';
import { fetchLater, later } from './later';

afterEach(() => {
  cleanup();
  jest.useRealTimers();
});
const Panel = ({ of }: { of: string }) => <p>{`The panel of ${of}`}</p>;
const settle = () => act(async () => void (await Promise.resolve()));

test('out of reach, a part says so in its place and comes by itself when the kitchen answers; the page around it stays', async () => {
  jest.useFakeTimers();
  let up = false;
  let asked = 0;
  const Part = later<{ of: string }>(async () => {
    asked++;
    if (!up) throw new Error('Loading chunk failed');
    return Panel;
  });
  render(
    <>
      <h1>The plan</h1>
      <Part of="water" />
    </>,
  );
  await settle();
  expect(screen.getByRole('status').textContent).toMatch(/not here yet; it comes when the kitchen answers/);
  await act(() => jest.advanceTimersByTimeAsync(4100));
  expect([asked, screen.getByRole('heading').textContent]).toEqual([2, 'The plan']);
  up = true;
  act(() => void window.dispatchEvent(new Event('online')));
  await settle();
  expect(screen.getByText('The panel of water')).toBeTruthy();
});
test('once the page is awake every part is fetched, parts of parts too; drawn then, it is there at once', async () => {
  const asked: string[] = [];
  const part = (name: string, then?: () => void) =>
    later<{ of: string }>(async () => {
      asked.push(name);
      then?.();
      return Panel;
    });
  let Inner: ReturnType<typeof part> | undefined;
  part('outer', () => {
    Inner ??= part('inner');
  });
  await fetchLater();
  await new Promise((then) => setTimeout(then, 20));
  await fetchLater();
  expect(asked.filter((a) => a !== 'outer' && a !== 'inner')).toEqual([]);
  expect(asked).toEqual(['outer', 'inner']);
  if (!Inner) throw new Error('no inner part');
  render(<Inner of="salt" />);
  expect(screen.getByText('The panel of salt')).toBeTruthy();
});
test('what fails in a part stays in it, and can be tried again', async () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  let broken = true;
  const Part = later<object>(async () => () => {
    if (broken) throw new Error('no');
    return <p>Whole again</p>;
  });
  render(
    <>
      <h1>The plan</h1>
      <Part />
    </>,
  );
  await settle();
  expect(screen.getByRole('alert').textContent).toMatch(/did not come out/);
  expect(screen.getByRole('heading')).toBeTruthy();
  broken = false;
  act(() => screen.getByRole('button', { name: 'Try again' }).click());
  expect(screen.getByText('Whole again')).toBeTruthy();
  quiet.mockRestore();
});
