'use client';
import { useEffect, useRef, useState } from 'react';
import { Field, type FieldLook, type FieldWidth } from './Field';
import { usePreview } from './preview';

interface Props {
  readonly label: string;
  readonly value: string;
  /** Takes what was typed once it is whole. */
  readonly onTake: (text: string) => void;
  /** What is wrong with a text; undefined: nothing. */
  readonly wrong?: (text: string) => string | undefined;
  /** No more signs than this are taken in. */
  readonly most?: number;
  readonly as?: FieldLook;
  readonly width?: FieldWidth;
  readonly helper?: string;
  /** So many lines at once; absent: one, and Enter takes it. */
  readonly rows?: number;
}

/**
 * Words, taken when the field is left or Enter is pressed; Escape, and undo, put back what was there. Where there are several lines Enter makes
 * one more, and one key does not throw them all away. What is typed so far is shown in a preview, where there is one.
 */
export function WordsField({ label, value, onTake, wrong, most, as, width, helper, rows }: Props) {
  const multiline = rows !== undefined;
  const preview = usePreview();
  // What stands there, and what stood there before the first key.
  const [typing, setTyping] = useState<{ readonly text: string; readonly before: string } | undefined>(undefined);
  const troubleOf = (text: string) => wrong?.(text.trim());
  const trouble = typing && troubleOf(typing.text);
  const done = () => {
    setTyping(undefined);
    preview?.drop();
  };
  const type = (typed: string) => {
    const text = most === undefined ? typed : typed.slice(0, most);
    setTyping((t) => ({ text, before: t?.before ?? value }));
    if (troubleOf(text) === undefined) preview?.show(() => onTake(text.trim()));
    else preview?.drop();
  };
  const commit = () => {
    if (!typing) return;
    if (trouble !== undefined) {
      preview?.drop();
      return;
    }
    done();
    if (typing.text.trim() !== typing.before) onTake(typing.text.trim());
  };
  // What was typed in a field that goes away is as good as left.
  const last = useRef(commit);
  useEffect(() => {
    last.current = commit;
  });
  useEffect(() => () => last.current(), []);
  const typed = {
    'aria-label': label,
    'aria-invalid': trouble !== undefined || undefined,
    value: typing?.text ?? value,
    onChange: (e: React.ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => type(e.target.value),
    onBlur: commit,
    onKeyDown: (e: React.KeyboardEvent) => {
      const held = e.ctrlKey || e.metaKey;
      if (e.key === 'Enter' && (!multiline || held)) commit();
      else if (typing && !multiline && (e.key === 'Escape' || (held && e.key.toLowerCase() === 'z'))) {
        // Takes back the typing, not the dialog or the plan around it.
        e.preventDefault();
        e.stopPropagation();
        done();
      }
    },
  };
  return (
    <Field label={label} as={as} kind="words" width={width} wrong={trouble !== undefined} help={trouble ?? helper}>
      {(helpId) =>
        multiline ? (
          <textarea {...typed} rows={rows} aria-describedby={helpId} />
        ) : (
          <input {...typed} autoComplete="off" aria-describedby={helpId} />
        )
      }
    </Field>
  );
}
