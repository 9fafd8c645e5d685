'use client';
import { sayBytes } from '@/core/units';
import type { CopiesState } from '@/server/copies/desk';
import { LocalTime, More, Press } from '../kit';
import look from '../kit/list.module.css';
import own from './copies.module.css';
import { JobBar } from './JobBar';

const WHY_WORDS: Readonly<Record<string, string>> = {
  nightly: 'by the clock',
  'before-upgrade': 'before an upgrade',
  'before-opening': 'before another copy was opened',
};
const SHOWN = 6;

/** The copies that are made unasked, and how they are kept. */
export function KeptCopies({
  state,
  busy,
  onOpen,
}: {
  state: CopiesState;
  busy: boolean;
  onOpen: (name: string) => void;
}) {
  const { folder, kept, job } = state;
  const line = (c: CopiesState['kept'][number]) => (
    <li key={c.name} className={look.row}>
      <div className={look.head}>
        <b className={look.twoLines}>
          <LocalTime at={c.at} as="full" />
        </b>
        <span className={`${look.soft} ${look.still}`}>{sayBytes(c.bytes)}</span>
      </div>
      <div className={look.beside} style={{ flexWrap: 'wrap' }}>
        <span className={`${look.soft} ${look.grow}`}>{WHY_WORDS[c.why]}</span>
        <Press quiet disabled={busy} onClick={() => onOpen(c.name)} aria-label={`Open ${c.name}`}>
          Open
        </Press>
        <a
          className={look.link}
          href={`/api/copies/kept/${encodeURIComponent(c.name)}`}
          download={c.name}
          aria-label={`Download ${c.name}`}
        >
          Download
        </a>
      </div>
    </li>
  );
  return (
    <section aria-labelledby="kept-title">
      <h2 id="kept-title" className={look.heading}>
        Made unasked
      </h2>
      <p className={own.text}>
        {folder === null
          ? 'None are made at night here: IDLE_LADLE_COPIES says so on the kitchen’s machine. Name a folder there, and they are.'
          : `Each night, before an upgrade and before a copy is opened, into ${folder}: the last of each of seven days and of eight weeks stay. Another folder, on another disk or one that is synchronised, is named on the kitchen’s machine: IDLE_LADLE_COPIES.`}
      </p>
      {job?.what === 'night' && job.state === 'running' ? (
        <JobBar
          words="The copy of the night is being made"
          done={job.progress?.done ?? 0}
          all={job.progress?.all ?? 0}
        />
      ) : null}
      {kept.length === 0 ? (
        <p className={own.text}>None are kept yet.</p>
      ) : (
        <ul className={look.sheet} aria-label="Copies that are kept">
          {kept.slice(0, SHOWN).map(line)}
        </ul>
      )}
      {kept.length > SHOWN ? (
        <More
          label="Older copies"
          of={[
            {
              name: `${kept.length - SHOWN} older`,
              draw: () => <ul className={look.sheet}>{kept.slice(SHOWN).map(line)}</ul>,
            },
          ]}
        />
      ) : null}
    </section>
  );
}
