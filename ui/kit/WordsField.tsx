'use client';
import { TextField, type TextFieldProps } from '@mui/material';
import { useEffect, useRef, useState } from 'react';

type Props = Omit<TextFieldProps, 'value' | 'onChange' | 'onBlur' | 'onKeyDown' | 'error'> & {
  readonly value: string;
  /** Takes what was typed once it is whole. */
  readonly onTake: (text: string) => void;
  /** What is wrong with a text; undefined: nothing. */
  readonly wrong?: (text: string) => string | undefined;
};

/** A line of words, taken when it is left or Enter is pressed; Escape puts back what was there. */
export function WordsField({ value, onTake, wrong, helperText, ...rest }: Props) {
  const [draft, setDraft] = useState<string | undefined>(undefined);
  const text = draft ?? value;
  const trouble = draft === undefined ? undefined : wrong?.(draft.trim());
  const commit = () => {
    if (draft === undefined || trouble !== undefined) return;
    setDraft(undefined);
    if (draft.trim() !== value) onTake(draft.trim());
  };
  const last = useRef(commit);
  useEffect(() => {
    last.current = commit;
  });
  useEffect(() => () => last.current(), []);
  return (
    <TextField
      {...rest}
      value={text}
      error={trouble !== undefined}
      helperText={trouble ?? helperText}
      onChange={(e) => setDraft(e.target.value)}
      onBlur={commit}
      onKeyDown={(e) => {
        if (e.key === 'Enter') commit();
        else if (e.key === 'Escape' && draft !== undefined) {
          e.stopPropagation();
          setDraft(undefined);
        }
      }}
    />
  );
}
