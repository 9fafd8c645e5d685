'use client';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { useKeys } from '../kit/keys';
import look from '../kit/shell.module.css';

const Finder = dynamic(() => import('./Finder'), { ssr: false });

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
