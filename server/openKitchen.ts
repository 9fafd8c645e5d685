import { basename, dirname, extname, join } from 'node:path';
import { DatabaseTrouble, openDatabase, type Database } from '@/db';
import {
  clearOut,
  newCopyIn,
  CopyTrouble,
  makeCopy,
  recordCopy,
  type CopyRecord,
  type CopyShelf,
  type Made,
} from '@/db/copy';

/** Where the copies of a kitchen are. */
export interface CopiesFolder {
  /** Those that are made by the clock and before an upgrade; undefined: none are. */
  readonly unasked: CopyShelf | undefined;
  /** Those that are made before another is opened, whatever is said of the others. */
  readonly always: CopyShelf;
}
export const NO_COPIES = 'none';
/** @param said what the machine's setting says: a folder, `none`, or nothing, for one beside the database */
export function copiesFolder(database: string, said: string | undefined): CopiesFolder {
  const stem = basename(database, extname(database));
  const folder = said === undefined || said === NO_COPIES ? join(dirname(database), 'copies') : said;
  return { unasked: said === NO_COPIES ? undefined : { folder, stem }, always: { folder, stem } };
}

/** A copy as it is written down. */
export const recordOf = (made: Made, place = made.file): Omit<CopyRecord, 'id'> => ({
  madeAt: made.manifest.madeAt,
  why: made.manifest.why,
  place,
  bytes: made.bytes,
  counts: made.manifest.counts,
  unreadable: made.unreadable,
  problem: null,
});

/**
 * Opens a kitchen; one of an older release is copied before it is brought up to date.
 * @throws DatabaseTrouble also where that copy cannot be made: then the kitchen is as it was
 */
export async function openKitchen(file: string, { unasked }: CopiesFolder): Promise<Database> {
  let before: Made | undefined;
  const db = await openDatabase(file, {
    beforeUpgrade: async () => {
      if (unasked === undefined) return;
      const to = newCopyIn(unasked, 'before-upgrade', new Date());
      try {
        before = await makeCopy(file, to, { why: 'before-upgrade' });
      } catch (e) {
        if (!(e instanceof CopyTrouble)) throw e;
        throw new DatabaseTrouble(
          'no-room',
          `${e.message} The kitchen in ${file} is of an older release, and a copy of it comes before it is brought up to date; it is as it was. Name a folder for copies in IDLE_LADLE_COPIES, or ${NO_COPIES} to go on without.`,
          e,
        );
      }
      console.log(`The kitchen is of an older release; before it is brought up to date it was copied to ${to}.`);
    },
  });
  if (before && unasked) {
    await recordCopy(db, recordOf(before));
    clearOut(unasked, new Date());
  }
  return db;
}
