import { batchDerived } from './batchDerived';
import { batchLists } from './batchLists';
import { batchRows } from './batchRows';
import { batchWriting } from './batchWriting';
import type { Database } from './connect';

export type { LearnedBatch, PastBlend, RunningBatch } from './batchLists';
export type { StoredBatch } from './batchRows';

/** The notebook: a batch by itself, what is worked out of it, many at a time, and what is written down. */
export const batchStore = (db: Database) => {
  const rows = batchRows(db);
  const derived = batchDerived(db, rows);
  const { workOut, deriveAgain, deriveOld } = derived;
  const { get, unreadable } = rows;
  return {
    get,
    unreadable,
    workOut,
    deriveAgain,
    deriveOld,
    ...batchLists(db, derived),
    ...batchWriting(db, rows, derived),
  };
};
