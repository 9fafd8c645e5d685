'use client';
import { useEffect, useRef, useState } from 'react';
import type { ShownUnit } from '@/core/units';
import { usePreview } from './preview';
import { numberText, typedNumber, type Limits, type Typed } from './typedNumber';

export interface TypedNumberOptions extends Limits {
  readonly value: number | undefined;
  readonly shown: ShownUnit;
  readonly decimals: number;
  readonly fractions: boolean;
  /** Takes a whole number that was typed. */
  readonly onChange: (value: number) => void;
  /** May be emptied; then this is called. */
  readonly onClear?: (() => void) | undefined;
  /** Not shown while it is typed: what it changes is written at once where it is taken. */
  readonly settled?: boolean | undefined;
}

export interface TypedNumber {
  readonly text: string;
  /** What is wrong with what stands there, or the question it leaves open. */
  readonly open: Extract<Typed, { kind: 'ask' | 'trouble' }> | undefined;
  readonly say: (v: number) => string;
  readonly type: (text: string) => void;
  readonly commit: () => void;
  readonly restore: () => void;
  readonly choose: (v: number) => void;
  readonly onKeyDown: (e: React.KeyboardEvent) => void;
}

/**
 * A number while it is typed. Nothing is taken until the field is left or Enter is pressed; Escape, and undo, put back what was there. What is
 * typed so far is shown in a preview, where there is one, and is never stored half. A bad entry stays on screen and changes nothing.
 */
export function useTypedNumber(options: TypedNumberOptions): TypedNumber {
  const { value, shown, decimals, fractions, onChange, onClear, settled } = options;
  const around = usePreview();
  const preview = settled ? undefined : around;
  // What stands there, and what stood there before the first key.
  const [typing, setTyping] = useState<{ readonly text: string; readonly before: string } | undefined>(undefined);
  const draft = typing?.text;
  const say = (v: number) => numberText(v * shown.scale + shown.offset, decimals + shown.decimals, fractions);
  const kept = value === undefined ? '' : say(value);
  const emptied = draft !== undefined && draft.trim() === '' && onClear !== undefined;
  const typed = draft === undefined || emptied ? undefined : typedNumber(draft, options, shown);
  const done = () => {
    setTyping(undefined);
    preview?.drop();
  };
  const type = (text: string) => {
    setTyping((t) => ({ text, before: t?.before ?? kept }));
    const read = typedNumber(text, options, shown);
    if (text.trim() === '' && onClear) preview?.show(onClear);
    else if (read.kind === 'value') preview?.show(() => onChange(read.value));
    else preview?.drop();
  };
  const commit = () => {
    if (typing === undefined) return;
    if (typing.text === typing.before) done();
    else if (emptied) {
      done();
      onClear?.();
    } else if (typed?.kind === 'value') {
      done();
      onChange(typed.value);
    } else preview?.drop();
  };
  // What was typed in a field that goes away is as good as left.
  const last = useRef(commit);
  useEffect(() => {
    last.current = commit;
  });
  useEffect(() => () => last.current(), []);
  return {
    text: draft ?? kept,
    open: typed?.kind === 'value' ? undefined : typed,
    say,
    type,
    commit,
    restore: done,
    choose: (v) => {
      done();
      onChange(v);
    },
    onKeyDown: (e) => {
      if (e.key === 'Enter') commit();
      else if (
        draft !== undefined &&
        (e.key === 'Escape' || ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z'))
      ) {
        // Takes back the typing, not the dialog or the plan around it.
        e.preventDefault();
        e.stopPropagation();
        done();
      }
    },
  };
}
