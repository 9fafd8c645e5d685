import { inTurns } from './inTurns';
import { JOBS } from './jobs';
import { warmUp } from './warmUp';

export type Jobs = typeof JOBS;
export type JobName = keyof Jobs;
export type Asked<J extends JobName> = Parameters<Jobs[J]>;
export type Answer<J extends JobName> = ReturnType<Jobs[J]> extends Generator<undefined, infer T> ? T : never;

/**
 * The inside of a worker: it does what it is asked in turns, one thing at a time, and leaves it when it is told to. Until it is asked for something
 * it warms itself.
 * @param turn lets messages through
 */
export function workerIn(turn: () => Promise<void>) {
  const wanted = new Set<number>();
  let cold = true;
  void inTurns(warmUp(), turn, () => !cold).catch(() => undefined);
  return {
    work<J extends JobName>(ticket: number, job: J, ...asked: Asked<J>): Promise<Answer<J>> {
      cold = false;
      wanted.add(ticket);
      const work = (JOBS[job] as (...of: Asked<J>) => Generator<undefined, Answer<J>, undefined>)(...asked);
      return inTurns(work, turn, () => !wanted.has(ticket)).finally(() => wanted.delete(ticket));
    },
    leave(ticket: number): void {
      wanted.delete(ticket);
    },
  };
}
export type CoreWorker = ReturnType<typeof workerIn>;
