'use client';
import { useMemo, useState } from 'react';
import { useKeys } from './keys';
import { KeysMark } from './marks';
import look from './shell.module.css';
import { grounded } from './grounded';

const KeysList = grounded(() => import('./KeysList'));

/** `?` shows the keys, and turns those of a single key off. */
export function KeysHelp() {
  const [open, setOpen] = useState(false);
  useKeys(useMemo(() => ({ 'Shift+?': () => setOpen(true), '?': () => setOpen(true) }), []));
  return (
    <>
      <button
        type="button"
        className={look.press}
        title="Keys (?)"
        aria-label="Show the keys"
        onClick={() => setOpen(true)}
      >
        <KeysMark />
      </button>
      {open ? <KeysList onClose={() => setOpen(false)} /> : null}
    </>
  );
}
