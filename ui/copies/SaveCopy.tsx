'use client';
import { sayHoldings } from '@/core/kitchen';
import { plural, sayBytes } from '@/core/units';
import type { CopiesState } from '@/server/copies/desk';
import { LocalTime, Press, Say } from '../kit';
import look from '../kit/list.module.css';
import own from './copies.module.css';
import { JobState } from './JobState';

const PLACE_WORDS = (place: string): string => (place === 'downloaded' ? 'downloaded by a browser' : `in ${place}`);

/** The last good copy, in words. */
function Last({ last, failed }: Pick<CopiesState, 'last' | 'failed'>) {
  return (
    <>
      {last ? (
        <p className={own.text}>
          The last good copy:{' '}
          <b>
            <LocalTime at={last.madeAt} as="full" />
          </b>
          , {PLACE_WORDS(last.place)}
          {last.bytes === null ? '' : ` (${sayBytes(last.bytes)})`}
          {last.counts ? `: ${sayHoldings(last.counts)}` : ''}. It was opened and checked after it was made.
          {last.unreadable > 0 ? ` ${plural(last.unreadable, 'document')} in it cannot be read, as here.` : ''}
        </p>
      ) : (
        <p className={own.text}>No copy of this kitchen was made yet.</p>
      )}
      {failed ? (
        <Say tone="stop">
          <LocalTime at={failed.madeAt} as="moment" />: {failed.problem}
        </Say>
      ) : null}
    </>
  );
}

/** Saves a copy for download; tells what is made by itself at night. */
export function SaveCopy({ state, onSave, onStop }: { state: CopiesState; onSave: () => void; onStop: () => void }) {
  const { job } = state;
  return (
    <section aria-labelledby="save-title">
      <h2 id="save-title" className={look.heading}>
        Save a copy
      </h2>
      <Last last={state.last} failed={state.failed} />
      <p className={own.text}>
        Everything goes into one file: plans, rack, larder, settings, batches with all that was written down, photos,
        and what is in Deleted. Keep it on another disk or machine.
      </p>
      <Press main disabled={job?.state === 'running'} onClick={onSave}>
        Save a copy
      </Press>
      <JobState job={job} what="save" onStop={onStop} />
      {job?.what === 'save' && job.state === 'done' && job.saved ? (
        <p className={own.text} style={{ marginTop: 12 }} role="status">
          Saved and checked.{' '}
          <a className={look.link} href={`/api/copies/saved/${job.id}`} download={job.saved.name}>
            {job.saved.name}
          </a>{' '}
          ({sayBytes(job.saved.bytes)}) is in your downloads.
        </p>
      ) : null}
    </section>
  );
}
