'use client';
import { format, parseISO } from 'date-fns';
import { useOnDevice } from './useOnDevice';

/** How a moment is written: hours and minutes, day and month, with the year, or all of it. */
const FORMS = {
  time: 'HH:mm',
  day: 'd MMM',
  date: 'd MMM yyyy',
  long: 'd MMMM yyyy',
  moment: 'd MMM, HH:mm',
  full: 'EEEE d MMMM yyyy, HH:mm',
} as const;
export type TimeForm = keyof typeof FORMS;

/** A moment in words of this device's clock; what is no moment is shown as it is. */
export function sayTime(iso: string, as: TimeForm): string {
  const at = parseISO(iso);
  return Number.isNaN(at.getTime()) ? iso : format(at, FORMS[as]);
}

/** A moment by the clock of the device it is read on, wherever the kitchen's own machine stands. */
export function LocalTime({ at, as }: { at: string; as: TimeForm }) {
  const here = useOnDevice();
  return <time dateTime={here ? at : undefined}>{here ? sayTime(at, as) : '\u2007'.repeat(FORMS[as].length)}</time>;
}
