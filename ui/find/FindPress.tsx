'use client';
import { later } from '../kit/later';
import { useMemo, useState } from 'react';
import { useKeys } from '../kit/keys';
import look from '../kit/shell.module.css';

const Finder = later(() => import('./Finder'));

/** `/` opens the finder. */
export function FindPress() {
  const [open, setOpen] = useState(false);
  useKeys(useMemo(() => ({ '/': () => setOpen(true) }), []));
  return (
    <>
      <button type="button" className={look.find} aria-label="Find" title="Find (/)" onClick={() => setOpen(true)}>
        /<span> find</span>
      </button>
      {open ? <Finder onClose={() => setOpen(false)} /> : null}
    </>
  );
}
