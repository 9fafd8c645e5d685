import { Op } from 'sequelize';
import type { KeptBatch, StampedEvent } from '@/core/work/notebook';
import { CARD, cardOf, eventsOf, readFacts, readSeen, type BatchCard } from './batchColumns';
import type { BatchDerived } from './batchDerived';
import { HERE, type StoredBatch } from './batchRows';
import type { Database } from './connect';
import type { BatchEventRow, BatchRow } from './models';
import { afterPlace, holding, pageOf, type Page, type Place } from './page';

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

/** Batches many at a time, from their columns: no document is read. */
export const batchLists = (db: Database, { deriveAgain }: BatchDerived) => {
  const { batches, batchEvents } = db.models;
  return {
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
          const { id, name, startedAt, finishedAt, modelVersion = null, modelS = null } = r;
          const facts = readFacts(r.facts);
          const seen = readSeen(r.seen);
          return facts && seen ? [{ id, name, startedAt, finishedAt, facts, seen, modelVersion, modelS }] : [];
        });
      const found = read(rows);
      if (found.length === rows.length) return found;
      // What was worked out of a batch and is damaged is worked out again; one that cannot be is passed over.
      const whole = new Set(found.map((b) => b.id));
      const ids = rows.map((r) => r.id).filter((id) => !whole.has(id));
      await deriveAgain(ids);
      const again = (await batches.findAll({ where: { id: ids }, raw: true })) as unknown as BatchRow[];
      return [...found, ...read(again.filter((r) => r.facts !== null))];
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
  };
};
