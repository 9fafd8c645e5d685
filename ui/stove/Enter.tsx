'use client';
import { useState } from 'react';
import { roundGrams, shownUnit, type TypedAmount } from '@/core/units';
import { useUnits } from '../kit';
import { AS_IS, numberText, typedNumber } from '../kit/typedNumber';
import presses from './presses.module.css';

/** How far one knuckle goes, by the unit that is shown. */
const STEPS: Readonly<Record<string, number>> = { g: 5, ml: 50, '°C': 1, '°F': 2, mm: 1, min: 1, oz: 0.1 };

export interface EnterProps {
  readonly label: string;
  readonly unit: string;
  /** What stands there first, in the document's unit. */
  readonly from: number | undefined;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  /** Reads words as an amount: "2 tbsp", "half a can". */
  readonly words?: (text: string) => TypedAmount;
  readonly take: string;
  readonly onTake: (value: number) => void;
  readonly onLeave: () => void;
}

/** A number at the stove: a big figure, a knuckle either side, one press to write it down. Enter writes it down, Escape leaves it. */
export function Enter({ label, unit, from, min, max, step, words, take, onTake, onLeave }: EnterProps) {
  const units = useUnits();
  const shown = shownUnit(unit, units) ?? AS_IS;
  const word = shown.unit || unit;
  const say = (v: number) => numberText(v * shown.scale + shown.offset, 1, false);
  // Grams stand there as they are said: in the steps of a kitchen scale.
  const [text, setText] = useState(from === undefined ? '' : say(unit === 'g' ? roundGrams(from).value : from));
  const read = typedNumber(text, { label, unit, min, max, ...(words ? { words } : {}) }, shown);
  const by = (step ?? STEPS[word] ?? 1) / shown.scale;
  const move = (sign: 1 | -1) => {
    const now = read.kind === 'value' ? read.value : (from ?? 0);
    setText(say(Math.min(max, Math.max(min, now + sign * by))));
  };
  const done = () => {
    if (read.kind === 'value') onTake(read.value);
  };
  return (
    <form
      className={presses.enter}
      aria-label={label}
      onSubmit={(e) => {
        e.preventDefault();
        done();
      }}
    >
      <span>{label}</span>
      <button type="button" className={presses.plain} aria-label={`Less: ${label}`} onClick={() => move(-1)}>
        −
      </button>
      <input
        // The press that opened it was for this field.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        inputMode={words ? 'text' : 'decimal'}
        autoComplete="off"
        aria-label={label}
        aria-invalid={read.kind !== 'value' && text !== ''}
        value={text}
        onFocus={(e) => e.target.select()}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onLeave();
        }}
      />
      <span>{word}</span>
      <button type="button" className={presses.plain} aria-label={`More: ${label}`} onClick={() => move(1)}>
        +
      </button>
      <button type="submit" className={presses.plain}>
        {take}
      </button>
      <button type="button" className={presses.quiet} onClick={onLeave}>
        Leave it
      </button>
      {read.kind !== 'value' && text !== '' ? <p role="alert">{read.sentence}</p> : null}
    </form>
  );
}
