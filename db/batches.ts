import { Op, type Transaction } from 'sequelize';
import {
  factsOf,
  readSnapshot,
  seenSchema,
  type BatchEvent,
  type Facts,
  type KeptBatch,
  type Snapshot,
  type StampedEvent,
} from '@/core/notebook';
import { bad, good, problem, type Result } from '@/core/units';
import {
  CARD,
  cardOf,
  DERIVED,
  derivedOf,
  eventsOf,
  readFacts,
  type BatchCard,
  type UnreadableEvent,
} from './batchColumns';
import type { Database } from './connect';
import { freshId } from './freshId';
import type { BatchEventRow, BatchRow } from './models';
import { afterPlace, holding, pageOf, type Page, type Place } from './page';
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
/** A finished batch as learning reads it, with its time by the models of a version, worked out after it was cooked, s. */
export interface LearnedBatch extends KeptBatch {
  readonly modelVersion: number | null;
  readonly modelS: number | null;
}
/** Shares of the dry blend and the tasting of a past batch. */
export interface PastBlend {
  readonly name: string;
  readonly overall: number | null;
  readonly shares: Readonly<Record<string, number>>;
}

/** A batch at the stove. */
export type RunningBatch = Pick<StoredBatch, 'id' | 'name' | 'startedAt'>;

const OLD_AT_ONCE = 100;
/** A page that was out of reach for longer than this is taken at its word no further, ms. */
const LONGEST_AGO_MS = 60 * 24 * 3600 * 1000;

const missing = () => problem('no-such-batch', 'id', 'There is no such batch in the notebook.');
function storedOf(row: BatchRow, snapshot: Snapshot, rows: readonly BatchEventRow[]): StoredBatch {
  const { id, planId, planRevision, name, startedAt, finishedAt } = row;
  const { events, unreadable } = eventsOf(rows);
  return { id, planId, planRevision, name, startedAt, finishedAt, snapshot, events, unreadableEvents: unreadable };
}

export const batchStore = (db: Database) => {
  const { batches, batchEvents } = db.models;
  const rowOf = async (id: string, transaction?: Transaction) =>
    (await batches.findByPk(id, { transaction }))?.get({ plain: true });
  const rowsOfEvents = async (batchId: string, transaction?: Transaction): Promise<BatchEventRow[]> =>
    (await batchEvents.findAll({ where: { batchId }, order: [['id', 'ASC']], transaction })).map((e) =>
      e.get({ plain: true }),
    );
  const factsOfRow = (row: BatchRow): Facts | undefined => {
    const read = readDocument(row.snapshot, readSnapshot);
    return read.ok ? factsOf(read.value) : undefined;
  };
  const get = async (id: string): Promise<Result<StoredBatch>> => {
    const row = await rowOf(id);
    if (!row) return bad(missing());
    const snapshot = readDocument(row.snapshot, readSnapshot);
    return snapshot.ok ? good(storedOf(row, snapshot.value, await rowsOfEvents(id))) : snapshot;
  };
  return {
    get,
    /** A batch that is there but cannot be read, as its text, with its events as far as they can be. */
    async unreadable(
      id: string,
    ): Promise<(Unreadable & { readonly name: string; readonly startedAt: string }) | undefined> {
      const row = await rowOf(id);
      if (!row) return undefined;
      const read = readDocument(row.snapshot, readSnapshot);
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
    /** One page of the notebook, newest first, of those that mention a word. */
    async page(ask: { limit: number; after?: Place; word?: string }): Promise<Page<BatchCard>> {
      const where = holding(ask.word);
      const rows = (await batches.findAll({
        where: { [Op.and]: [where, afterPlace('startedAt', ask.after)] } as never,
        attributes: CARD,
        order: [
          ['startedAt', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: ask.limit + 1,
        raw: true,
      })) as unknown as BatchRow[];
      const total = await batches.count({ where: { [Op.and]: [where] } as never });
      return pageOf(rows, ask.limit, total, (r) => ({ at: r.startedAt, id: r.id }), cardOf);
    },
    /** Every finished batch as learning reads it: columns, no documents. */
    async finished(): Promise<readonly LearnedBatch[]> {
      const rows = (await batches.findAll({
        where: { finishedAt: { [Op.not]: null }, facts: { [Op.not]: null } } as never,
        attributes: ['id', 'name', 'startedAt', 'finishedAt', 'facts', 'seen', 'modelVersion', 'modelS'],
        raw: true,
      })) as unknown as BatchRow[];
      return rows.flatMap((r) => {
        const facts = readFacts(r.facts);
        const seen = seenSchema.safeParse(JSON.parse(r.seen ?? '{}'));
        return facts && seen.success
          ? [
              {
                id: r.id,
                name: r.name,
                startedAt: r.startedAt,
                finishedAt: r.finishedAt,
                facts,
                seen: seen.data,
                modelVersion: r.modelVersion ?? null,
                modelS: r.modelS ?? null,
              },
            ]
          : [];
      });
    },
    /** What was written down after an event, oldest first, of any batch. Events that cannot be read are passed over. */
    async eventsSince(
      after: number,
      limit: number,
    ): Promise<readonly { readonly batchId: string; readonly event: StampedEvent }[]> {
      const rows = (await batchEvents.findAll({
        where: { id: { [Op.gt]: after } } as never,
        order: [['id', 'ASC']],
        limit,
        raw: true,
      })) as unknown as BatchEventRow[];
      return rows.flatMap((row) => eventsOf([row]).events.map((event) => ({ batchId: row.batchId, event })));
    },
    async lastEventId(): Promise<number> {
      const [last] = await batchEvents.findAll({ attributes: ['id'], order: [['id', 'DESC']], limit: 1 });
      return last?.get({ plain: true }).id ?? 0;
    },
    /** Batches at the stove: not finished, the newest first. */
    async running(limit: number): Promise<readonly RunningBatch[]> {
      const rows = (await batches.findAll({
        where: { finishedAt: null } as never,
        attributes: ['id', 'name', 'startedAt'],
        order: [['startedAt', 'DESC']],
        limit,
        raw: true,
      })) as unknown as BatchRow[];
      return rows.map(({ id, name, startedAt }) => ({ id, name, startedAt }));
    },
    async anyFinished(): Promise<boolean> {
      return (
        (await batches.findOne({ where: { finishedAt: { [Op.not]: null } } as never, attributes: ['id'] })) !== null
      );
    },
    /** The newest finished batches of a family as blends. */
    async blends(family: string, limit: number): Promise<readonly PastBlend[]> {
      const rows = (await batches.findAll({
        where: { family, finishedAt: { [Op.not]: null } } as never,
        attributes: ['name', 'overall', 'facts'],
        order: [['startedAt', 'DESC']],
        limit,
        raw: true,
      })) as unknown as BatchRow[];
      return rows.map((r) => ({ name: r.name, overall: r.overall ?? null, shares: readFacts(r.facts)?.blend ?? {} }));
    },
    async create(input: {
      planId: string | null;
      planRevision: number;
      name: string;
      snapshot: Snapshot;
      startedAt?: string;
    }): Promise<StoredBatch> {
      const at = input.startedAt ?? new Date().toISOString();
      const id = freshId();
      await db.write((transaction) =>
        batches.create(
          {
            id,
            planId: input.planId,
            planRevision: input.planRevision,
            name: input.name,
            snapshot: JSON.stringify(input.snapshot),
            startedAt: at,
            createdAt: at,
            updatedAt: at,
            ...derivedOf(input.name, factsOf(input.snapshot), []),
          },
          { transaction },
        ),
      );
      return {
        id,
        planId: input.planId,
        planRevision: input.planRevision,
        name: input.name,
        startedAt: at,
        finishedAt: null,
        snapshot: input.snapshot,
        events: [],
        unreadableEvents: [],
      };
    },
    /** Keeps what the models of a version say of a batch, s; undefined: they cannot say. */
    async keepModel(id: string, modelVersion: number, modelS: number | undefined): Promise<void> {
      await db.write((transaction) =>
        batches.update({ modelVersion, modelS: modelS ?? null }, { where: { id }, transaction }),
      );
    },
    /**
     * Appends one event. `key` makes a repeated send harmless. Of a batch that cannot be read nothing is written down.
     * @param agoMs how long before now it happened, by the clock of the device that saw it
     */
    async append(
      id: string,
      event: BatchEvent,
      key: string,
      agoMs = 0,
      nowMs = Date.now(),
    ): Promise<Result<StoredBatch>> {
      const receivedAt = new Date(nowMs).toISOString();
      const happenedMs = nowMs - Math.min(LONGEST_AGO_MS, Math.max(0, agoMs));
      return db.write(async (transaction): Promise<Result<StoredBatch>> => {
        const row = await rowOf(id, transaction);
        if (!row) return bad(missing());
        const snapshot = readDocument(row.snapshot, readSnapshot);
        if (!snapshot.ok) return snapshot;
        const rows = await rowsOfEvents(id, transaction);
        if (event.kind === 'taken-back' && !eventsOf(rows).events.some((e) => e.key === event.of))
          return bad(problem('no-such-event', 'event.of', 'What is to be taken back is not in the notebook.'));
        const twin = await batchEvents.findOne({ where: { key }, transaction });
        if (twin && twin.get('batchId') !== id)
          return bad(problem('key-twice', 'key', 'That key was used for another batch; send it under a new one.'));
        if (twin) return good(storedOf(row, snapshot.value, rows));
        // Nothing of a batch happened before it was begun, whatever the clock of a device says.
        const begunMs = Date.parse(row.startedAt);
        const at = new Date(begunMs <= nowMs ? Math.max(happenedMs, begunMs) : happenedMs).toISOString();
        const made = await batchEvents.create(
          { batchId: id, at, receivedAt, event: JSON.stringify(event), key },
          { transaction },
        );
        const batch = storedOf(row, snapshot.value, [...rows, made.get({ plain: true })]);
        const derived = derivedOf(row.name, factsOf(snapshot.value), batch.events);
        await batches.update({ ...derived, updatedAt: receivedAt }, { where: { id }, transaction });
        return good({ ...batch, finishedAt: derived.finishedAt });
      });
    },
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
          for (const row of rows) {
            const { events } = eventsOf(await rowsOfEvents(row.id, transaction));
            const { finishedAt: _kept, ...columns } = derivedOf(row.name, factsOfRow(row), events);
            await batches.update(columns, { where: { id: row.id }, transaction });
          }
          return rows.length;
        });
        done += some;
        if (some > 0) onPart(done);
        if (some < OLD_AT_ONCE) return done;
      }
    },
  };
};
