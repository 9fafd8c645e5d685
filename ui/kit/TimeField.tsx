'use client';
import { readMinutes, type ShownUnit } from '@/core/units';
import { NumberField, type NumberFieldProps } from './NumberField';

/** From here on a time in whole quarters of an hour is said in hours, s. */
const HOURS_S = 7200;
const QUARTER_S = 900;
const HOURS: ShownUnit = { unit: 'h', scale: 1 / 60, offset: 0, decimals: 2 };
const MOST_S = 72 * 3600;

/** A time as a cook says it: minutes, or hours where it is long and round; typed in either, as "90 min", "4 h" or "1:30". */
export function TimeField({
  timeS,
  mostS = MOST_S,
  onTake,
  decimals = 0,
  ...rest
}: Omit<NumberFieldProps, 'value' | 'min' | 'max' | 'unit' | 'onChange' | 'words' | 'shownAs'> & {
  readonly timeS: number;
  readonly mostS?: number;
  readonly onTake: (timeS: number) => void;
}) {
  return (
    <NumberField
      {...rest}
      value={timeS / 60}
      min={0}
      max={mostS / 60}
      decimals={decimals}
      unit="min"
      words={readMinutes}
      shownAs={timeS >= HOURS_S && timeS % QUARTER_S === 0 ? HOURS : undefined}
      onChange={(min) => onTake(min * 60)}
    />
  );
}
