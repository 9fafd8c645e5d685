import type { Transaction } from 'sequelize';
import type { Database } from '../connect';
import { RACK_KINDS } from '../kitchen';
import { RACK_TABLES } from '../models';
import { selectOn, type CopyKind } from './compare';

/** The copy that was opened, as it is remembered. */
export interface CopySaid {
  /** What the cook calls the file. */
  readonly called: string;
  readonly madeAt: string;
  readonly kitchen: string;
  /** Where the safety copy lies that was made before. */
  readonly safety: string;
}
/** An opening of a copy that can be undone, or was. */
export interface Opening {
  readonly id: string;
  readonly at: string;
  readonly undoneAt: string | null;
  readonly copy: CopySaid;
  /** How many things it changed. */
  readonly things: number;
}

/** Kinds that are a document in a row of their own, and their tables. */
export const DOCUMENTS: readonly (readonly [kind: Exclude<CopyKind, 'batch' | 'settings'>, table: string])[] = [
  ['plan', 'plans'],
  ...RACK_KINDS.map((kind) => [kind, RACK_TABLES[kind]] as const),
];
/** By this of a row it is known whether somebody changed it since. */
export const STATE = "coalesce(sum, document) || '|' || coalesce(deleted_at, '')";
export const BATCH_STATE = "coalesce(deleted_at, '')";

export type Run = (sql: string, replacements?: Record<string, unknown>) => Promise<void>;
export const runOn =
  (db: Database, transaction: Transaction): Run =>
  async (sql, replacements) =>
    void (await db.sequelize.query(sql, { replacements, transaction }));

/** Plans as they stand now are versions of their own. */
export const keepVersions = (run: Run, ids: string, now: string): Promise<void> =>
  run(
    `INSERT INTO main.plan_versions (plan_id, revision, refused, writer, document, sum, created_at)
     SELECT id, revision, 0, '', document, sum, :now FROM main.plans WHERE id IN (${ids})`,
    { now },
  );

/** The openings of late, the last first. */
export async function openingsOf(db: Database, limit = 20): Promise<readonly Opening[]> {
  const rows = await selectOn(db.sequelize)<Omit<Opening, 'copy'> & { copy: string }>(
    `SELECT o.id, o.at, o.undone_at AS undoneAt, o.copy,
       (SELECT count(*) FROM opening_rows r WHERE r.opening = o.id AND r.kind <> 'photo') AS things
     FROM openings o ORDER BY o.at DESC LIMIT ${limit}`,
  );
  return rows.map((r) => ({ ...r, copy: JSON.parse(r.copy) as CopySaid }));
}
