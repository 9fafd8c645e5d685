/** @jest-environment jsdom */
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { PreviewProvider } from './preview';
import { useHandle } from './useHandle';

afterEach(cleanup);

/** A handle that says what it makes of each place; left of 10 px is as it was, and no change. */
function Handle({ take }: { take: (at: number) => void }) {
  const handle = useHandle((x) => (x < 10 ? undefined : () => take(x)));
  return <div {...handle()} data-testid="handle" />;
}

/** What is shown after each event, and what was taken. */
function held() {
  const seen: { shown: number | undefined; taken: number[] } = { shown: undefined, taken: [] };
  let inside = false;
  const preview = {
    show: (change: () => void) => {
      inside = true;
      change();
      inside = false;
    },
    drop: () => {
      seen.shown = undefined;
    },
  };
  const take = (at: number) => {
    if (inside) seen.shown = at;
    else seen.taken.push(at);
  };
  render(
    <PreviewProvider value={preview}>
      <Handle take={take} />
    </PreviewProvider>,
  );
  const handle = screen.getByTestId('handle');
  // The page that tests render into knows touches, no pointers.
  const finger = (x: number) => ({ identifier: 1, clientX: x, clientY: 0, target: handle });
  const touching = (x: number) => ({ touches: [finger(x)], targetTouches: [finger(x)], changedTouches: [finger(x)] });
  fireEvent.touchStart(handle, touching(0));
  return {
    seen,
    move: (x: number) => fireEvent.touchMove(handle, touching(x)),
    up: (x: number) => fireEvent.touchEnd(handle, { touches: [], targetTouches: [], changedTouches: [finger(x)] }),
  };
}

test('what was shown last is what is taken when it is let go, once', () => {
  const { seen, move, up } = held();
  move(20);
  move(30);
  expect(seen).toEqual({ shown: 30, taken: [] });
  up(30);
  expect(seen).toEqual({ shown: undefined, taken: [30] });
});

test('dragged back to where it was, what is shown is what was there, and letting go is no step', () => {
  const { seen, move, up } = held();
  move(20);
  expect(seen.shown).toBe(20);
  move(5);
  expect(seen.shown).toBeUndefined();
  up(5);
  expect(seen.taken).toEqual([]);
});
