'use client';
import { Button, InputAdornment, TextField } from '@mui/material';
import { useState } from 'react';
import { inUnits, shownUnit } from '@/core/units';
import { AS_IS, type Limits } from './typedNumber';
import { useUnits } from './units';
import { useTypedNumber } from './useTypedNumber';

export interface NumberFieldProps extends Limits {
  readonly value: number | undefined;
  readonly onChange: (value: number) => void;
  readonly decimals?: number;
  readonly bare?: boolean;
  readonly width?: number | string | { readonly xs: number; readonly sm: number };
  readonly helper?: string;
  /** Shown as cups and spoons are read: 1½. */
  readonly fractions?: boolean;
  /** May be emptied; then `onClear` is called. */
  readonly onClear?: () => void;
  /** Not shown while it is typed: what it changes is written at once where it is taken. */
  readonly settled?: boolean;
  readonly onFocus?: () => void;
  readonly onBlur?: () => void;
}

/** The one field for numbers, in the cook's units; its unit stays as it is while it is being typed in. See {@link useTypedNumber}. */
export function NumberField(props: NumberFieldProps) {
  const { label, value, onChange, unit, decimals = 1, bare, width = 110, helper, onClear, fractions = false } = props;
  const units = useUnits();
  const now = { shown: shownUnit(unit, units) ?? AS_IS, unit };
  const [held, setHeld] = useState<typeof now | undefined>(undefined);
  const at = held ?? now;
  const word = at.shown.unit || at.unit;
  const typed = useTypedNumber({
    ...props,
    unit: at.unit,
    value,
    shown: at.shown,
    decimals,
    fractions,
    onChange,
    onClear,
  });
  const { open } = typed;
  return (
    <TextField
      label={bare ? undefined : label}
      value={typed.text}
      error={open !== undefined}
      helperText={
        open?.kind === 'ask' ? (
          <>
            {open.sentence}{' '}
            {open.readings.map((n) => (
              <Button
                key={n}
                size="small"
                sx={{ minWidth: 0, minHeight: 24, p: '0 6px' }}
                // Pressed before the field loses its focus, so that the question is still there.
                onMouseDown={(e) => e.preventDefault()}
                onClick={() => typed.choose(n)}
              >
                {typed.say(n)} {word}
              </Button>
            ))}
          </>
        ) : (
          (open?.sentence ?? (helper === undefined ? undefined : inUnits(helper, units)))
        )
      }
      onFocus={(e) => {
        e.target.select();
        setHeld(now);
        props.onFocus?.();
      }}
      onChange={(e) => typed.type(e.target.value)}
      onKeyDown={typed.onKeyDown}
      onBlur={() => {
        typed.commit();
        setHeld(undefined);
        props.onBlur?.();
      }}
      sx={{ width, flexShrink: 0 }}
      slotProps={{
        htmlInput: {
          inputMode: props.words ? 'text' : 'decimal',
          autoComplete: 'off',
          'aria-label': label,
          style: { textAlign: 'right', padding: bare ? '5px 2px 5px 8px' : undefined },
        },
        input: word
          ? {
              endAdornment: (
                <InputAdornment position="end">
                  <span style={{ minWidth: 16 }}>{word}</span>
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
