'use client';
import NextLink from 'next/link';
import type { EvidenceCard } from '@/server/learnedPages';
import { LocalTime, Say } from '../kit';
import look from '../kit/list.module.css';
import { Press } from '../kit/Press';
import type { useFoundPages } from '../kit/useFoundPages';

/** The batches that learning rests on, newest first; each can be left out. */
export function EvidenceList({
  found,
  busy,
  onLeave,
  onVouch,
}: {
  found: ReturnType<typeof useFoundPages<EvidenceCard>>;
  busy: boolean;
  onLeave: (batch: EvidenceCard) => void;
  /** The cook says that it is right, odd as it is. */
  onVouch: (batch: EvidenceCard) => void;
}) {
  return (
    <section className={look.sheet} aria-labelledby="evidence-title">
      <h2 id="evidence-title" className={`${look.heading} ${look.inside}`}>
        What it is from
      </h2>
      {found.trouble ? <Say tone="watch">{found.trouble}</Say> : null}
      {found.total === 0 ? <p className={look.none}>No batch has been checked at the stove yet.</p> : null}
      <ul aria-label="Evidence" className={look.bare}>
        {found.rows.map((e) => (
          <li key={e.id} className={e.used ? look.row : `${look.row} ${look.faint}`}>
            <div className={look.head}>
              <NextLink prefetch={false} href={`/batches/${e.id}`} className={look.twoLines}>
                {e.name}
              </NextLink>
              <span className={`${look.soft} ${look.still}`}>
                <LocalTime at={e.startedAt} as="date" />
              </span>
            </div>
            <div className={`${look.head} ${look.small}`}>
              <span>
                {e.waits
                  ? 'Still to be worked out as it was cooked.'
                  : e.said === null
                    ? 'Its plan cannot be forecast any more (what it was cooked in is gone), so it does not count.'
                    : `${e.said}${e.used ? '' : e.leftOut ? ' Left out.' : e.odd ? ' This lies far from all that was forecast, so it does not count yet: is it right?' : ' Forgotten.'}`}
              </span>
              {e.odd ? (
                <Press quiet disabled={busy} onClick={() => onVouch(e)}>
                  It is right
                </Press>
              ) : null}
              {e.said === null ? null : (
                <Press quiet disabled={busy} onClick={() => onLeave(e)}>
                  {e.leftOut ? 'Take in' : 'Leave out'}
                </Press>
              )}
            </div>
          </li>
        ))}
      </ul>
      {found.more ? (
        <div className={look.inside}>
          <Press disabled={found.fetching} onClick={found.more}>
            Show more of {found.total}
          </Press>
        </div>
      ) : null}
    </section>
  );
}
