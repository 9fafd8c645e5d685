import type { Transaction } from 'sequelize';
import { batchStore } from '../batches';
import type { Database } from '../connect';
import { ownSettings, selectOn, teaches, type Select } from './compare';
import { BATCH_STATE, DOCUMENTS, keepVersions, runOn, STATE, type Run } from './openings';
import { CopyTrouble } from './trouble';

/** What an undo did: how many things are as before, and the names of those that were changed since and stay. */
export interface Undone {
  readonly undone: number;
  readonly stayed: readonly string[];
  /** True where it is of what the kitchen learns from. */
  readonly teaches: boolean;
}

interface Undoing {
  readonly db: Database;
  readonly transaction: Transaction;
  readonly run: Run;
  readonly select: Select;
  readonly opening: string;
  readonly now: string;
}

/** Sorts what an opening changed of a kind: what it brought goes, what it replaced is put back, what somebody changed since stays. */
async function sort(
  { run, select, opening }: Undoing,
  kind: string,
  table: string,
  { untouched, free = '1' }: { readonly untouched: string; readonly free?: string },
) {
  await run(
    `INSERT INTO temp.undoing (kind, id, how)
     SELECT kind, id, CASE WHEN NOT (${untouched}) THEN 'stay' WHEN before IS NOT NULL THEN 'back' WHEN ${free} THEN 'gone' ELSE 'stay' END
     FROM opening_rows WHERE opening = :opening AND kind = :kind AND EXISTS (SELECT 1 FROM "${table}" m WHERE m.id = opening_rows.id)`,
    { opening, kind },
  );
  const ids = (how: 'gone' | 'back' | 'stay') =>
    `SELECT id FROM temp.undoing WHERE kind = '${kind}' AND how = '${how}'`;
  const name = table === 'plans' || table === 'batches' ? 'name' : "json_extract(document, '$.name')";
  const stayed = await select<{ name: string | null }>(
    `SELECT ${name} AS name FROM "${table}" WHERE id IN (${ids('stay')})`,
  );
  return { gone: ids('gone'), back: ids('back'), stayed: stayed.map((r) => r.name ?? 'something') };
}

/** What a row of a table was before, as an expression. */
const was = (what: string, kind: string, table: string): string =>
  `(SELECT json_extract(before, '$.${what}') FROM opening_rows r WHERE r.opening = :opening AND r.kind = '${kind}' AND r.id = "${table}".id)`;

async function undoBatches(u: Undoing): Promise<readonly string[]> {
  const { db, transaction, run, select, opening, now } = u;
  const { gone, back, stayed } = await sort(u, 'batch', 'batches', {
    untouched: `after IS (SELECT ${BATCH_STATE} FROM batches m WHERE m.id = opening_rows.id)`,
    free: 'NOT EXISTS (SELECT 1 FROM batch_events e WHERE e.batch_id = opening_rows.id AND e.opening IS NOT opening_rows.opening)',
  });
  await run(
    `DELETE FROM batch_photos WHERE batch_id IN (${gone} UNION ${back}) AND id IN (SELECT id FROM opening_rows WHERE opening = :opening AND kind = 'photo')`,
    { opening },
  );
  await run(`DELETE FROM batch_events WHERE opening = :opening AND batch_id IN (${gone} UNION ${back})`, { opening });
  await run(`DELETE FROM batches WHERE id IN (${gone})`);
  await run(
    `UPDATE batches SET deleted_at = ${was('deletedAt', 'batch', 'batches')}, snapshot = ${was('snapshot', 'batch', 'batches')}, sum = ${was('sum', 'batch', 'batches')}, updated_at = :now
     WHERE id IN (${back})`,
    { opening, now },
  );
  for (const { id } of await select<{ id: string }>(back)) await batchStore(db).workOut(id, now, transaction);
  return stayed;
}

async function undoDocuments(u: Undoing, kind: string, table: string): Promise<readonly string[]> {
  const { run, opening, now } = u;
  const { gone, back, stayed } = await sort(u, kind, table, {
    untouched: `after IS (SELECT ${STATE} FROM "${table}" m WHERE m.id = opening_rows.id)`,
    // A plan from which something was cooked since stays.
    ...(kind === 'plan' ? { free: 'NOT EXISTS (SELECT 1 FROM batches b WHERE b.plan_id = opening_rows.id)' } : {}),
  });
  await run(
    `UPDATE "${table}" SET document = ${was('document', kind, table)}, sum = ${was('sum', kind, table)}, deleted_at = ${was('deletedAt', kind, table)}, revision = revision + 1, updated_at = :now
     WHERE id IN (${back})`,
    { opening, now },
  );
  if (kind === 'plan') {
    await run(
      `UPDATE plans SET name = json_extract(document, '$.name'), family = json_extract(document, '$.family'), search = lower(json_extract(document, '$.name')), writer = ''
       WHERE id IN (${back}) AND json_valid(document)`,
    );
    await keepVersions(run, back, now);
    await run(`DELETE FROM plan_versions WHERE plan_id IN (${gone})`);
  }
  await run(`DELETE FROM "${table}" WHERE id IN (${gone})`);
  return stayed;
}

/** The settings go back unless the cook changed them since; what was learned since is no change. */
async function undoSettings({ run, select, opening, now }: Undoing): Promise<readonly string[]> {
  const [row] = await select<{ id: string; after: string; is: string; before: string | null }>(
    `SELECT r.id, r.after, r.before, s.document AS "is" FROM opening_rows r JOIN settings s ON s.id = r.id WHERE r.opening = :opening AND r.kind = 'settings'`,
    { opening },
  );
  if (!row) return [];
  if (ownSettings(row.is) !== row.after) return ['Settings'];
  if (row.before === null) await run('DELETE FROM settings WHERE id = :id', { id: row.id });
  else
    await run(
      `UPDATE settings SET document = ${was('document', 'settings', 'settings')}, sum = ${was('sum', 'settings', 'settings')}, revision = revision + 1, updated_at = :now WHERE id = :id`,
      { opening, now, id: row.id },
    );
  return [];
}

/**
 * Puts back what an opening changed, but for what was changed since.
 * @throws CopyTrouble `changed` where it was undone already
 */
export const undoOpening = (db: Database, opening: string, nowMs = Date.now()): Promise<Undone> =>
  db.write(async (transaction) => {
    const u: Undoing = {
      db,
      transaction,
      run: runOn(db, transaction),
      select: selectOn(db.sequelize, transaction),
      opening,
      now: new Date(nowMs).toISOString(),
    };
    const [row] = await u.select<{ undoneAt: string | null }>(
      'SELECT undone_at AS undoneAt FROM openings WHERE id = :opening',
      { opening },
    );
    if (!row || row.undoneAt !== null) throw new CopyTrouble('changed', 'That was undone already, or is too long ago.');
    await u.run('UPDATE openings SET undoing = 1, undone_at = :now WHERE id = :opening', { opening, now: u.now });
    await u.run('CREATE TEMP TABLE undoing (kind TEXT, id TEXT, how TEXT, PRIMARY KEY (kind, id)) WITHOUT ROWID');
    // Batches first: they hang on plans.
    const stayed = [...(await undoBatches(u))];
    for (const [kind, table] of DOCUMENTS) stayed.push(...(await undoDocuments(u, kind, table)));
    stayed.push(...(await undoSettings(u)));
    const kinds = await u.select<{ kind: string }>(
      "SELECT kind FROM opening_rows WHERE opening = :opening AND kind <> 'photo'",
      { opening },
    );
    await u.run('DROP TABLE temp.undoing');
    await u.run('UPDATE openings SET undoing = 0 WHERE id = :opening', { opening });
    return { undone: kinds.length - stayed.length, stayed, teaches: kinds.some((k) => teaches(k.kind)) };
  });
