/** @jest-environment jsdom */
import { render } from '@testing-library/react';
import { renderToString } from 'react-dom/server';
import { LocalTime, sayTime } from './LocalTime';

const AT = '2026-03-05T23:30:00.000Z';

test('a moment is told by the clock of the device: not a word of it where the page is made', () => {
  const made = renderToString(<LocalTime at={AT} as="time" />);
  expect(made).not.toMatch(/\d\d:\d\d/);
  const here = render(<LocalTime at={AT} as="time" />).container.textContent;
  const device = new Date(AT);
  expect(here).toBe(`${String(device.getHours()).padStart(2, '0')}:${String(device.getMinutes()).padStart(2, '0')}`);
});
test('what is no moment is shown as it is', () => {
  expect(sayTime('soon', 'full')).toBe('soon');
  expect(sayTime(AT, 'date')).toMatch(/^[56] Mar 2026$/);
});
