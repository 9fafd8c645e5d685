'use client';
import { useId } from 'react';
import look from './list.module.css';

/** The field above a long list in which a word is looked for, and beside it how many there are. */
export function FindField({
  label,
  value,
  onType,
  children,
}: {
  label: string;
  value: string;
  onType: (typed: string) => void;
  children?: React.ReactNode;
}) {
  const id = useId();
  return (
    <search className={look.find}>
      <label htmlFor={id} className={look.small}>
        {label}
      </label>
      <input id={id} type="search" autoComplete="off" value={value} onChange={(e) => onType(e.target.value)} />
      {children ? <span className={look.soft}>{children}</span> : null}
    </search>
  );
}
