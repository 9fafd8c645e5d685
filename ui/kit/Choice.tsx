'use client';
import { FormControl, InputLabel, MenuItem, Select } from '@mui/material';
import { useId } from 'react';
import { inUnits } from '@/core/units';
import { useUnits } from './units';

export interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly words: string; readonly hint?: string }[];
  readonly onChange: (value: T) => void;
  readonly width?: number | string;
  /** Without a visible label; the label is still read out. */
  readonly bare?: boolean;
}

/** One of a few, by name. */
export function Choice<T extends string>({ label, value, options, onChange, width = 190, bare }: ChoiceProps<T>) {
  const id = useId();
  const units = useUnits();
  return (
    <FormControl size="small" sx={{ width }}>
      {bare ? null : <InputLabel id={id}>{label}</InputLabel>}
      <Select
        labelId={bare ? undefined : id}
        label={bare ? undefined : label}
        slotProps={bare ? { input: { 'aria-label': label } } : undefined}
        sx={bare ? { '& .MuiSelect-select': { py: '5px' } } : undefined}
        value={options.some((o) => o.value === value) ? value : ''}
        onChange={(e) => onChange(e.target.value as T)}
        renderValue={(v) => options.find((o) => o.value === v)?.words}
      >
        {options.map((o) => (
          <MenuItem key={o.value} value={o.value} sx={{ display: 'block', whiteSpace: 'normal', maxWidth: 380 }}>
            {o.words}
            {o.hint ? (
              <span style={{ display: 'block', fontSize: '0.8em', opacity: 0.8 }}>{inUnits(o.hint, units)}</span>
            ) : null}
          </MenuItem>
        ))}
      </Select>
    </FormControl>
  );
}
