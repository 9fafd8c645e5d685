import type { Transaction } from 'sequelize';
import { TRASH_DAYS, type Kitchen } from '@/core/kitchen';
import { batchStore } from '../batches';
import type { Database } from '../connect';
import { freshId } from '../freshId';
import { compare, lineKey, ownSettings, selectOn, type CopyKind, type CopyLine, type CopyPlace } from './compare';
import { BATCH_STATE, DOCUMENTS, keepVersions, runOn, STATE, type CopySaid, type Run } from './openings';
import { CopyTrouble, copyTroubleOf } from './trouble';

export interface TakenIn {
  readonly opening: string;
  /** How many were brought in, replaced or put together, and put into the trash. */
  readonly counts: Readonly<Record<CopyPlace, number>>;
}

const DAY_MS = 86_400_000;
const BEFORE = "json_object('document', document, 'sum', sum, 'deletedAt', deleted_at)";

/** Columns that this kitchen's table and the copy's both have, without those numbered anew. */
async function columnsOf(
  db: Database,
  transaction: Transaction,
  table: string,
  but: readonly string[] = [],
): Promise<readonly string[]> {
  const select = selectOn(db.sequelize, transaction);
  const names = async (place: string) =>
    (await select<{ name: string }>(`SELECT name FROM pragma_table_info('${table}', '${place}')`)).map((c) => c.name);
  const there = new Set(await names('there'));
  return (await names('main')).filter((c) => there.has(c) && !but.includes(c));
}

/** Ids of a kind that were chosen: of what is in the copy alone, of what differs, and of what is here alone. */
const chosenByPlace = (kind: CopyKind) => {
  const of = (where: CopyPlace) => chosenOf(kind, where);
  return { missing: of('there'), differing: of('both'), extra: of('here') };
};
const chosenOf = (kind: CopyKind, where: CopyPlace): string =>
  `SELECT id FROM temp.chosen WHERE kind = '${kind}' AND place = '${where}'`;
/** What was deleted there long ago is deleted here from now on: it can be brought back for its days. */
const deletedThere = 'CASE WHEN t.deleted_at < :oldest THEN :now ELSE t.deleted_at END';

interface Taking {
  readonly db: Database;
  readonly transaction: Transaction;
  readonly run: Run;
  readonly opening: string;
  /** What the statements name: the opening, now, and since when what was deleted can still be brought back. */
  readonly times: { readonly opening: string; readonly now: string; readonly oldest: string };
}

const insertMissing = async (
  { db, transaction, run, times }: Taking,
  table: string,
  where: string,
  but: readonly string[] = [],
  over: Readonly<Record<string, string>> = {},
) => {
  const columns = await columnsOf(db, transaction, table, [...but, ...Object.keys(over)]);
  const all = [...columns.map((c) => `"${c}"`), ...Object.keys(over)];
  const values = [...columns.map((c) => `t."${c}"`), ...Object.values(over)];
  await run(
    `INSERT INTO main."${table}" (${all.join(', ')}) SELECT ${values.join(', ')} FROM there."${table}" t WHERE ${where} ORDER BY t.rowid`,
    times,
  );
};
const remember = ({ run, opening }: Taking, kind: string, table: string, ids: string, before: string) =>
  run(
    `INSERT INTO main.opening_rows (opening, kind, id, before) SELECT :opening, :kind, id, ${before} FROM main."${table}" WHERE id IN (${ids})`,
    { opening, kind },
  );
const seal = ({ run, opening }: Taking, kind: string, table: string, state: string) =>
  run(
    `UPDATE main.opening_rows SET after = (SELECT ${state} FROM main."${table}" m WHERE m.id = opening_rows.id) WHERE opening = :opening AND kind = :kind`,
    { opening, kind },
  );

/** Plans and things of the rack. */
async function takeDocuments(taking: Taking): Promise<void> {
  const { run, times } = taking;
  for (const [kind, table] of DOCUMENTS) {
    const { missing, differing, extra } = chosenByPlace(kind);
    await insertMissing(taking, table, `t.id IN (${missing})`, [], { deleted_at: deletedThere });
    await remember(taking, kind, table, missing, 'NULL');
    await remember(taking, kind, table, `${differing} UNION ${extra}`, BEFORE);
    const more = kind === 'plan' ? ", name = t.name, family = t.family, search = t.search, writer = ''" : '';
    await run(
      `UPDATE main."${table}" SET document = t.document, sum = t.sum, deleted_at = ${deletedThere}, revision = main."${table}".revision + 1, updated_at = :now${more}
       FROM there."${table}" t WHERE t.id = main."${table}".id AND t.id IN (${differing})`,
      times,
    );
    await run(
      `UPDATE main."${table}" SET deleted_at = :now, revision = revision + 1, updated_at = :now WHERE id IN (${extra})`,
      times,
    );
    await seal(taking, kind, table, STATE);
  }
  await insertMissing(taking, 'plan_versions', `t.plan_id IN (${chosenOf('plan', 'there')})`, ['id']);
  await keepVersions(run, chosenOf('plan', 'both'), times.now);
}

async function takeSettings(taking: Taking): Promise<void> {
  const { db, transaction, run, opening, times } = taking;
  const { missing, differing } = chosenByPlace('settings');
  await remember(taking, 'settings', 'settings', differing, "json_object('document', document, 'sum', sum)");
  await insertMissing(taking, 'settings', `t.id IN (${missing})`);
  await remember(taking, 'settings', 'settings', missing, 'NULL');
  await run(
    `UPDATE main.settings SET document = t.document, sum = t.sum, revision = main.settings.revision + 1, updated_at = :now
     FROM there.settings t WHERE t.id = main.settings.id AND t.id IN (${differing})`,
    times,
  );
  const [is] = await selectOn(
    db.sequelize,
    transaction,
  )<{ document: string }>(`SELECT document FROM main.settings WHERE id IN (${missing} UNION ${differing})`);
  if (is)
    await run("UPDATE main.opening_rows SET after = :after WHERE opening = :opening AND kind = 'settings'", {
      opening,
      after: ownSettings(is.document),
    });
}

const BATCH_BEFORE = "json_object('deletedAt', deleted_at, 'snapshot', snapshot, 'sum', sum)";
async function takeBatches(taking: Taking): Promise<void> {
  const { db, transaction, run, opening, times } = taking;
  const { missing, differing, extra } = chosenByPlace('batch');
  await insertMissing(taking, 'batches', `t.id IN (${missing})`, [], {
    plan_id: 'CASE WHEN EXISTS (SELECT 1 FROM main.plans p WHERE p.id = t.plan_id) THEN t.plan_id END',
    deleted_at: deletedThere,
  });
  await remember(taking, 'batch', 'batches', missing, 'NULL');
  await remember(taking, 'batch', 'batches', `${differing} UNION ${extra}`, BATCH_BEFORE);
  await run(
    `UPDATE main.batches SET snapshot = t.snapshot, sum = t.sum, deleted_at = ${deletedThere}, updated_at = :now
     FROM there.batches t WHERE t.id = main.batches.id AND t.id IN (${differing})`,
    times,
  );
  await run(`UPDATE main.batches SET deleted_at = :now, updated_at = :now WHERE id IN (${extra})`, times);
  const of = `t.batch_id IN (${missing} UNION ${differing})`;
  // Photos before the words of them, and both only where they are not here already.
  const pictures = `${of} AND NOT EXISTS (SELECT 1 FROM main.batch_photos h WHERE h.id = t.id)`;
  await run(
    `INSERT INTO main.opening_rows (opening, kind, id) SELECT :opening, 'photo', t.id FROM there.batch_photos t WHERE ${pictures}`,
    { opening },
  );
  await insertMissing(taking, 'batch_photos', pictures, [], { deleted_at: deletedThere });
  await insertMissing(
    taking,
    'batch_events',
    `${of} AND NOT EXISTS (SELECT 1 FROM main.batch_events h WHERE h.key = t.key)`,
    ['id'],
    { opening: ':opening' },
  );
  const merged = await selectOn(db.sequelize, transaction)<{ id: string }>(`${differing}`);
  const batches = batchStore(db);
  for (const { id } of merged) await batches.workOut(id, times.now, transaction);
  await seal(taking, 'batch', 'batches', BATCH_STATE);
}

/**
 * Takes what was chosen of a copy into this kitchen, in one transaction: all of it, or nothing. What is written down of a batch is put together, by
 * its keys. What it changes is remembered, so that it can be undone.
 * @param there the copy's database, unpacked and up to date
 * @param chosen what was chosen, as the cook saw it
 * @throws CopyTrouble `changed` where what was chosen is not as the cook saw it any more
 */
export async function takeIn(
  db: Database,
  there: string,
  {
    kitchen,
    chosen,
    copy,
    nowMs = Date.now(),
  }: {
    readonly kitchen: Kitchen;
    readonly chosen: readonly CopyLine[];
    readonly copy: CopySaid;
    readonly nowMs?: number;
  },
): Promise<TakenIn> {
  const opening = freshId();
  const now = new Date(nowMs).toISOString();
  const work = async (transaction: Transaction): Promise<void> => {
    const run = runOn(db, transaction);
    const found = new Map((await compare(selectOn(db.sequelize, transaction), kitchen)).map((l) => [lineKey(l), l]));
    const gone = chosen.find((l) => {
      const is = found.get(lineKey(l));
      return is?.where !== l.where || is.seal !== l.seal || (l.where === 'here' && is.running);
    });
    if (gone)
      throw new CopyTrouble(
        'changed',
        `“${gone.name}” was changed here meanwhile; look at the copy again, then choose. Nothing was taken in.`,
      );
    await run('CREATE TEMP TABLE chosen (kind TEXT, id TEXT, place TEXT, PRIMARY KEY (kind, id)) WITHOUT ROWID');
    await run('INSERT INTO temp.chosen SELECT value ->> 0, value ->> 1, value ->> 2 FROM json_each(:chosen)', {
      chosen: JSON.stringify(chosen.map((l) => [l.kind, l.id, l.where])),
    });
    await run('INSERT INTO main.openings (id, at, copy) VALUES (:opening, :now, :copy)', {
      opening,
      now,
      copy: JSON.stringify(copy),
    });
    const times = { opening, now, oldest: new Date(nowMs - TRASH_DAYS * DAY_MS).toISOString() };
    const taking: Taking = { db, transaction, run, opening, times };
    await takeDocuments(taking);
    await takeSettings(taking);
    await takeBatches(taking);
    await run('DROP TABLE temp.chosen');
  };
  await db.writeBeside(there, work).catch((e: unknown) => {
    throw copyTroubleOf('what is taken in', e);
  });
  const count = (where: CopyPlace): number => chosen.filter((l) => l.where === where).length;
  return { opening, counts: { there: count('there'), both: count('both'), here: count('here') } };
}
