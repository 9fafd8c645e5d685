'use client';
import NextLink from 'next/link';
import type { BatchCard } from '@/db';
import { sayDuration } from '@/core/units';
import { LocalTime } from '../kit';
import look from '../kit/list.module.css';
import { BowlScore } from './BowlScore';

/** One batch in a list. */
export function BatchRow({ batch }: { batch: BatchCard }) {
  return (
    <div className={look.row}>
      <div className={look.head}>
        <NextLink
          prefetch={false}
          href={batch.finished ? `/batches/${batch.id}` : `/batches/${batch.id}/stove`}
          className={look.name}
        >
          {batch.name}
        </NextLink>
        <span className={`${look.soft} ${look.still}`}>
          <LocalTime at={batch.startedAt} as="day" />
        </span>
      </div>
      <div className={look.beside}>
        {batch.finished ? <BowlScore score={batch.overall} /> : <span className={look.watch}>at the stove</span>}
        {batch.cleanAtS !== null && batch.plannedS !== null ? (
          <span className={look.soft}>
            clean at {sayDuration(batch.cleanAtS)}, forecast {sayDuration(batch.plannedS)}
          </span>
        ) : null}
      </div>
      {batch.readable ? null : (
        <div className={look.stop}>What was planned cannot be read; open it to see what is kept.</div>
      )}
      {batch.note ? <div className={look.small}>{batch.note}</div> : null}
    </div>
  );
}
