import type { QueryInterface } from 'sequelize';
import { addColumns } from './kept';

export const name = '008-copies';

/** Events go with a batch that has lain in the trash for its days, or with the copy that they came in with, while its opening is being undone. */
const NO_DELETE = `CREATE TRIGGER batch_events_no_delete BEFORE DELETE ON batch_events
  WHEN NOT EXISTS (SELECT 1 FROM batches WHERE id = OLD.batch_id AND deleted_at IS NOT NULL AND deleted_at < strftime('%Y-%m-%dT%H:%M:%fZ', 'now', '-30 days'))
   AND NOT EXISTS (SELECT 1 FROM openings WHERE id = OLD.opening AND undoing = 1)
  BEGIN SELECT RAISE(ABORT, 'batch events are append-only'); END`;

/** When copies were made and where; what opening one changed, so that it can be undone. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(
    `CREATE TABLE IF NOT EXISTS copies (id TEXT PRIMARY KEY, made_at TEXT NOT NULL, why TEXT NOT NULL, place TEXT NOT NULL, bytes INTEGER, counts TEXT, unreadable INTEGER, problem TEXT)`,
  );
  await q.sequelize.query(
    `CREATE TABLE IF NOT EXISTS openings (id TEXT PRIMARY KEY, at TEXT NOT NULL, copy TEXT NOT NULL, undone_at TEXT, undoing INTEGER NOT NULL DEFAULT 0)`,
  );
  await q.sequelize.query(
    `CREATE TABLE IF NOT EXISTS opening_rows (opening TEXT NOT NULL REFERENCES openings (id) ON DELETE CASCADE, kind TEXT NOT NULL, id TEXT NOT NULL, before TEXT, after TEXT, PRIMARY KEY (opening, kind, id)) WITHOUT ROWID`,
  );
  await addColumns(q, 'batch_events', { opening: 'TEXT' });
  await q.sequelize.query(
    'CREATE INDEX IF NOT EXISTS batch_events_opening ON batch_events (opening) WHERE opening IS NOT NULL',
  );
  await q.sequelize.query('DROP TRIGGER IF EXISTS batch_events_no_delete');
  await q.sequelize.query(NO_DELETE);
}

export async function down(q: QueryInterface): Promise<void> {
  for (const table of ['opening_rows', 'openings', 'copies']) await q.dropTable(table);
}
