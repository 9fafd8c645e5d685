import { join } from 'node:path';
import { bad, good, problem, type Result } from '@/core/units';
import {
  copiesIn,
  CopyTrouble,
  lastFailed,
  lastGood,
  openingsOf,
  previewOf,
  teaches,
  uncopiedSince,
  UNCOPIED_MS,
  undoOpening,
  type CopyRecord,
  type KeptCopy,
  type Opening,
  type Undone,
} from '@/db/copy';
import type { CopiesFolder } from '../openKitchen';
import type { BaseStore } from '../baseStore';
import type { Learner } from '../learn';
import type { Live } from '../live';
import { busy, copyJobs, type CopyJob } from './jobs';
import { openedCopy, type CopyChoice, type OpenedCopy } from './opened';
import { takeCopy } from './take';
import { copyOfTheNight } from './night';
import { outgoing, savedCopy, type Outgoing } from './outgoing';
import { closedProblem, copyUploads } from './uploads';
import type { CopyWork } from './work';

export interface CopiesState {
  /** The folder of the copies that are made unasked; null: none are made. */
  readonly folder: string | null;
  readonly last: CopyRecord | null;
  /** The last, where it could not be made. */
  readonly failed: CopyRecord | null;
  readonly kept: readonly (Omit<KeptCopy, 'at'> & { readonly at: string; readonly bytes: number })[];
  readonly job: CopyJob | null;
  readonly opened: OpenedCopy | null;
  readonly openings: readonly Opening[];
}
/** Makes, keeps, opens and takes in copies of the kitchen, one at a time. */
export function copyDesk(
  store: Pick<BaseStore, 'db' | 'kitchenState' | 'sinceWritten'> & { readonly learner: Learner; readonly live: Live },
  work: CopyWork,
  folders: CopiesFolder,
) {
  const { db } = store;
  const jobs = copyJobs();
  const uploads = copyUploads(db.file);
  const open = openedCopy();
  const asked = savedCopy(db, jobs, work);
  const unasked = copyOfTheNight(db, jobs, work, folders);
  /** The opened copy against the kitchen as it stands now. */
  async function compareAgain(): Promise<void> {
    const lying = open.now();
    if (!lying) return;
    const { kitchen } = await store.kitchenState();
    open.put({ ...lying, lines: await previewOf(db.file, lying, kitchen) });
  }
  /** The kitchen is another now: lists, learning and open pages are told. */
  async function changed(learns: boolean): Promise<void> {
    if (learns) store.learner.wake();
    store.live.wake();
    await compareAgain().catch(() => open.close());
  }
  const openFrom = (file: string, called: string, after: () => void): Result<{ readonly job: string }> =>
    jobs.begin('open', async (watched, id) => {
      open.close();
      try {
        const made = await work.open(file, called, watched);
        open.put({ ...made, id, called, lines: [] });
        watched.onProgress({ phase: 'comparing', done: 0, all: 0 });
        await compareAgain();
        return {};
      } catch (e) {
        open.close();
        throw e;
      } finally {
        after();
      }
    });
  const keptCopy = (name: string) => copiesIn(folders.always).find((c) => c.name === name);

  return {
    night: unasked.night,
    uploads,
    lines: open.lines,
    stop: jobs.stop,
    settled: jobs.settled,
    async state(): Promise<CopiesState> {
      return {
        folder: folders.unasked?.folder ?? null,
        last: (await lastGood(db)) ?? null,
        failed: (await lastFailed(db)) ?? null,
        kept: copiesIn(folders.always).map((c) => ({ ...c, at: c.at.toISOString() })),
        job: jobs.now(),
        opened: open.state(),
        openings: await openingsOf(db),
      };
    },
    /** Days since the last good copy, where they are too many; null where all is well. */
    async overdue(nowMs = Date.now()): Promise<number | null> {
      const since = await store.sinceWritten('uncopied', () => uncopiedSince(db));
      return since !== undefined && nowMs - since > UNCOPIED_MS ? Math.floor((nowMs - since) / 86_400_000) : null;
    },
    save: asked.save,
    saved: asked.saved,
    /** A copy of the folder as it goes out. */
    kept(name: string): Outgoing | undefined {
      const found = keptCopy(name);
      return found && outgoing(join(folders.always.folder, name), found.bytes);
    },
    /** Begins to open what was sent. Errors: `busy`, `no-such-thing`. */
    openSent(id: string): Result<{ readonly job: string }> {
      const sent = uploads.whole(id);
      return sent ? openFrom(sent.file, sent.called, () => uploads.drop(id)) : bad(closedProblem());
    },
    /** Begins to open one of the folder. Errors: `busy`, `no-such-thing`. */
    openKept(name: string): Result<{ readonly job: string }> {
      const found = keptCopy(name);
      return found ? openFrom(join(folders.always.folder, name), name, () => undefined) : bad(closedProblem());
    },
    close(): void {
      if (!jobs.running()) open.close();
    },
    /** Begins to take what is chosen into the kitchen, after a copy of it as it is. Errors: `busy`, `no-such-thing`, `nothing-chosen`. */
    take(id: string, choice: CopyChoice): Result<{ readonly job: string }> {
      const lying = open.now();
      if (lying?.id !== id) return bad(closedProblem());
      const chosen = open.chosen(choice);
      if (chosen.length === 0) return bad(problem('nothing-chosen', 'choice', 'Choose at least one thing to take in.'));
      return jobs.begin('take', async (watched) => {
        const { kitchen } = await store.kitchenState();
        try {
          return {
            taken: await takeCopy(db, work, folders, { opened: lying, called: lying.called, chosen, kitchen }, watched),
          };
        } finally {
          await changed(chosen.some((l) => teaches(l.kind)));
        }
      });
    },
    /** Undoes an opening. Errors: `busy`, `changed`. */
    async undo(opening: string): Promise<Result<Undone>> {
      if (jobs.running()) return bad(busy());
      try {
        const done = await undoOpening(db, opening);
        await changed(done.teaches);
        return good(done);
      } catch (e) {
        if (e instanceof CopyTrouble) return bad(problem(e.code, '', e.message));
        throw e;
      }
    },
    async end(): Promise<void> {
      unasked.end();
      await jobs.end();
      asked.drop();
      open.close();
      uploads.end();
    },
  };
}
export type CopyDesk = ReturnType<typeof copyDesk>;
