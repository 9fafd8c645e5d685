import { cleanWork, clearOut, copiesIn, CopyTrouble, isDue, newCopyIn, recordCopy, uncopiedSince } from '@/db/copy';
import type { Database } from '@/db';
import { recordOf, type CopiesFolder } from '../openKitchen';
import type { CopyJobs } from './jobs';
import type { CopyWork } from './work';

/** So often it is looked whether the night's copy is due, ms; the first time soon after the start. */
const LOOK_MS = 600_000;
const FIRST_MS = 60_000;

/** The copy that is made unasked each night, into the folder of the kitchen's copies. */
export function copyOfTheNight(db: Database, jobs: CopyJobs, work: CopyWork, { unasked }: CopiesFolder) {
  async function night(now: Date): Promise<void> {
    if (unasked === undefined || jobs.running()) return;
    const last = copiesIn(unasked).find((c) => c.why === 'nightly')?.at;
    // An empty kitchen has nothing to lose.
    if (!isDue(last, now) || (await uncopiedSince(db)) === undefined) return;
    jobs.begin('night', async (watched) => {
      try {
        cleanWork(db.file, unasked.folder);
        const made = await work.make(newCopyIn(unasked, 'nightly', now), 'nightly', watched);
        await recordCopy(db, recordOf(made));
        clearOut(unasked, now);
        return {};
      } catch (e) {
        const words = e instanceof CopyTrouble ? e.message : 'Something went wrong.';
        console.error(`The copy of the night was not made: ${words}`);
        await recordCopy(db, {
          madeAt: now.toISOString(),
          why: 'nightly',
          place: unasked.folder,
          bytes: null,
          counts: null,
          unreadable: 0,
          problem: words,
        });
        throw e;
      }
    });
    await jobs.settled();
  }
  const look = () => void night(new Date()).catch((e: unknown) => console.error('The copy of the night', e));
  const first = setTimeout(look, FIRST_MS).unref();
  const timer = setInterval(look, LOOK_MS).unref();

  return {
    night,
    end: () => {
      clearTimeout(first);
      clearInterval(timer);
    },
  };
}
