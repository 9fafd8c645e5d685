'use client';
import { Button, InputAdornment, TextField } from '@mui/material';
import { useState } from 'react';
import { inUnits, readAmount, sayFraction, shownUnit, type ShownUnit, type TypedAmount } from '@/core/units';
import { useUnits } from './units';

export interface NumberFieldProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number) => void;
  readonly unit?: string;
  readonly min?: number;
  readonly max?: number;
  readonly decimals?: number;
  readonly whole?: boolean;
  readonly bare?: boolean;
  readonly width?: number | string | { readonly xs: number; readonly sm: number };
  readonly helper?: string;
  /** Shown as cups and spoons are read: 1½. */
  readonly fractions?: boolean;
  /** Reads words that are no number, like "half a can", as an amount in the document's unit. */
  readonly words?: (text: string) => TypedAmount;
  /** May be emptied; then `onClear` is called. */
  readonly onClear?: () => void;
}

type Limits = Pick<NumberFieldProps, 'label' | 'min' | 'max' | 'unit' | 'whole' | 'words'>;
const AS_IS: ShownUnit = { unit: '', scale: 1, offset: 0, decimals: 0 };

/** A value or the two it could be, in the document's unit, or what is wrong. */
export type Typed =
  | { readonly kind: 'value'; readonly value: number }
  | { readonly kind: 'ask'; readonly readings: readonly [number, number]; readonly sentence: string }
  | { readonly kind: 'trouble'; readonly sentence: string };

/** What was typed, as a value in the document's unit, a question, or what is wrong with it. */
export function typedNumber(text: string, limits: Limits, shown: ShownUnit = AS_IS): Typed {
  const { label, min, max, unit, whole, words } = limits;
  const trouble = (sentence: string): Typed => ({ kind: 'trouble', sentence });
  const plain = readAmount(text);
  const worded = plain.kind === 'bad' ? words?.(text) : undefined;
  const read = worded ?? plain;
  if (read.kind === 'empty') return trouble('Enter a number; the last one is kept until you do.');
  if (read.kind === 'bad') return trouble(read.sentence);
  const inDocument = (x: number) => (worded ? x : (x - shown.offset) / shown.scale);
  if (read.kind === 'ask')
    return {
      kind: 'ask',
      readings: [inDocument(read.readings[0]), inDocument(read.readings[1])],
      sentence: read.sentence,
    };
  const n = inDocument(read.value);
  const say = (x: number) => {
    const s = x * shown.scale + shown.offset;
    const u = shown.unit || unit;
    return `${Number(s.toFixed(shown.scale === 1 ? 6 : 2))}${u ? ` ${u}` : ''}`;
  };
  if (whole && !Number.isInteger(n)) return trouble('Use a whole number.');
  // A hair under an edge is the rounding of another unit, not a slip.
  const hair = shown.scale === 1 ? 0 : 1e-6 * Math.max(1, Math.abs(n));
  if (min !== undefined && n < min - hair)
    return trouble(n < 0 && min === 0 ? `${label} cannot be below zero.` : `Use at least ${say(min)}.`);
  if (max !== undefined && n > max + hair) return trouble(`Use at most ${say(max)}.`);
  return { kind: 'value', value: n };
}

const show = (v: number, decimals: number, fractions: boolean): string =>
  !Number.isFinite(v) ? '' : fractions ? sayFraction(v) : String(Number(v.toFixed(decimals)));

/**
 * A number that answers while you type, in the cook's units. A bad entry is named at once, stays on screen, and leaves the plan as it was;
 * one that could be two numbers asks which.
 */
export function NumberField(props: NumberFieldProps) {
  const { label, value, onChange, unit, decimals = 1, bare, width = 110, helper, onClear, fractions = false } = props;
  const units = useUnits();
  const other = shownUnit(unit, units);
  const shown = other ?? AS_IS;
  const [draft, setDraft] = useState<string | undefined>(undefined);
  const [before, setBefore] = useState(value);
  const say = (v: number) => show(v * shown.scale + shown.offset, decimals + shown.decimals, fractions);
  const text = draft ?? (value === undefined ? '' : say(value));
  const typed = draft === undefined || (draft.trim() === '' && onClear) ? undefined : typedNumber(draft, props, shown);
  const trouble = typed?.kind === 'trouble' ? typed.sentence : undefined;
  const asks = typed?.kind === 'ask' ? typed : undefined;
  const take = (next: string) => {
    setDraft(next);
    if (next.trim() === '' && onClear) {
      onClear();
      return;
    }
    const read = typedNumber(next, props, shown);
    if (read.kind === 'value') onChange(read.value);
    // "1,250" was 1.25 a key ago: until the question is answered the plan keeps what it had.
    else if (before !== undefined) onChange(before);
    else onClear?.();
  };
  return (
    <TextField
      label={bare ? undefined : label}
      value={text}
      error={trouble !== undefined || asks !== undefined}
      helperText={
        asks ? (
          <>
            {asks.sentence}{' '}
            {asks.readings.map((n) => (
              <Button
                key={n}
                size="small"
                sx={{ minWidth: 0, minHeight: 24, p: '0 6px' }}
                // Pressed before the field loses its focus, so that the question is still there.
                onMouseDown={(e) => e.preventDefault()}
                onClick={() => {
                  onChange(n);
                  setDraft(undefined);
                }}
              >
                {say(n)} {other?.unit ?? unit}
              </Button>
            ))}
          </>
        ) : (
          (trouble ?? (helper === undefined ? undefined : inUnits(helper, units)))
        )
      }
      onFocus={(e) => {
        e.target.select();
        // A question left open keeps what the plan had when it was asked.
        if (draft === undefined) setBefore(value);
      }}
      onChange={(e) => take(e.target.value)}
      onBlur={() => {
        if (trouble === undefined && !asks) setDraft(undefined);
      }}
      sx={{ width, flexShrink: 0 }}
      slotProps={{
        htmlInput: {
          inputMode: props.words ? 'text' : 'decimal',
          'aria-label': label,
          style: { textAlign: 'right', padding: bare ? '5px 2px 5px 8px' : undefined },
        },
        input:
          (other?.unit ?? unit)
            ? {
                endAdornment: (
                  <InputAdornment position="end">
                    <span style={{ minWidth: 16 }}>{other?.unit ?? unit}</span>
                  </InputAdornment>
                ),
              }
            : undefined,
        formHelperText: { sx: { mx: 0 }, component: 'div' },
        inputLabel: { shrink: true },
      }}
    />
  );
}
