'use client';
import { useMemo } from 'react';
import type { Offer } from '@/core/desk/newPlan';
import look from './gallery.module.css';

/** What the cakes here are made of, each a press that says it is at hand or not; what most of them need first. */
export function HaveChips({
  offers,
  have,
  nameOf,
  onHave,
}: {
  offers: ReadonlyMap<string, Offer>;
  have: ReadonlySet<string>;
  nameOf: (id: string) => string;
  onHave: (id: string, at: boolean) => void;
}) {
  const ids = useMemo(() => {
    const needed = new Map<string, number>();
    for (const o of offers.values())
      for (const n of o.needs) needed.set(n.id, (needed.get(n.id) ?? 0) + (n.beside ? 0.2 : 1));
    return [...needed].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])).map(([id]) => id);
  }, [offers]);
  return (
    <div className={look.have} role="group" aria-label="What I have">
      {ids.map((id) => (
        <button
          key={id}
          type="button"
          className={look.chip}
          aria-pressed={have.has(id)}
          onClick={() => onHave(id, !have.has(id))}
        >
          {nameOf(id)}
        </button>
      ))}
    </div>
  );
}
