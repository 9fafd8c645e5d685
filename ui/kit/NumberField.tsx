'use client';
import { InputAdornment, TextField } from '@mui/material';
import { useState } from 'react';

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
  /** May be emptied; then `onClear` is called. */
  readonly onClear?: () => void;
}

/** What is wrong with a typed number, or undefined. */
export function numberTrouble(
  text: string,
  { label, min, max, unit, whole }: Pick<NumberFieldProps, 'label' | 'min' | 'max' | 'unit' | 'whole'>,
): string | undefined {
  const t = text.trim().replace(',', '.');
  const u = unit ? ` ${unit}` : '';
  if (t === '') return 'Enter a number; the last one is kept until you do.';
  const n = Number(t);
  if (!Number.isFinite(n)) return `"${text}" is not a number: use figures only.`;
  if (whole && !Number.isInteger(n)) return 'Use a whole number.';
  if (min !== undefined && n < min)
    return n < 0 && min === 0 ? `${label} cannot be below zero.` : `Use at least ${min}${u}.`;
  if (max !== undefined && n > max) return `Use at most ${max}${u}.`;
  return undefined;
}

const show = (v: number | undefined, decimals: number): string =>
  v === undefined || !Number.isFinite(v) ? '' : String(Number(v.toFixed(decimals)));

/** A number that answers while you type. A bad entry is named at once, stays on screen, and leaves the plan as it was. */
export function NumberField(props: NumberFieldProps) {
  const { label, value, onChange, unit, decimals = 1, bare, width = 110, helper, onClear } = props;
  const [draft, setDraft] = useState<string | undefined>(undefined);
  const text = draft ?? show(value, decimals);
  const trouble = draft === undefined || (draft.trim() === '' && onClear) ? undefined : numberTrouble(draft, props);
  return (
    <TextField
      label={bare ? undefined : label}
      value={text}
      error={trouble !== undefined}
      helperText={trouble ?? helper}
      onFocus={(e) => e.target.select()}
      onChange={(e) => {
        const next = e.target.value;
        setDraft(next);
        if (next.trim() === '' && onClear) onClear();
        else if (!numberTrouble(next, props)) onChange(Number(next.trim().replace(',', '.')));
      }}
      onBlur={() => {
        if (trouble === undefined) setDraft(undefined);
      }}
      sx={{ width, flexShrink: 0 }}
      slotProps={{
        htmlInput: {
          inputMode: 'decimal',
          'aria-label': label,
          style: { textAlign: 'right', padding: bare ? '5px 2px 5px 8px' : undefined },
        },
        input: unit
          ? {
              endAdornment: (
                <InputAdornment position="end">
                  <span style={{ minWidth: 16 }}>{unit}</span>
                </InputAdornment>
              ),
            }
          : undefined,
        formHelperText: { sx: { mx: 0 } },
        inputLabel: { shrink: true },
      }}
    />
  );
}
