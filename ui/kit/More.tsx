'use client';
import { Suspense, useId, useState, type ReactNode } from 'react';
import look from './more.module.css';

/** Something that opens under what it belongs to: nothing of it is drawn, or fetched, before. */
export interface Opens {
  readonly name: string;
  /** What it holds, for the pointer. */
  readonly hint?: string;
  readonly draw: () => ReactNode;
}

/** A row of presses, of which one at a time opens its panel below. */
export function More({ of, label }: { of: readonly Opens[]; label: string }) {
  const [open, setOpen] = useState<string | undefined>(undefined);
  const id = useId();
  const chosen = of.find((o) => o.name === open);
  if (of.length === 0) return null;
  return (
    <div className={look.more}>
      <div className={look.row} role="group" aria-label={label}>
        {of.map((o) => (
          <button
            key={o.name}
            type="button"
            className={look.press}
            title={o.hint}
            aria-expanded={o.name === open}
            aria-controls={o.name === open ? id : undefined}
            onClick={() => setOpen(o.name === open ? undefined : o.name)}
          >
            {o.name}
          </button>
        ))}
      </div>
      {chosen ? (
        <div id={id} className={look.panel}>
          <Suspense fallback={<p>One moment.</p>}>{chosen.draw()}</Suspense>
        </div>
      ) : null}
    </div>
  );
}
