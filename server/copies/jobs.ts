import { bad, good, problem, type Result } from '@/core/units';
import { freshId } from '@/db/freshId';
import { CopyTrouble, type Progress, type TakenIn, type Watched } from '@/db/copy';

/** What is under way of copies, or was last. */
export interface CopyJob {
  readonly id: string;
  readonly what: 'save' | 'night' | 'open' | 'take';
  readonly state: 'running' | 'done' | 'failed' | 'stopped';
  readonly progress: Progress | null;
  /** Why not, in a sentence; empty where it was done. */
  readonly words: string;
  /** Of a saved copy: its name, and how many bytes there are to download. */
  readonly saved: { readonly name: string; readonly bytes: number } | null;
  /** Of a copy that was taken in: what was done, and where the kitchen lies as it was. */
  readonly taken: (TakenIn & { readonly safety: string }) | null;
}

export const busy = () =>
  problem('busy', '', 'Another copy is being made or opened just now; wait for it, or stop it.');

const wordsOf = (e: unknown): Pick<CopyJob, 'state' | 'words'> => {
  if (e instanceof CopyTrouble) return { state: e.code === 'stopped' ? 'stopped' : 'failed', words: e.message };
  console.error('a copy', e);
  return { state: 'failed', words: 'Something went wrong here; this kitchen is as it was. Try again.' };
};
type Outcome = Partial<Pick<CopyJob, 'saved' | 'taken'>>;

/** One thing at a time is done with copies; how it goes is asked for. */
export function copyJobs() {
  let job: CopyJob | undefined;
  let stop = new AbortController();
  let work: Promise<void> = Promise.resolve();
  let ended = false;
  const running = (): boolean => job?.state === 'running';
  return {
    now: (): CopyJob | null => job ?? null,
    running,
    /** Begins, unless something is under way. Errors: `busy`. */
    begin(
      what: CopyJob['what'],
      run: (watched: Required<Watched>, id: string) => Promise<Outcome>,
    ): Result<{ readonly job: string }> {
      if (running() || ended) return bad(busy());
      const id = freshId();
      stop = new AbortController();
      job = { id, what, state: 'running', progress: null, words: '', saved: null, taken: null };
      const change = (to: Partial<CopyJob>): void => {
        if (job?.id === id) job = { ...job, ...to };
      };
      const watched = { signal: stop.signal, onProgress: (progress: Progress) => change({ progress }) };
      work = run(watched, id).then(
        (outcome) => change({ state: 'done', progress: null, ...outcome }),
        (e: unknown) => change({ progress: null, ...wordsOf(e) }),
      );
      return good({ job: id });
    },
    stop(id: string): void {
      if (job?.id === id) stop.abort();
    },
    /** When what is under way is over. */
    settled: (): Promise<void> => work,
    end(): Promise<void> {
      ended = true;
      stop.abort();
      return work;
    },
  };
}
export type CopyJobs = ReturnType<typeof copyJobs>;
