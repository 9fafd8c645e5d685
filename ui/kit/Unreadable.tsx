'use client';
import type { Unreadable } from '@/db';
import { LinkPress } from './Press';
import { Row } from './Rows';
import { Say } from './Say';

/** The text of something that cannot be read, and why: nothing of it is lost. */
export function RawText({ row }: { row: Pick<Unreadable, 'raw' | 'problems'> }) {
  return (
    <>
      {row.problems.slice(0, 5).map((p) => (
        <p key={p.code + p.path} style={{ margin: 0 }}>
          {p.sentence}
        </p>
      ))}
      {row.problems.length > 5 ? <p style={{ margin: 0 }}>And {row.problems.length - 5} things more.</p> : null}
      {/* It scrolls: keys must reach it. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <pre className="raw" tabIndex={0} aria-label="As it is kept">
        {row.raw}
      </pre>
    </>
  );
}

/** A page for a plan or batch that cannot be read. */
export function UnreadablePage({
  title,
  what,
  row,
  versions,
}: {
  title: string;
  what: 'plan' | 'batch';
  row: Unreadable;
  /** Address of its earlier versions. */
  versions?: string;
}) {
  return (
    <div style={{ maxWidth: 860, padding: '16px 0' }}>
      <h1 className="title">{title}</h1>
      <Say tone="stop">
        This {what} is kept, but cannot be read here. Nothing of it was changed; this is what is there:
      </Say>
      <div style={{ margin: '16px 0' }}>
        <RawText row={row} />
      </div>
      <Row>
        {versions ? (
          <LinkPress main href={versions}>
            Earlier versions
          </LinkPress>
        ) : null}
        <LinkPress href={what === 'plan' ? '/' : '/notebook'}>
          {what === 'plan' ? 'Back to the galley' : 'Back to the notebook'}
        </LinkPress>
      </Row>
    </div>
  );
}
