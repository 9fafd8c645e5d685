'use client';
import { useDrag } from '@use-gesture/react';
import type { KeyboardEvent } from 'react';
import { usePreview } from './preview';

/** What is kept from one move of a drag to the next. */
interface Held<T> {
  readonly it: T;
  /** What is shown; undefined where that is as it was. */
  readonly change?: (() => void) | undefined;
}

/**
 * A handle of a drawing: what it is bound to is taken hold of and dragged; a finger that scrolls elsewhere on the drawing changes nothing. The
 * change is shown while it is dragged and taken when it is let go; Escape lets go of it as it was.
 * @param at makes the change for where the pointer is, in the page's pixels, and what `hold` said, from what is true while nothing is dragged;
 * undefined where that place changes nothing: then what was there before is shown, and letting go is no step
 * @param hold what is true as it is taken hold of and must stay while it is dragged
 * @param pressed what a press does that drags nothing
 */
export function useHandle<T = undefined>(
  at: (clientX: number, clientY: number, held: T) => (() => void) | undefined,
  hold: () => T = () => undefined as T,
  pressed?: () => void,
) {
  const preview = usePreview();
  return useDrag(
    ({ xy: [x, y], last, canceled, tap, event, memo }) => {
      event.stopPropagation();
      const held = (memo as Held<T> | undefined) ?? { it: hold() };
      if (tap) {
        pressed?.();
        return held;
      }
      if (last) {
        preview?.drop();
        // What was shown is what is taken, whatever has moved on the page meanwhile.
        if (!canceled) held.change?.();
        return held;
      }
      const change = at(x, y, held.it);
      if (change) preview?.show(change);
      else preview?.drop();
      return { it: held.it, change };
    },
    { filterTaps: true, pointer: { capture: true, keys: false } },
  );
}

/** The key of a change that no other is taken together with: one drag, one step of undo. */
export const ONE_DRAG = '';

/** How a handle looks to the pointer, by the ways it goes: only it takes the finger from the scrolling page. */
export const GRIP = { free: 'grip', upDown: 'grip grip-ns', leftRight: 'grip grip-ew' } as const;

/** A key that moves a handle: `by` is called with its step, and the page does not scroll; other keys are left to the page. */
export function keyStep(e: KeyboardEvent, steps: Readonly<Record<string, number>>, by: (step: number) => void): void {
  const step = steps[e.key];
  if (step === undefined) return;
  e.preventDefault();
  by(step);
}

/** A pointer's height in a drawing `height` units high; undefined while it is not drawn. @param clientY px of the page */
export function yIn(drawing: Element | null | undefined, clientY: number, height: number): number | undefined {
  const box = drawing?.getBoundingClientRect();
  return box && ((clientY - box.top) / box.height) * height;
}
