/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { Uncopied } from './Uncopied';

beforeEach(() => {
  localStorage.clear();
  jest.useFakeTimers({ now: new Date(2026, 11, 1, 9) });
});
afterEach(() => jest.useRealTimers());

test('it is told in words, put off for the day, and told again the next', () => {
  const { unmount } = render(<Uncopied days={4} />);
  expect(screen.getByRole('status').textContent).toMatch(/No copy of this kitchen was made for 4 days/);
  expect(screen.getByRole('link', { name: 'Save a copy' }).getAttribute('href')).toBe('/copies');
  fireEvent.click(screen.getByRole('button', { name: 'Tomorrow' }));
  expect(screen.queryByRole('status')).toBeNull();
  unmount();
  // Neither a reload nor the evening brings it back; the next morning does.
  jest.setSystemTime(new Date(2026, 11, 1, 22));
  const again = render(<Uncopied days={4} />);
  expect(screen.queryByRole('status')).toBeNull();
  again.unmount();
  jest.setSystemTime(new Date(2026, 11, 2, 7));
  render(<Uncopied days={5} />);
  expect(screen.getByRole('status').textContent).toMatch(/5 days/);
});
