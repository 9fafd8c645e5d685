import { Op, type Transaction } from 'sequelize';
import {
  LEAST_STEAMED_S,
  readSnapshot,
  standing,
  type BatchEvent,
  type KeptBatch,
  type Snapshot,
  type StampedEvent,
} from '@/core/work/notebook';
import { bad, good, problem, type Result } from '@/core/units';
import {
  CARD,
  cardOf,
  DERIVED,
  derivedOf,
  eventsOf,
  readFacts,
  readSeen,
  type BatchCard,
  type UnreadableEvent,
} from './batchColumns';
import type { Database } from './connect';
import { freshId } from './freshId';
import type { BatchEventRow, BatchRow } from './models';
import { afterPlace, holding, pageOf, type Page, type Place } from './page';
import { MOST_PHOTOS } from './photos';
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
/**
 * A finished batch as learning reads it, with the time of the cake as it was cooked by the models of a version, s; worked out after it was written
 * down, and anew once something of it is put right.
 */
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
/** Batches that are not in the trash. */
const HERE = { deletedAt: null };
/** What changes when it was done or how it tasted, and not how it was cooked. */
const COOKS_NOTHING: ReadonlySet<BatchEvent['kind']> = new Set([
  'checked',
  'tasted',
  'noted',
  'photographed',
  'finished',
  'eaten',
  'vouched',
  'timer-set',
  'timer-ended',
  'said',
  'probed',
  'probe-checked',
]);
/** A page that was out of reach for longer than this is taken at its word no further, ms. */
const LONGEST_AGO_MS = 60 * 24 * 3600 * 1000;

const missing = () => problem('no-such-batch', 'id', 'There is no such batch in the notebook.');
function storedOf(row: BatchRow, snapshot: Snapshot, rows: readonly BatchEventRow[]): StoredBatch {
  const { id, planId, planRevision, name, startedAt, finishedAt } = row;
  const { events, unreadable } = eventsOf(rows);
  return { id, planId, planRevision, name, startedAt, finishedAt, snapshot, events, unreadableEvents: unreadable };
}

/**
 * When an event happened, ms: nothing of a batch happened before it was begun, whatever the clock of a device says; and under a clock that was set
 * back since the last one was heard, it comes after that.
 */
function happenedAt(row: BatchRow, rows: readonly BatchEventRow[], happenedMs: number, nowMs: number): number {
  const begunMs = Date.parse(row.startedAt);
  const latest = (at: (r: BatchEventRow) => string) =>
    rows.reduce((l, r) => Math.max(l, Date.parse(at(r)) || 0), begunMs);
  const setBack = nowMs < latest((r) => r.receivedAt ?? r.at);
  return Math.max(begunMs, happenedMs, setBack ? latest((r) => r.at) : 0);
}

export const batchStore = (db: Database) => {
  const { batches, batchEvents, batchPhotos } = db.models;
  const rowOf = async (id: string, transaction?: Transaction) =>
    (await batches.findOne({ where: { id, ...HERE }, transaction }))?.get({ plain: true });
  const rowsOfEvents = async (batchId: string, transaction?: Transaction): Promise<BatchEventRow[]> =>
    (await batchEvents.findAll({ where: { batchId }, order: [['id', 'ASC']], transaction })).map((e) =>
      e.get({ plain: true }),
    );
  const snapshotOf = (row: BatchRow) => readDocument(row.snapshot, readSnapshot, row.sum);
  /** What stands beside a batch, worked out anew from its document and its events. */
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
  const get = async (id: string): Promise<Result<StoredBatch>> => {
    const row = await rowOf(id);
    if (!row) return bad(missing());
    const snapshot = snapshotOf(row);
    return snapshot.ok ? good(storedOf(row, snapshot.value, await rowsOfEvents(id))) : snapshot;
  };
  /** Appends in a transaction that is open. */
  async function append(
    transaction: Transaction,
    sent: {
      readonly id: string;
      readonly event: BatchEvent;
      readonly key: string;
      readonly agoMs: number;
      readonly nowMs: number;
    },
  ): Promise<Result<StoredBatch>> {
    const { id, event, key, nowMs } = sent;
    const receivedAt = new Date(nowMs).toISOString();
    const happenedMs = nowMs - Math.min(LONGEST_AGO_MS, Math.max(0, sent.agoMs));
    const row = await rowOf(id, transaction);
    if (!row) return bad(missing());
    const snapshot = snapshotOf(row);
    if (!snapshot.ok) return snapshot;
    const rows = await rowsOfEvents(id, transaction);
    const twin = await batchEvents.findOne({ where: { key }, transaction });
    if (twin && twin.get('batchId') !== id)
      return bad(problem('key-twice', 'key', 'That key was used for another batch; send it under a new one.'));
    if (twin) return good(storedOf(row, snapshot.value, rows));
    if (event.kind === 'taken-back' && !eventsOf(rows).events.some((e) => e.key === event.of))
      return bad(problem('no-such-event', 'event.of', 'What is to be taken back is not in the notebook.'));
    if (event.kind === 'checked' && event.afterS < LEAST_STEAMED_S)
      return bad(
        problem(
          'no-beginning',
          'event.afterS',
          'Say how many minutes it has steamed: a check needs a beginning, or the time since it.',
        ),
      );
    if (
      event.kind === 'photographed' &&
      (await batchPhotos.count({ where: { id: event.photo, batchId: id }, transaction })) === 0
    )
      return bad(problem('no-such-photo', 'event.photo', 'There is no such photo of this batch.'));
    const atMs = happenedAt(row, rows, happenedMs, nowMs);
    const made = await batchEvents.create(
      { batchId: id, at: new Date(atMs).toISOString(), receivedAt, event: JSON.stringify(event), key },
      { transaction },
    );
    const batch = storedOf(row, snapshot.value, [...rows, made.get({ plain: true })]);
    const derived = derivedOf(row.name, snapshot.value, batch.events);
    // A time by the models holds as long as nothing changes how the cake was cooked.
    const cooks = COOKS_NOTHING.has(event.kind) ? {} : { modelVersion: null, modelS: null };
    await batches.update({ ...derived, ...cooks, updatedAt: receivedAt }, { where: { id }, transaction });
    if (event.kind === 'taken-back') await keepPhotos(id, batch.events, receivedAt, transaction);
    return good({ ...batch, finishedAt: derived.finishedAt });
  }
  return {
    get,
    workOut,
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
    /** One page of the notebook, newest first, of those that mention a word. */
    async page(ask: { limit: number; after?: Place; word?: string }): Promise<Page<BatchCard>> {
      const where = holding(ask.word);
      const rows = (await batches.findAll({
        where: { [Op.and]: [HERE, where, afterPlace('startedAt', ask.after)] } as never,
        attributes: CARD,
        order: [
          ['startedAt', 'DESC'],
          ['id', 'DESC'],
        ],
        limit: ask.limit + 1,
        raw: true,
      })) as unknown as BatchRow[];
      const total = await batches.count({ where: { [Op.and]: [HERE, where] } as never });
      return pageOf(rows, ask.limit, total, (r) => ({ at: r.startedAt, id: r.id }), cardOf);
    },
    /** Every finished batch as learning reads it: columns, no documents. */
    async finished(): Promise<readonly LearnedBatch[]> {
      const rows = (await batches.findAll({
        where: { ...HERE, finishedAt: { [Op.not]: null }, facts: { [Op.not]: null } } as never,
        attributes: ['id', 'name', 'startedAt', 'finishedAt', 'facts', 'seen', 'modelVersion', 'modelS'],
        raw: true,
      })) as unknown as BatchRow[];
      const read = (some: readonly BatchRow[]) =>
        some.flatMap((r) => {
          const facts = readFacts(r.facts);
          const seen = readSeen(r.seen);
          return facts && seen
            ? [
                {
                  id: r.id,
                  name: r.name,
                  startedAt: r.startedAt,
                  finishedAt: r.finishedAt,
                  facts,
                  seen,
                  modelVersion: r.modelVersion ?? null,
                  modelS: r.modelS ?? null,
                },
              ]
            : [];
        });
      const found = read(rows);
      if (found.length === rows.length) return found;
      // What was worked out of a batch and is damaged is worked out again; one that cannot be is passed over.
      const whole = new Set(found.map((b) => b.id));
      const ids = rows.map((r) => r.id).filter((id) => !whole.has(id));
      await this.deriveAgain(ids);
      const again = (await batches.findAll({ where: { id: ids }, raw: true })) as unknown as BatchRow[];
      return [...found, ...read(again.filter((r) => r.facts !== null))];
    },
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
        where: { ...HERE, finishedAt: null } as never,
        attributes: ['id', 'name', 'startedAt'],
        order: [['startedAt', 'DESC']],
        limit,
        raw: true,
      })) as unknown as BatchRow[];
      return rows.map(({ id, name, startedAt }) => ({ id, name, startedAt }));
    },
    async anyFinished(): Promise<boolean> {
      return (
        (await batches.findOne({
          where: { ...HERE, finishedAt: { [Op.not]: null } } as never,
          attributes: ['id'],
        })) !== null
      );
    },
    /** The newest finished batches of a family as blends. */
    async blends(family: string, limit: number): Promise<readonly PastBlend[]> {
      const rows = (await batches.findAll({
        where: { ...HERE, family, finishedAt: { [Op.not]: null } } as never,
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
      /** Under which it is made once, however often it is sent; it becomes its id. */
      key?: string;
    }): Promise<StoredBatch> {
      const at = input.startedAt ?? new Date().toISOString();
      const id = input.key ?? freshId();
      const twin = await db.write(async (transaction) => {
        if (input.key !== undefined && (await batches.findByPk(id, { transaction }))) return true;
        await batches.create(
          {
            id,
            planId: input.planId,
            planRevision: input.planRevision,
            name: input.name,
            snapshot: JSON.stringify(input.snapshot),
            startedAt: at,
            createdAt: at,
            updatedAt: at,
            ...derivedOf(input.name, input.snapshot, []),
          },
          { transaction },
        );
        return false;
      });
      const there = twin ? await get(id) : undefined;
      if (there?.ok) return there.value;
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
    /** Time of a batch as it was cooked by the models of a version, s; undefined where that was not worked out, or cannot be. */
    async timeOf(id: string, modelVersion: number): Promise<number | undefined> {
      const row = await rowOf(id);
      return row?.modelVersion === modelVersion ? (row.modelS ?? undefined) : undefined;
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
    append: (id: string, event: BatchEvent, key: string, agoMs = 0, nowMs = Date.now()): Promise<Result<StoredBatch>> =>
      db.write((transaction) => append(transaction, { id, event, key, agoMs, nowMs })),
    /** Keeps a picture and the word of it, once for a key. Errors: `too-many-photos`, and as {@link append}. */
    async appendPhoto(id: string, jpeg: Buffer, key: string, nowMs = Date.now()): Promise<Result<StoredBatch>> {
      return db.write(async (transaction): Promise<Result<StoredBatch>> => {
        const sent = (await batchEvents.findOne({ where: { key }, transaction }))?.get({ plain: true });
        if (sent) {
          const [was] = eventsOf([sent]).events;
          if (was?.kind === 'photographed')
            return append(transaction, { id, event: { kind: 'photographed', photo: was.photo }, key, agoMs: 0, nowMs });
        }
        if ((await batchPhotos.count({ where: { batchId: id, deletedAt: null }, transaction })) >= MOST_PHOTOS)
          return bad(problem('too-many-photos', 'photo', `A batch keeps ${MOST_PHOTOS} photos at most.`));
        if (!(await rowOf(id, transaction))) return bad(missing());
        const photo = freshId();
        await batchPhotos.create(
          { id: photo, batchId: id, jpeg, createdAt: new Date(nowMs).toISOString() },
          { transaction },
        );
        return append(transaction, { id, event: { kind: 'photographed', photo }, key, agoMs: 0, nowMs });
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
