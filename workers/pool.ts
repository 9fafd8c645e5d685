import type { Hand } from './hand';
import { Left } from './inTurns';
import type { Answer, Asked, JobName } from './worker';

/** What of a run is not its work. */
export interface How {
  /** Aborted, the run is left between two steps; it fails with the signal's reason. */
  readonly signal?: AbortSignal;
  /** Somebody looks at the page for it: it goes first, and what is not urgent gives way. */
  readonly urgent?: boolean;
}
interface Run {
  readonly how: How;
  readonly start: (hand: Hand, ticket: number) => Promise<unknown>;
  readonly done: (answer: unknown) => void;
  readonly fail: (why: unknown) => void;
  /** So often a worker broke under it. */
  breaks: number;
}
interface Place {
  hand: Hand | undefined;
  run: Run | undefined;
  /** Of the run under way. */
  ticket: number;
  /** The run was told to give way: it comes again. */
  givesWay: boolean;
}

/** A worker could not start, or broke while it was at a run. */
export class Broken extends Error {
  override name = 'Broken';
}
/** A run under which so many workers break is not tried again. */
const BREAKS = 2;

/**
 * Workers that share a row of runs, each one run at a time. Urgent runs go first and have the first worker, so that its memory is theirs; where
 * none is free the last that was not urgent gives way and is begun again. A worker that breaks is replaced, and its run tried once more.
 */
export function workerPool(make: () => Hand, size: number) {
  const row: Run[] = [];
  const places = Array.from({ length: size }, (): Place => ({
    hand: undefined,
    run: undefined,
    ticket: 0,
    givesWay: false,
  }));
  let tickets = 0;
  let ended = false;

  function begin(place: Place, run: Run): void {
    const hand = (place.hand ??= make());
    const ticket = ++tickets;
    Object.assign(place, { run, ticket, givesWay: false });
    Promise.race([run.start(hand, ticket), hand.broken.catch((why: Error) => Promise.reject(new Broken(why.message)))])
      .then(run.done, (why: unknown) => {
        if (why instanceof Broken) {
          hand.end();
          place.hand = undefined;
          if (++run.breaks < BREAKS && !run.how.signal?.aborted) row.unshift(run);
          else run.fail(why);
        } else if (place.givesWay && !run.how.signal?.aborted) row.unshift(run);
        else run.fail(why);
      })
      .finally(() => {
        place.run = undefined;
        next();
      });
  }

  function next(): void {
    if (ended) return;
    for (let i = row.length - 1; i >= 0; i--) if (row[i]?.how.signal?.aborted) row.splice(i, 1);
    for (;;) {
      const urgent = row.findIndex((r) => r.how.urgent);
      const run = row[Math.max(0, urgent)] as Run | undefined;
      if (!run) return;
      const place = urgent >= 0 ? places.find((p) => !p.run) : places.findLast((p) => !p.run);
      if (!place) {
        if (urgent >= 0) giveWay(row.filter((r) => r.how.urgent).length);
        return;
      }
      row.splice(row.indexOf(run), 1);
      begin(place, run);
    }
  }

  /** Makes room for so many urgent runs. */
  function giveWay(wanted: number): void {
    const free = places.filter((p) => p.run && !p.run.how.urgent);
    const asked = free.filter((p) => p.givesWay).length;
    for (const place of free.filter((p) => !p.givesWay).slice(0, Math.max(0, wanted - asked))) {
      place.givesWay = true;
      place.hand?.leave(place.ticket);
    }
  }

  return {
    /** Does a run on whichever worker is free first. Errors: those of the work, of a worker that broke twice, or the signal's reason. */
    run<J extends JobName>(job: J, asked: Asked<J>, how: How = {}): Promise<Answer<J>> {
      return new Promise<Answer<J>>((done, fail) => {
        if (ended) return fail(new Left('The workers were ended.'));
        if (how.signal?.aborted) return fail(how.signal.reason as Error);
        const run: Run = {
          how,
          start: (hand, ticket) => hand.work(ticket, job, ...asked),
          done: (answer) => done(answer as Answer<J>),
          fail: (why) => fail(why as Error),
          breaks: 0,
        };
        how.signal?.addEventListener(
          'abort',
          () => {
            fail(how.signal?.reason as Error);
            const at = places.find((p) => p.run === run);
            at?.hand?.leave(at.ticket);
          },
          { once: true },
        );
        row.push(run);
        next();
      });
    },
    /** Ends all workers; what they were at fails. */
    end(): void {
      ended = true;
      const why = new Left('The workers were ended.');
      for (const r of row.splice(0)) r.fail(why);
      for (const p of places) {
        p.run?.fail(why);
        p.hand?.end();
      }
    },
  };
}
export type WorkerPool = ReturnType<typeof workerPool>;
