'use client';
import { Autocomplete } from '@mui/material';
import { memo, useMemo, useState } from 'react';
import look from '../kit/field.module.css';
import { findIngredients, nameIngredient, type Ingredient, type Larder } from '@/core/larder';

interface Option {
  readonly key: string;
  readonly ingredient?: Ingredient;
  readonly words: string;
  readonly hint?: string;
}
const NEW = '+new';

/** Finds an ingredient by any of its names; a name that fits several asks, one that fits none can be added. */
export const FindIngredient = memo(function FindIngredient({
  larder,
  label,
  onFind,
  onNew,
}: {
  larder: Larder;
  label: string;
  onFind: (i: Ingredient) => void;
  /** Offers to add what is not there. */
  onNew?: (name: string) => void;
}) {
  const all = useMemo(() => [...larder.values()], [larder]);
  const [text, setText] = useState('');
  const [asks, setAsks] = useState<string | undefined>(undefined);
  const options = useMemo((): Option[] => {
    const found = findIngredients(all, text).map(({ ingredient, by }): Option => ({
      key: ingredient.id,
      ingredient,
      words: ingredient.name,
      hint: by ? `also called ${by}` : undefined,
    }));
    return onNew && text.trim() !== '' && found.length === 0
      ? [{ key: NEW, words: `Add "${text.trim()}" to the larder` }]
      : found;
  }, [all, text, onNew]);
  const take = (o: Option) => {
    setText('');
    setAsks(undefined);
    if (o.key === NEW) onNew?.(text.trim());
    else if (o.ingredient) onFind(o.ingredient);
  };
  return (
    <Autocomplete<Option>
      size="small"
      options={options}
      filterOptions={(x) => x}
      getOptionLabel={(o) => o.words}
      getOptionKey={(o) => o.key}
      isOptionEqualToValue={(a, b) => a.key === b.key}
      value={null}
      inputValue={text}
      onInputChange={(_, next, reason) => {
        if (reason === 'input' || reason === 'clear') {
          setText(next);
          setAsks(undefined);
        }
      }}
      blurOnSelect
      sx={{ mt: 0.75, maxWidth: 340 }}
      onChange={(_, o) => {
        if (o) take(o);
      }}
      onKeyDown={(e) => {
        if (e.key !== 'Enter' || text.trim() === '' || (e.target as HTMLElement).getAttribute('aria-activedescendant'))
          return;
        // Typed and pressed: one thing is taken, several are asked about.
        const named = nameIngredient(all, text);
        e.preventDefault();
        if (named.kind === 'one') take({ key: named.ingredient.id, ingredient: named.ingredient, words: '' });
        else setAsks(named.sentence);
      }}
      renderOption={({ key, ...props }, o) => (
        <li key={key} {...props}>
          <span>
            {o.words}
            {o.hint ? <span style={{ display: 'block', fontSize: '0.8em', opacity: 0.8 }}>{o.hint}</span> : null}
          </span>
        </li>
      )}
      renderInput={({ id, slotProps: { input, inputLabel, htmlInput } }) => (
        <span className={look.field} style={{ display: 'flex' }}>
          <label {...inputLabel} className={look.label}>
            {label}
          </label>
          <span ref={input.ref} className={look.value} data-wrong={asks === undefined ? undefined : ''}>
            <input {...htmlInput} placeholder="type a name" aria-describedby={asks ? `${id}-asks` : undefined} />
          </span>
          {asks ? (
            <small id={`${id}-asks`} role="status">
              {asks}
            </small>
          ) : null}
        </span>
      )}
    />
  );
});
