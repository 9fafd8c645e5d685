'use client';
import { useState } from 'react';
import { inUnits, shownUnit, type ShownUnit } from '@/core/units';
import { Field, SOURCE_SAID, type FieldLook, type FieldWidth, type Source } from './Field';
import look from './field.module.css';
import { AS_IS, type Limits } from './typedNumber';
import { useUnits } from './units';
import { useTypedNumber } from './useTypedNumber';

export interface NumberFieldProps extends Limits {
  readonly value: number | undefined;
  readonly onChange: (value: number) => void;
  readonly decimals?: number;
  readonly as?: FieldLook;
  /** Where the figure that stands there comes from. */
  readonly source?: Source;
  readonly width?: FieldWidth;
  readonly helper?: string;
  /** Stands there, greyed, while nothing was entered: the figure that is reckoned with instead. */
  readonly instead?: string;
  /** Shown in this unit whatever the cook's units are. */
  readonly shownAs?: ShownUnit | undefined;
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
  const {
    label,
    value,
    onChange,
    unit,
    whole,
    decimals = whole ? 0 : 1,
    as = 'field',
    source,
    instead,
    helper,
    onClear,
  } = props;
  const { width = 110, fractions = false } = props;
  const units = useUnits();
  const now = { shown: props.shownAs ?? shownUnit(unit, units) ?? AS_IS, unit };
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
  const help =
    open?.kind === 'ask' ? (
      <>
        {open.sentence}{' '}
        {open.readings.map((n) => (
          <button
            key={n}
            type="button"
            className={look.ask}
            // Pressed before the field loses its focus, so that the question is still there.
            onMouseDown={(e) => e.preventDefault()}
            onClick={() => typed.choose(n)}
          >
            {typed.say(n)} {word}
          </button>
        ))}
      </>
    ) : (
      (open?.sentence ?? (helper === undefined ? undefined : inUnits(helper, units)))
    );
  const from = source && SOURCE_SAID[source];
  const empty = instead === undefined ? undefined : inUnits(instead, units);
  return (
    <Field
      label={label}
      as={as}
      source={value === undefined && instead !== undefined ? 'computed' : source}
      kind="number"
      width={width}
      wrong={open !== undefined}
      help={help}
    >
      {(helpId) => (
        <>
          <input
            value={typed.text}
            placeholder={empty}
            inputMode={props.words ? 'text' : 'decimal'}
            autoComplete="off"
            aria-label={label}
            aria-invalid={open !== undefined || undefined}
            aria-describedby={helpId}
            title={from}
            style={{ '--signs': Math.max(1, (typed.text || empty || '').length) + 0.6 } as React.CSSProperties}
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
          />
          {word ? <span className={look.unit}>{word}</span> : null}
        </>
      )}
    </Field>
  );
}

/** The same, said in a sentence. */
export const SaidNumber = (props: Omit<NumberFieldProps, 'as'>) => <NumberField as="said" {...props} />;
