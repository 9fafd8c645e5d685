import type { QueryInterface } from 'sequelize';
import { addColumns, index } from './kept';

const BATCH_COLUMNS = {
  family: 'TEXT',
  overall: 'INTEGER',
  note: 'TEXT',
  clean_at_s: 'REAL',
  planned_s: 'REAL',
  search: 'TEXT',
  facts: 'TEXT',
  seen: 'TEXT',
  derived: 'INTEGER NOT NULL DEFAULT 0',
} as const;

export const name = '004-lists';

/**
 * Lists are read from columns, not from documents: what a list shows of a batch, worked out from its document and events (`derived` is the
 * version of that working out); who wrote a plan last; when an event reached the kitchen.
 */
export async function up(q: QueryInterface): Promise<void> {
  await addColumns(q, 'plans', { writer: "TEXT NOT NULL DEFAULT ''", search: "TEXT NOT NULL DEFAULT ''" });
  await q.sequelize.query("UPDATE plans SET search = lower(name) WHERE search = ''");
  await addColumns(q, 'plan_versions', { writer: "TEXT NOT NULL DEFAULT ''" });
  await addColumns(q, 'batch_events', { received_at: 'TEXT' });
  await addColumns(q, 'batches', BATCH_COLUMNS);
  await index(q, 'plans', ['updated_at', 'id']);
  // A word is looked for in the index, in the order of the list: the documents beside it are not read.
  await index(q, 'batches', ['started_at', 'id', 'search']);
  // All that learning reads, beside the documents.
  await index(q, 'batches', ['finished_at', 'id', 'name', 'started_at', 'facts', 'seen', 'model_version', 'model_s']);
  await index(q, 'batches', ['family', 'started_at']);
  await index(q, 'batches', ['derived']);
}

export async function down(q: QueryInterface): Promise<void> {
  for (const column of Object.keys(BATCH_COLUMNS)) await q.removeColumn('batches', column);
  await q.removeColumn('batch_events', 'received_at');
  await q.removeColumn('plan_versions', 'writer');
  await q.removeColumn('plans', 'writer');
  await q.removeColumn('plans', 'search');
}
