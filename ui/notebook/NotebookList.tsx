'use client';
import NextLink from 'next/link';
import type { BatchCard, Page } from '@/db';
import { plural } from '@/core/units';
import { Say } from '../kit';
import { FindField } from '../kit/FindField';
import look from '../kit/list.module.css';
import { Press } from '../kit/Press';
import { useFoundPages } from '../kit/useFoundPages';
import { BatchRow } from './BatchRow';

/** Every batch, newest first, found by a word of its name or note; a page at a time. */
export function NotebookList({ first }: { first: Page<BatchCard> }) {
  const found = useFoundPages('/api/batches', first);
  const { rows: shown, total, word } = found;
  return (
    <>
      <div className={look.top}>
        <h1 className={look.title}>Notebook</h1>
        <NextLink href="/notebook/learned">What was learned</NextLink>
        <NextLink href="/trash">Deleted</NextLink>
        <NextLink href="/copies">Copies</NextLink>
      </div>
      <FindField label="Find a batch" value={found.typed} onType={found.type}>
        {total > shown.length
          ? `${plural(total, 'batch', 'batches')}, the newest ${shown.length} shown`
          : word !== ''
            ? plural(total, 'batch', 'batches')
            : null}
      </FindField>
      {found.trouble ? <Say tone="watch">{found.trouble}</Say> : null}
      <div className={`${look.sheet} ${look.narrow}`}>
        {shown.length === 0 ? (
          <p className={look.none}>
            {word === ''
              ? 'No batches yet. The first one is written down as you cook it.'
              : `No batch mentions “${word}”.`}
          </p>
        ) : (
          shown.map((b) => <BatchRow key={b.id} batch={b} />)
        )}
      </div>
      {found.more ? (
        <div className={look.more}>
          <Press disabled={found.fetching} onClick={found.more}>
            Show earlier ones
          </Press>
        </div>
      ) : null}
    </>
  );
}
