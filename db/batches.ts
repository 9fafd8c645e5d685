import { snapshotSchema, eventSchema, type BatchEvent, type Snapshot, type StampedEvent } from '@/core/notebook';
import { bad, good, problem, type Result } from '@/core/units';
import type { Database } from './connect';
import type { BatchEventRow, BatchRow } from './models';

export interface StoredBatch {
  readonly id: string;
  readonly planId: string | null;
  readonly planRevision: number;
  readonly name: string;
  readonly startedAt: string;
  readonly finishedAt: string | null;
  readonly snapshot: Snapshot;
  readonly events: readonly StampedEvent[];
  /** Its time by the models of a version, worked out after it was cooked, s. */
  readonly modelVersion: number | null;
  readonly modelS: number | null;
}

const missing = () => problem('no-such-batch', 'id', 'There is no such batch in the notebook.');

export const batchStore = (db: Database) => {
  const { batches, batchEvents } = db.models;
  const stamped = (row: BatchEventRow): StampedEvent[] => {
    const parsed = eventSchema.safeParse(JSON.parse(row.event));
    return parsed.success ? [{ ...parsed.data, id: row.id ?? 0, at: row.at }] : [];
  };
  const whole = (row: BatchRow, events: readonly StampedEvent[]): StoredBatch => ({
    id: row.id,
    planId: row.planId,
    planRevision: row.planRevision,
    name: row.name,
    startedAt: row.startedAt,
    finishedAt: row.finishedAt,
    snapshot: snapshotSchema.parse(JSON.parse(row.snapshot)),
    events,
    modelVersion: row.modelVersion ?? null,
    modelS: row.modelS ?? null,
  });
  const get = async (id: string): Promise<Result<StoredBatch>> => {
    const row = (await batches.findByPk(id))?.get({ plain: true });
    if (!row) return bad(missing());
    const events = await batchEvents.findAll({ where: { batchId: id }, order: [['id', 'ASC']] });
    return good(
      whole(
        row,
        events.flatMap((e) => stamped(e.get({ plain: true }))),
      ),
    );
  };
  return {
    get,
    async list(): Promise<StoredBatch[]> {
      const rows = (await batches.findAll({ order: [['startedAt', 'DESC']], limit: 500 })).map((r) =>
        r.get({ plain: true }),
      );
      const events = await batchEvents.findAll({ where: { batchId: rows.map((r) => r.id) }, order: [['id', 'ASC']] });
      const byBatch = new Map<string, StampedEvent[]>();
      for (const e of events.map((x) => x.get({ plain: true })))
        byBatch.set(e.batchId, [...(byBatch.get(e.batchId) ?? []), ...stamped(e)]);
      return rows.map((r) => whole(r, byBatch.get(r.id) ?? []));
    },
    async create(input: {
      planId: string | null;
      planRevision: number;
      name: string;
      snapshot: Snapshot;
      startedAt?: string;
    }): Promise<StoredBatch> {
      const at = input.startedAt ?? new Date().toISOString();
      const id = crypto.randomUUID();
      await batches.create({
        id,
        planId: input.planId,
        planRevision: input.planRevision,
        name: input.name,
        snapshot: JSON.stringify(input.snapshot),
        startedAt: at,
        finishedAt: null,
        createdAt: at,
        updatedAt: at,
      });
      return {
        id,
        planId: input.planId,
        planRevision: input.planRevision,
        name: input.name,
        startedAt: at,
        finishedAt: null,
        snapshot: input.snapshot,
        events: [],
        modelVersion: null,
        modelS: null,
      };
    },
    /** Keeps what the models of a version say of a batch, s; undefined: they cannot say. */
    async keepModel(id: string, modelVersion: number, modelS: number | undefined): Promise<void> {
      await batches.update({ modelVersion, modelS: modelS ?? null }, { where: { id } });
    },
    /** Appends one event. `key` makes a repeated send harmless. */
    async append(
      id: string,
      event: BatchEvent,
      key: string,
      at = new Date().toISOString(),
    ): Promise<Result<StoredBatch>> {
      if (!(await batches.findByPk(id))) return bad(missing());
      if (!(await batchEvents.findOne({ where: { key } }))) {
        await db.sequelize.transaction(async (transaction) => {
          await batchEvents.create({ batchId: id, at, event: JSON.stringify(event), key }, { transaction });
          if (event.kind === 'finished')
            await batches.update({ finishedAt: at, updatedAt: at }, { where: { id, finishedAt: null }, transaction });
        });
      }
      return get(id);
    },
  };
};
