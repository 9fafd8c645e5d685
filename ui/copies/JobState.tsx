import type { CopiesState } from '@/server/copies/desk';
import { Say } from '../kit';
import own from './copies.module.css';
import { JobBar } from './JobBar';

type Job = NonNullable<CopiesState['job']>;
const PHASES = {
  gathering: 'Taking the kitchen as it stands',
  packing: 'Packing plans, batches and photos',
  proving: 'Opening the copy and checking all of it',
  unpacking: 'Checking the copy and unpacking it',
  comparing: 'Comparing it with this kitchen',
  taking: 'Taking in what you chose: all of it, or nothing',
} as const;

/** How far it is while it runs, and why not where it was not done. What is being taken in is not stopped half way. */
export function JobState({
  job,
  what,
  first = '',
  onStop,
}: {
  job: CopiesState['job'];
  what: Job['what'];
  /** What comes before what was asked for. */
  first?: string;
  onStop: () => void;
}) {
  if (job?.what !== what || job.state === 'done') return null;
  const { progress } = job;
  const taking = progress?.phase === 'taking';
  return job.state === 'running' ? (
    <JobBar
      words={`${taking ? '' : first}${progress ? PHASES[progress.phase] : 'Beginning'}`}
      done={progress?.done ?? 0}
      all={progress?.all ?? 0}
      onStop={taking ? undefined : onStop}
    />
  ) : (
    <div className={own.told}>
      <Say tone={job.state === 'failed' ? 'stop' : 'plain'} role="alert">
        {job.words}
      </Say>
    </div>
  );
}
