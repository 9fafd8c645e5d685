'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { plural } from '@/core/units';
import type { CopiesState } from '@/server/copies/desk';
import { Press, request, Say, sentenceOf } from '../kit';
import look from '../kit/list.module.css';
import { JobState } from './JobState';
import { KeptCopies } from './KeptCopies';
import { OpenCopy } from './OpenCopy';
import { Openings } from './Openings';
import { Preview } from './Preview';
import { SaveCopy } from './SaveCopy';
import { useUpload } from './useUpload';

const KEY = ['copies'];
/** So often it is asked how far it is, ms. */
const ASK_MS = 400;
/** A browser has begun to fetch a file by then, ms. */
const FETCHED_MS = 1500;

interface Undone {
  readonly undone: number;
  readonly stayed: readonly string[];
}
const undoneWords = ({ undone, stayed }: Undone): string =>
  `Undone: ${plural(undone, 'thing is', 'things are')} as before.${
    stayed.length > 0 ? ` Changed since, and left as they are: ${stayed.join(', ')}.` : ''
  }`;

/** Gives the browser a file to keep. */
function fetchFile(href: string, name: string): void {
  const link = document.createElement('a');
  link.href = href;
  link.download = name;
  link.click();
}

/** Copies of the kitchen: saved, kept, opened, taken in, undone. */
export function CopiesPage({ first }: { first: CopiesState }) {
  const queries = useQueryClient();
  const upload = useUpload();
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [told, setTold] = useState<string | undefined>(undefined);
  const { data: state } = useQuery({
    queryKey: KEY,
    queryFn: () => request<CopiesState>('/api/copies'),
    initialData: first,
    initialDataUpdatedAt: 0,
    refetchInterval: (q) => (q.state.data?.job?.state === 'running' ? ASK_MS : false),
  });
  const { job, opened } = state;
  const busy = job?.state === 'running' || upload.sending !== undefined;
  /** What was asked for here: only that is downloaded here. */
  const mine = useRef<string | undefined>(undefined);

  const ask = async <T,>(what: object): Promise<T | undefined> => {
    setTrouble(undefined);
    setTold(undefined);
    try {
      const done = await request<T>('/api/copies', 'POST', what, { patienceMs: 60_000 });
      await queries.invalidateQueries({ queryKey: KEY });
      return done;
    } catch (e) {
      setTrouble(sentenceOf(e));
      void queries.invalidateQueries({ queryKey: KEY });
      return undefined;
    }
  };
  const save = async () => {
    mine.current = (await ask<{ job: string }>({ do: 'save' }))?.job;
  };
  useEffect(() => {
    if (job?.state !== 'done' || job.id !== mine.current) return;
    mine.current = undefined;
    if (job.what !== 'save' || !job.saved) return;
    fetchFile(`/api/copies/saved/${job.id}`, job.saved.name);
    // Once it is out it is written down as the last good one.
    const timer = setTimeout(() => void queries.invalidateQueries({ queryKey: KEY }), FETCHED_MS);
    return () => clearTimeout(timer);
  }, [job, queries]);
  // What was compared anew has other lines.
  useEffect(() => {
    if (job?.what === 'take' && job.state !== 'running') void queries.invalidateQueries({ queryKey: ['copy-lines'] });
  }, [job, queries]);

  const open = async (file: File) => {
    setTrouble(undefined);
    try {
      const sent = await upload.send(file);
      if (sent !== undefined) await ask({ do: 'open', upload: sent });
    } catch (e) {
      setTrouble(sentenceOf(e));
    }
  };
  const stop = () => {
    upload.stop();
    if (job?.state === 'running') void ask({ do: 'stop', job: job.id });
  };
  const undo = async (opening: string) => {
    const done = await ask<Undone>({ do: 'undo', opening });
    if (!done) return;
    setTold(undoneWords(done));
    // Every page shows things of before.
    await queries.invalidateQueries();
  };
  const taken = job?.what === 'take' && job.state === 'done' ? job.taken : null;
  const undone = state.openings.find((o) => o.id === taken?.opening)?.undoneAt ?? null;
  return (
    <>
      <div className={look.top}>
        <h1 className={look.title}>Copies of this kitchen</h1>
      </div>
      {trouble ? (
        <Say tone="stop" role="alert">
          {trouble}
        </Say>
      ) : null}
      {told ? (
        <Say tone="ready" role="status">
          {told}
        </Say>
      ) : null}
      <JobState job={job} what="take" first="A copy of this kitchen as it is comes first. " onStop={stop} />
      {taken && undone === null && !told ? (
        <div className={look.beside} style={{ flexWrap: 'wrap', marginBottom: 16 }}>
          <Say tone="ready" role="status">
            {`Taken in: ${taken.counts.there} brought in, ${taken.counts.both} changed or put together, ${taken.counts.here} put into Deleted. The kitchen as it was lies in ${taken.safety}.`}
          </Say>
          <Press disabled={busy} onClick={() => void undo(taken.opening)}>
            Undo it
          </Press>
        </div>
      ) : null}
      {opened ? (
        <Preview
          key={opened.id}
          opened={opened}
          busy={busy}
          onTake={(choice) => void ask({ do: 'take', opened: opened.id, choice })}
          onClose={() => void ask({ do: 'close' })}
        />
      ) : (
        <div className={look.halves}>
          <div>
            <SaveCopy state={state} onSave={() => void save()} onStop={stop} />
            <div style={{ height: 24 }} />
            <OpenCopy job={job} sending={upload.sending} onFile={(f) => void open(f)} onStop={stop} />
            <Openings openings={state.openings} busy={busy} onUndo={(id) => void undo(id)} />
          </div>
          <KeptCopies state={state} busy={busy} onOpen={(name) => void ask({ do: 'open-kept', name })} />
        </div>
      )}
    </>
  );
}
