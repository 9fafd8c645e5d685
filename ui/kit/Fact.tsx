import type { Provenance } from '@/core/units';
import type { ReactNode } from 'react';
import look from './rows.module.css';
import { ToldNode } from './units';

/** Where a figure comes from, in words. */
export const SOURCE_WORDS: Readonly<Record<Provenance, string>> = {
  default: 'from the model',
  measured: 'you measured',
  learned: 'learned from batches',
};

/** One figure with its name and, where it matters, where it comes from. */
export function Fact({
  name,
  children,
  source,
  note,
}: {
  name: string;
  children: ReactNode;
  source?: Provenance;
  note?: ReactNode;
}) {
  return (
    <div className={look.fact}>
      {name}
      <div className={`figure ${look.figure}`}>
        <ToldNode>{children}</ToldNode>
      </div>
      {source || note ? (
        <small>
          <ToldNode>{note ?? (source ? SOURCE_WORDS[source] : '')}</ToldNode>
        </small>
      ) : null}
    </div>
  );
}
