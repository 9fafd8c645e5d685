'use client';
import { useEffect, useRef } from 'react';
import { applyFix, type Fix } from '@/core/stations/mix';
import { inUnits } from '@/core/units';
import { Press, useTryOn, useUnits } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { useMind } from './useMind';

/** A look that lasts less is none: the pointer was passing, ms. */
const RESTS_MS = 140;

/** One way out: pointed at or come to by keys it is tried on, stage, life line and figures with it; pressed it is taken, one step of undo. */
export function WayPress({ fix, about, edit }: { fix: Fix; about: string; edit: StationProps['edit'] }) {
  const units = useUnits();
  const tryOn = useTryOn();
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const words = inUnits(fix.words, units);
  const begin = () => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => tryOn.show((p) => applyFix(p, fix)), RESTS_MS);
  };
  const end = () => {
    clearTimeout(timer.current);
    tryOn.drop();
  };
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      tryOn.drop();
    },
    [tryOn],
  );
  return (
    <Press
      quiet
      fix
      data-way
      title={words}
      aria-label={`Take it: ${words}`}
      onPointerEnter={(e) => (e.pointerType === 'mouse' ? begin() : undefined)}
      onPointerLeave={(e) => (e.pointerType === 'mouse' ? end() : undefined)}
      onFocus={begin}
      onBlur={end}
      onClick={() => {
        end();
        edit(`fix.${about}`, (p) => applyFix(p, fix));
      }}
    >
      {words}
    </Press>
  );
}

/** The ways out of one thing to mind, wherever it is told. */
export function WaysFor({ about, edit }: { about: string; edit: StationProps['edit'] }) {
  const ways = useMind().waysFor(about);
  return ways?.map((fix) => <WayPress key={fix.words} fix={fix} about={about} edit={edit} />);
}
