import { Op, type Transaction } from 'sequelize';
import { standing, type StampedEvent } from '@/core/work/notebook';
import { DERIVED, derivedOf, eventsOf } from './batchColumns';
import type { BatchRows } from './batchRows';
import type { Database } from './connect';
import type { BatchRow } from './models';

const OLD_AT_ONCE = 100;

/** What stands beside a batch, worked out from its document and its events. */
export const batchDerived = (db: Database, { rowsOfEvents, snapshotOf }: BatchRows) => {
  const { batches, batchPhotos } = db.models;
  const workedOut = async (row: BatchRow, transaction: Transaction) => {
    const { events } = eventsOf(await rowsOfEvents(row.id, transaction));
    const snapshot = snapshotOf(row);
    const columns = derivedOf(row.name, snapshot.ok ? snapshot.value : undefined, events);
    return { events, columns: { ...columns, modelVersion: null, modelS: null } };
  };
  /** Columns of a row that an older version wrote, or that are damaged; when it was finished stays as it was written. */
  const deriveRow = async (row: BatchRow, transaction: Transaction): Promise<void> => {
    const { finishedAt: _kept, ...columns } = (await workedOut(row, transaction)).columns;
    await batches.update(columns, { where: { id: row.id }, transaction });
  };
  /** Photos are in the trash for as long as the word of them is taken back. */
  const keepPhotos = async (id: string, events: readonly StampedEvent[], at: string, transaction: Transaction) => {
    const here = standing(events).flatMap((e) => (e.kind === 'photographed' ? [e.photo] : []));
    await batchPhotos.update({ deletedAt: null }, { where: { batchId: id, id: here }, transaction });
    await batchPhotos.update(
      { deletedAt: at },
      { where: { batchId: id, id: { [Op.notIn]: here }, deletedAt: null } as never, transaction },
    );
  };
  /** Works out anew all that stands beside what was written down of a batch, after some of it came in or went. */
  const workOut = async (id: string, at: string, transaction: Transaction): Promise<void> => {
    const row = (await batches.findByPk(id, { transaction }))?.get({ plain: true });
    if (!row) return;
    const { events, columns } = await workedOut(row, transaction);
    await batches.update(columns, { where: { id }, transaction });
    await keepPhotos(id, events, at, transaction);
  };
  return {
    keepPhotos,
    workOut,
    /** Works out anew the columns of some batches. */
    deriveAgain: (ids: readonly string[]): Promise<void> =>
      db.write(async (transaction) => {
        const rows = (await batches.findAll({
          where: { id: [...ids] },
          raw: true,
          transaction,
        })) as unknown as BatchRow[];
        for (const row of rows) await deriveRow(row, transaction);
      }),
    /**
     * Works out anew the columns of rows that an older version wrote, some at a time. Answers with how many.
     * @param onPart is told after each part how many are done
     */
    async deriveOld(onPart: (done: number) => void = () => undefined): Promise<number> {
      let done = 0;
      for (;;) {
        const some = await db.write(async (transaction) => {
          const rows = (await batches.findAll({
            where: { derived: { [Op.ne]: DERIVED } } as never,
            limit: OLD_AT_ONCE,
            raw: true,
            transaction,
          })) as unknown as BatchRow[];
          for (const row of rows) await deriveRow(row, transaction);
          return rows.length;
        });
        done += some;
        if (some > 0) onPart(done);
        if (some < OLD_AT_ONCE) return done;
      }
    },
  };
};
export type BatchDerived = ReturnType<typeof batchDerived>;
