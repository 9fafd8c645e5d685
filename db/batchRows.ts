import type { Transaction } from 'sequelize';
import { readSnapshot, type Snapshot, type StampedEvent } from '@/core/work/notebook';
import { bad, good, problem, type Result } from '@/core/units';
import { eventsOf, type UnreadableEvent } from './batchColumns';
import type { Database } from './connect';
import type { BatchEventRow, BatchRow } from './models';
import { readDocument, type Unreadable } from './unreadable';

export interface StoredBatch {
  readonly id: string;
  readonly planId: string | null;
  readonly planRevision: number;
  readonly name: string;
  readonly startedAt: string;
  readonly finishedAt: string | null;
  readonly snapshot: Snapshot;
  /** All that was written down, in the order in which it happened; {@link standing} says what counts. */
  readonly events: readonly StampedEvent[];
  readonly unreadableEvents: readonly UnreadableEvent[];
}
/** Batches that are not in the trash. */
export const HERE = { deletedAt: null };

export const missing = () => problem('no-such-batch', 'id', 'There is no such batch in the notebook.');
export function storedOf(row: BatchRow, snapshot: Snapshot, rows: readonly BatchEventRow[]): StoredBatch {
  const { id, planId, planRevision, name, startedAt, finishedAt } = row;
  const { events, unreadable } = eventsOf(rows);
  return { id, planId, planRevision, name, startedAt, finishedAt, snapshot, events, unreadableEvents: unreadable };
}

/** Batches and their events as they lie in the file, one at a time. */
export const batchRows = (db: Database) => {
  const { batches, batchEvents } = db.models;
  const rowOf = async (id: string, transaction?: Transaction) =>
    (await batches.findOne({ where: { id, ...HERE }, transaction }))?.get({ plain: true });
  const rowsOfEvents = async (batchId: string, transaction?: Transaction): Promise<BatchEventRow[]> =>
    (await batchEvents.findAll({ where: { batchId }, order: [['id', 'ASC']], transaction })).map((e) =>
      e.get({ plain: true }),
    );
  const snapshotOf = (row: BatchRow) => readDocument(row.snapshot, readSnapshot, row.sum);
  const get = async (id: string): Promise<Result<StoredBatch>> => {
    const row = await rowOf(id);
    if (!row) return bad(missing());
    const snapshot = snapshotOf(row);
    return snapshot.ok ? good(storedOf(row, snapshot.value, await rowsOfEvents(id))) : snapshot;
  };
  return {
    rowOf,
    rowsOfEvents,
    snapshotOf,
    get,
    /** A batch that is there but cannot be read, as its text, with its events as far as they can be. */
    async unreadable(
      id: string,
    ): Promise<(Unreadable & { readonly name: string; readonly startedAt: string }) | undefined> {
      const row = await rowOf(id);
      if (!row) return undefined;
      const read = snapshotOf(row);
      if (read.ok) return undefined;
      return {
        id: row.id,
        revision: row.planRevision,
        raw: row.snapshot,
        problems: read.problems,
        name: row.name,
        startedAt: row.startedAt,
      };
    },
  };
};
export type BatchRows = ReturnType<typeof batchRows>;
