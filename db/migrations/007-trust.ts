import { QueryTypes, type QueryInterface } from 'sequelize';
import { sumOf } from '../sum';
import { addColumns, index } from './kept';

export const name = '007-trust';

/** What of each table has a checksum beside it. */
const SUMMED: Readonly<Record<string, string>> = {
  ingredients: 'document',
  vessels: 'document',
  steamers: 'document',
  hobs: 'document',
  frying_pans: 'document',
  pots: 'document',
  appliances: 'document',
  scoops: 'document',
  settings: 'document',
  plans: 'document',
  plan_versions: 'document',
  batches: 'snapshot',
  batch_events: 'event',
  batch_photos: 'jpeg',
};
const AT_ONCE = 300;

/** Events stay as they were written; they go only with a batch that has lain in the trash for its days. */
const NO_UPDATE = `CREATE TRIGGER IF NOT EXISTS batch_events_no_update BEFORE UPDATE ON batch_events BEGIN SELECT RAISE(ABORT, 'batch events are append-only'); END`;
const NO_DELETE = `CREATE TRIGGER IF NOT EXISTS batch_events_no_delete BEFORE DELETE ON batch_events
  WHEN NOT EXISTS (SELECT 1 FROM batches WHERE id = OLD.batch_id AND deleted_at IS NOT NULL AND deleted_at < strftime('%Y-%m-%dT%H:%M:%fZ', 'now', '-30 days'))
  BEGIN SELECT RAISE(ABORT, 'batch events are append-only'); END`;

async function sumAll(q: QueryInterface, table: string, column: string): Promise<void> {
  for (let after = 0; ;) {
    const rows = await q.sequelize.query<{ row: number; kept: string | Buffer }>(
      `SELECT rowid AS row, "${column}" AS kept FROM "${table}" WHERE rowid > ? AND sum IS NULL ORDER BY rowid LIMIT ${AT_ONCE}`,
      { type: QueryTypes.SELECT, replacements: [after] },
    );
    const last = rows.at(-1);
    if (!last) return;
    const sums = rows.map((r) => `(${r.row}, ${sumOf(r.kept)})`).join(', ');
    await q.sequelize.query(
      `UPDATE "${table}" SET sum = s.column2 FROM (VALUES ${sums}) AS s WHERE "${table}".rowid = s.column1`,
    );
    after = last.row;
  }
}

/**
 * A checksum beside every document; the trash for batches and photos; the key under which a plan or batch was sent. The events' trigger has a narrow
 * door for what has been in the trash for thirty days.
 */
export async function up(q: QueryInterface): Promise<void> {
  for (const verb of ['update', 'delete']) await q.sequelize.query(`DROP TRIGGER IF EXISTS batch_events_no_${verb}`);
  await addColumns(q, 'batches', { deleted_at: 'TEXT' });
  await addColumns(q, 'batch_photos', { deleted_at: 'TEXT' });
  for (const [table, column] of Object.entries(SUMMED)) {
    await addColumns(q, table, { sum: 'INTEGER' });
    await sumAll(q, table, column);
  }
  await q.sequelize.query(NO_UPDATE);
  await q.sequelize.query(NO_DELETE);
  await index(q, 'plans', ['deleted_at']);
  await index(q, 'batches', ['deleted_at']);
  await index(q, 'batch_photos', ['deleted_at']);
}

export async function down(q: QueryInterface): Promise<void> {
  for (const table of Object.keys(SUMMED)) await q.removeColumn(table, 'sum');
}
