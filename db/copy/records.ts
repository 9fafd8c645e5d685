import type { Database } from '../connect';
import { freshId } from '../freshId';
import { selectOn } from './compare';
import type { Counts, Why } from './manifest';
import { runOn } from './openings';

/** A copy that was made, or was not and why. */
export interface CopyRecord {
  readonly id: string;
  readonly madeAt: string;
  readonly why: Why;
  /** The file, or "downloaded". */
  readonly place: string;
  readonly bytes: number | null;
  readonly counts: Counts | null;
  readonly unreadable: number;
  /** Why it could not be made; null for a good one. */
  readonly problem: string | null;
}
const MOST = 300;
const COLUMNS = 'id, made_at AS madeAt, why, place, bytes, counts, unreadable, problem';
type Row = Omit<CopyRecord, 'counts'> & { counts: string | null };
const readRecord = (r: Row): CopyRecord => ({
  ...r,
  counts: r.counts === null ? null : (JSON.parse(r.counts) as Counts),
});

/** Writes down that a copy was made, or was not. */
export const recordCopy = (db: Database, record: Omit<CopyRecord, 'id'>): Promise<void> =>
  db.write(async (transaction) => {
    const run = runOn(db, transaction);
    await run(
      'INSERT INTO copies (id, made_at, why, place, bytes, counts, unreadable, problem) VALUES (:id, :madeAt, :why, :place, :bytes, :counts, :unreadable, :problem)',
      { ...record, id: freshId(), counts: record.counts && JSON.stringify(record.counts) },
    );
    await run(`DELETE FROM copies WHERE id IN (SELECT id FROM copies ORDER BY made_at DESC LIMIT -1 OFFSET ${MOST})`);
  });

/** The last good copy; undefined where none was made. */
export async function lastGood(db: Database): Promise<CopyRecord | undefined> {
  const [row] = await selectOn(db.sequelize)<Row>(
    `SELECT ${COLUMNS} FROM copies WHERE problem IS NULL ORDER BY made_at DESC LIMIT 1`,
  );
  return row && readRecord(row);
}
/** The last that could not be made, where none was made since. */
export async function lastFailed(db: Database): Promise<CopyRecord | undefined> {
  const [row] = await selectOn(db.sequelize)<Row>(`SELECT ${COLUMNS} FROM copies ORDER BY made_at DESC LIMIT 1`);
  return row?.problem ? readRecord(row) : undefined;
}

/** After so long without a good copy the cook is told, ms. */
export const UNCOPIED_MS = 3 * 86_400_000;
/** Since when there has been something that no copy has: the last good one, or the first that was written down, ms; undefined in an empty kitchen. */
export async function uncopiedSince(db: Database): Promise<number | undefined> {
  const good = await lastGood(db);
  if (good) return Date.parse(good.madeAt);
  const [row] = await selectOn(db.sequelize)<{ first: string | null }>(
    'SELECT min(at) AS first FROM (SELECT min(created_at) AS at FROM plans UNION ALL SELECT min(created_at) FROM vessels)',
  );
  return typeof row?.first === 'string' ? Date.parse(row.first) : undefined;
}
