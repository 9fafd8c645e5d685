import { dirname, join } from 'node:path';
import { DatabaseTrouble, openDatabase, type Database } from '@/db';
import { clearOut, newCopyIn, CopyTrouble, makeCopy, recordCopy, type CopyRecord, type Made } from '@/db/copy';

/** Where copies go that are made unasked; undefined: none are made by the clock nor before an upgrade. */
export interface CopiesFolder {
  readonly folder: string | undefined;
  /** Where a copy goes that is made before another is opened, whatever is said of the others. */
  readonly always: string;
}
export const NO_COPIES = 'none';
/** @param said what the machine's setting says: a folder, `none`, or nothing, for one beside the database */
export function copiesFolder(database: string, said: string | undefined): CopiesFolder {
  const beside = join(dirname(database), 'copies');
  return {
    folder: said === NO_COPIES ? undefined : (said ?? beside),
    always: said === undefined || said === NO_COPIES ? beside : said,
  };
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
export async function openKitchen(file: string, { folder }: CopiesFolder): Promise<Database> {
  let before: Made | undefined;
  const db = await openDatabase(file, {
    beforeUpgrade: async () => {
      if (folder === undefined) return;
      const to = newCopyIn(folder, 'before-upgrade', new Date());
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
  if (before && folder !== undefined) {
    await recordCopy(db, recordOf(before));
    clearOut(folder, new Date());
  }
  return db;
}
