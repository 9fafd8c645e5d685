'use client';
import { inUnits } from '@/core/units';
import { Field, type FieldLook, type FieldWidth, type Source } from './Field';
import look from './field.module.css';
import over from './overSelect.module.css';
import { useUnits } from './units';

export interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly words: string; readonly hint?: string | undefined }[];
  readonly onChange: (value: T) => void;
  readonly as?: FieldLook;
  readonly source?: Source;
  readonly width?: FieldWidth;
  /** Stands there instead of the chosen option's words. */
  readonly shown?: string;
}

/** One of a few, by name: the words themselves are pressed, and the list is the device's own. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  as,
  source,
  width,
  shown,
}: ChoiceProps<T>) {
  const units = useUnits();
  const chosen = options.find((o) => o.value === value);
  return (
    <Field label={label} as={as} source={source} kind="pick" width={width ?? (as === 'said' ? undefined : 190)}>
      {(helpId) => (
        <>
          <span className={look.words} aria-hidden>
            {shown ?? (chosen ? inUnits(chosen.words, units) : 'choose')}
          </span>
          <span className={look.open} aria-hidden />
          <select
            className={over.select}
            aria-label={label}
            aria-describedby={helpId}
            value={chosen ? value : ''}
            onChange={(e) => onChange(e.target.value as T)}
          >
            {chosen ? null : <option value="">choose</option>}
            {options.map((o) => (
              <option key={o.value} value={o.value}>
                {inUnits(o.hint ? `${o.words} (${o.hint})` : o.words, units)}
              </option>
            ))}
          </select>
        </>
      )}
    </Field>
  );
}

/** The same, said in a sentence. */
export const SaidChoice = <T extends string>(props: Omit<ChoiceProps<T>, 'as'>) => <Choice as="said" {...props} />;
