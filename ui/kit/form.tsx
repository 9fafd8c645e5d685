'use client';
import { useController } from 'react-hook-form';
import { Choice, type ChoiceProps } from './Choice';
import { Field } from './Field';
import { NumberField, type NumberFieldProps } from './NumberField';

/** Fields of a form around them, by their name in its values. */

/** A number; one that `clears` may be left empty. */
export function FormNumber({
  name,
  clears,
  onTaken,
  ...rest
}: Omit<NumberFieldProps, 'value' | 'onChange' | 'onClear'> & {
  name: string;
  clears?: boolean;
  /** Called with what it was and is, once it is taken. */
  onTaken?: (value: number, before: number | undefined) => void;
}) {
  const { field } = useController({ name });
  return (
    <NumberField
      {...rest}
      value={field.value as number | undefined}
      onChange={(v) => {
        field.onChange(v);
        onTaken?.(v, field.value as number | undefined);
      }}
      onClear={clears ? () => field.onChange(undefined) : undefined}
      onBlur={field.onBlur}
    />
  );
}

/** One of a few. */
export function FormChoice<T extends string>({
  name,
  onTaken,
  ...rest
}: Omit<ChoiceProps<T>, 'value' | 'onChange'> & { name: string; onTaken?: (value: T) => void }) {
  const { field } = useController({ name });
  return (
    <Choice
      {...rest}
      value={field.value as T}
      onChange={(v) => {
        field.onChange(v);
        onTaken?.(v);
      }}
    />
  );
}

/** A line of words. */
export function FormWords({
  name,
  label,
  most = 160,
  helper,
  width,
}: {
  name: string;
  label: string;
  most?: number;
  helper?: string;
  width?: number;
}) {
  const { field } = useController({ name });
  return (
    <Field label={label} kind="words" width={width ?? '100%'} help={helper}>
      {(helpId) => (
        <input
          ref={field.ref}
          name={name}
          aria-label={label}
          aria-describedby={helpId}
          autoComplete="off"
          value={field.value as string}
          onChange={(e) => field.onChange(e.target.value.slice(0, most))}
          onBlur={field.onBlur}
        />
      )}
    </Field>
  );
}
