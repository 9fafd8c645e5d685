import type { Transaction } from 'sequelize';
import { LEAST_STEAMED_S, type BatchEvent, type Snapshot } from '@/core/work/notebook';
import { bad, good, problem, type Result } from '@/core/units';
import { derivedOf, eventsOf } from './batchColumns';
import type { BatchDerived } from './batchDerived';
import { missing, storedOf, type BatchRows, type StoredBatch } from './batchRows';
import type { Database } from './connect';
import { freshId } from './freshId';
import type { BatchEventRow, BatchRow } from './models';
import { MOST_PHOTOS } from './photos';

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

/** What is written into the notebook: batches, what happened of them, and what the models say of them. */
export const batchWriting = (
  db: Database,
  { rowOf, rowsOfEvents, snapshotOf, get }: BatchRows,
  { keepPhotos }: BatchDerived,
) => {
  const { batches, batchEvents, batchPhotos } = db.models;
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
      const { planId, planRevision, name, snapshot } = input;
      const own = { id: input.key ?? freshId(), planId, planRevision, name, startedAt: at };
      const twin = await db.write(async (transaction) => {
        if (input.key !== undefined && (await batches.findByPk(own.id, { transaction }))) return true;
        const document = { snapshot: JSON.stringify(snapshot), createdAt: at, updatedAt: at };
        await batches.create({ ...own, ...document, ...derivedOf(name, snapshot, []) }, { transaction });
        return false;
      });
      const there = twin ? await get(own.id) : undefined;
      return there?.ok ? there.value : { ...own, finishedAt: null, snapshot, events: [], unreadableEvents: [] };
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
  };
};
