'use client';
import { Checkbox, FormControlLabel, FormGroup, Radio, RadioGroup, Typography } from '@mui/material';
import { ALLERGENS, type Allergen } from '@/core/larder';

/** Stated or not: which allergens, none of them, or the cook cannot say. Undefined: not answered yet. */
export type AllergenAnswer = { readonly stated: boolean; readonly list: readonly Allergen[] } | undefined;

/** Allergens, a question that must be answered: which, none, or "not stated". */
export function AllergenChoice({ value, onChange }: { value: AllergenAnswer; onChange: (a: AllergenAnswer) => void }) {
  const kind = value === undefined ? '' : !value.stated ? 'unknown' : value.list.length > 0 ? 'some' : 'none';
  return (
    <div role="group" aria-label="Allergens">
      <Typography variant="body2">Allergens of the eleven that are tracked:</Typography>
      <RadioGroup
        row
        value={kind === 'some' ? '' : kind}
        onChange={(_, v) => onChange({ stated: v !== 'unknown', list: [] })}
        aria-label="Allergens in it"
      >
        <FormControlLabel value="none" control={<Radio size="small" />} label="none of them" />
        <FormControlLabel value="unknown" control={<Radio size="small" />} label="not stated" />
      </RadioGroup>
      <FormGroup row>
        {ALLERGENS.map((a) => (
          <FormControlLabel
            key={a}
            control={
              <Checkbox
                size="small"
                checked={value?.list.includes(a) ?? false}
                onChange={(_, on) => {
                  const list = on ? [...(value?.list ?? []), a] : (value?.list ?? []).filter((x) => x !== a);
                  onChange({ stated: true, list });
                }}
              />
            }
            label={a}
          />
        ))}
      </FormGroup>
    </div>
  );
}
