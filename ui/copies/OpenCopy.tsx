'use client';
import type { CopiesState } from '@/server/copies/desk';
import look from '../kit/list.module.css';
import press from '../kit/press.module.css';
import own from './copies.module.css';
import { JobBar } from './JobBar';
import { JobState } from './JobState';
import type { Sending } from './useUpload';

/** A copy is chosen, sent to the kitchen, checked and opened. */
export function OpenCopy({
  job,
  sending,
  onFile,
  onStop,
}: {
  job: CopiesState['job'];
  sending: Sending | undefined;
  onFile: (file: File) => void;
  onStop: () => void;
}) {
  const busy = sending !== undefined || job?.state === 'running';
  return (
    <section aria-labelledby="open-title">
      <h2 id="open-title" className={look.heading}>
        Open a copy
      </h2>
      <p className={own.text}>
        Of this kitchen or another, on this machine or a new one. First it is shown what differs; you choose what is
        taken, and one press undoes it.
      </p>
      <div className={own.chooser}>
        <span className={press.press} aria-hidden>
          Choose a copy
        </span>
        <input
          type="file"
          aria-label="Choose a copy"
          accept=".zip,application/zip"
          disabled={busy}
          onChange={(e) => {
            const file = e.target.files?.[0];
            e.target.value = '';
            if (file) onFile(file);
          }}
        />
      </div>
      {sending ? <JobBar words="Sending it to the kitchen" {...sending} onStop={onStop} /> : null}
      {sending ? null : <JobState job={job} what="open" onStop={onStop} />}
    </section>
  );
}
