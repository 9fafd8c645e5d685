/** @jest-environment jsdom */
import { act, cleanup, render, renderHook, screen } from '@testing-library/react';
import { emptyKitchen } from '@/core/kitchen';
import { useHave } from '../gallery/useHave';
import { keepStarted, startedWords } from '../plan/started';
import { useMeasure } from './measure';
import { useDeviceFlag } from './deviceFlag';
import { deviceStore, keysUnder, readKept } from './deviceStore';
import { useNight } from './useNight';

const bar = () => {
  const barred = () => {
    throw new DOMException('barred', 'SecurityError');
  };
  for (const name of ['getItem', 'setItem', 'removeItem'] as const)
    jest.spyOn(Storage.prototype, name).mockImplementation(barred);
};
beforeAll(() => {
  window.matchMedia = () =>
    ({ matches: false, addEventListener: () => undefined, removeEventListener: () => undefined }) as never;
});
beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  jest.restoreAllMocks();
});

test('what is kept is there for all that ask, and after the page is drawn anew', () => {
  const [a, b] = [renderHook(() => useMeasure()), renderHook(() => useMeasure())];
  act(() => a.result.current[1]('cups'));
  expect([a.result.current[0], b.result.current[0], localStorage.getItem('idle-ladle/measure')]).toEqual([
    'cups',
    'cups',
    'cups',
  ]);
  expect(deviceStore('idle-ladle/measure')).toBe(deviceStore('idle-ladle/measure'));
});
test('with storage barred nothing that asks for it fails, and a choice lasts as long as the page', () => {
  bar();
  const measure = renderHook(() => useMeasure());
  act(() => measure.result.current[1]('packs'));
  expect(measure.result.current[0]).toBe('packs');
  const flag = renderHook(() => useDeviceFlag('idle-ladle/some-flag'));
  act(() => flag.result.current[1](true));
  expect(flag.result.current[0]).toBe(true);
  const have = renderHook(() => useHave(emptyKitchen()));
  act(() => have.result.current[1]('tapioca', true));
  expect(have.result.current[0].has('tapioca')).toBe(true);
  keepStarted('p', 'A round tin.');
  expect(startedWords('p')).toBe('A round tin.');
  const Night = () => {
    const [night, set] = useNight();
    return <button onClick={() => set(true)}>{night ? 'night' : 'day'}</button>;
  };
  render(<Night />);
  act(() => screen.getByRole('button').click());
  expect(document.documentElement.getAttribute('data-kitchen')).toBe('dark');
});
test('records under one beginning are found whether the browser stored them or not, the newer of a record first', () => {
  deviceStore('idle-ladle/rec/a').set('1');
  bar();
  expect([deviceStore('idle-ladle/rec/b').set('2'), deviceStore('idle-ladle/rec/a').set('3')]).toEqual([false, false]);
  jest.restoreAllMocks();
  expect(keysUnder('idle-ladle/rec/').toSorted()).toEqual(['idle-ladle/rec/a', 'idle-ladle/rec/b']);
  expect(['a', 'b'].map((k) => deviceStore(`idle-ladle/rec/${k}`).get())).toEqual(['3', '2']);
  for (const k of keysUnder('idle-ladle/rec/')) deviceStore(k).set(null);
  expect(keysUnder('idle-ladle/rec/')).toEqual([]);
});
test('what was kept and is torn, or something else, counts as nothing', () => {
  const number = (x: unknown) => (typeof x === 'number' ? x : undefined);
  expect([null, '{"a":', '"a"', '7'].map((text) => readKept(text, number))).toEqual([
    undefined,
    undefined,
    undefined,
    7,
  ]);
});
