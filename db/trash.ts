import { Op, type Transaction } from 'sequelize';
import { TRASH_DAYS } from '@/core/kitchen';
import { bad, good, problem, type Result } from '@/core/units';
import type { Database } from './connect';

const DAY_MS = 86_400_000;
/** What there is to bring back is listed up to so many. */
const MOST_LISTED = 500;

export const TRASH_KINDS = ['plan', 'batch', 'photo'] as const;
export type TrashKind = (typeof TRASH_KINDS)[number];
export interface Trashed {
  readonly kind: TrashKind;
  readonly id: string;
  /** Its name; of a photo, that of its batch. */
  readonly name: string;
  readonly deletedAt: string;
  /** From then on it is gone. */
  readonly goneAt: string;
}

const gone = () =>
  problem('no-such-thing', 'id', 'That is not in the trash; it was brought back, or its days are over.');
const DELETED = { [Op.not]: null };

/** Plans, batches and photos that were deleted: brought back, or truly gone once their days are over. */
export const trashStore = (db: Database) => {
  const { plans, planVersions, batches, batchEvents, batchPhotos } = db.models;
  const models = { plan: plans, batch: batches, photo: batchPhotos } as const;
  const away = (kind: TrashKind, id: string, transaction: Transaction) =>
    (models[kind] as typeof plans).findOne({ where: { id, deletedAt: DELETED } as never, transaction });
  /** Takes away what is in the trash, with all that hangs on it. */
  const erase = {
    async plan(id: string, transaction: Transaction) {
      await batches.update({ planId: null }, { where: { planId: id }, transaction });
      await planVersions.destroy({ where: { planId: id }, transaction });
      await plans.destroy({ where: { id }, transaction });
    },
    async batch(id: string, transaction: Transaction) {
      await batchPhotos.destroy({ where: { batchId: id }, transaction });
      // The one door through which events go: of a batch whose days in the trash are over.
      await batches.update({ deletedAt: '0001-01-01T00:00:00.000Z' }, { where: { id }, transaction });
      await batchEvents.destroy({ where: { batchId: id }, transaction });
      await batches.destroy({ where: { id }, transaction });
    },
    async photo(id: string, transaction: Transaction) {
      await batchPhotos.destroy({ where: { id }, transaction });
    },
  } as const;
  return {
    /** What can be brought back, the last deleted first. */
    async list(): Promise<readonly Trashed[]> {
      const ask = { where: { deletedAt: DELETED } as never, raw: true, limit: MOST_LISTED } as const;
      const [plan, batch, photo] = await Promise.all([
        plans.findAll({ ...ask, attributes: ['id', 'name', 'deletedAt'] }),
        batches.findAll({ ...ask, attributes: ['id', 'name', 'deletedAt'] }),
        batchPhotos.findAll({ ...ask, attributes: ['id', 'batchId', 'deletedAt'] }),
      ]);
      const named = (await batches.findAll({
        where: { id: photo.map((p) => (p as unknown as { batchId: string }).batchId) },
        attributes: ['id', 'name', 'deletedAt'],
        raw: true,
      })) as unknown as { id: string; name: string; deletedAt: string | null }[];
      const batchOf = new Map(named.map((b) => [b.id, b]));
      const line = (kind: TrashKind, r: { id: string; name: string; deletedAt: string }): Trashed => ({
        kind,
        ...r,
        goneAt: new Date(Date.parse(r.deletedAt) + TRASH_DAYS * DAY_MS).toISOString(),
      });
      return [
        ...(plan as unknown as Trashed[]).map((r) => line('plan', r)),
        ...(batch as unknown as Trashed[]).map((r) => line('batch', r)),
        // Those of a batch in the trash come and go with it.
        ...(photo as unknown as (Trashed & { batchId: string })[]).flatMap(({ batchId, ...r }) => {
          const of = batchOf.get(batchId);
          return of && !of.deletedAt ? [line('photo', { ...r, name: of.name })] : [];
        }),
      ].sort((a, b) => b.deletedAt.localeCompare(a.deletedAt));
    },
    /** Puts a batch into the trash. */
    removeBatch: (id: string, at = new Date().toISOString()): Promise<boolean> =>
      db.write(async (transaction) => {
        const [count] = await batches.update({ deletedAt: at }, { where: { id, deletedAt: null }, transaction });
        return count === 1;
      }),
    /** Brings a plan or a batch back as it was; a photo comes back when the taking back of it is taken back. */
    bringBack: (kind: Exclude<TrashKind, 'photo'>, id: string): Promise<Result<{ readonly id: string }>> =>
      db.write(async (transaction) => {
        if (!(await away(kind, id, transaction))) return bad(gone());
        await (models[kind] as typeof plans).update({ deletedAt: null }, { where: { id }, transaction });
        return good({ id });
      }),
    /** Takes one thing away for good, before its days are over. */
    eraseNow: (kind: TrashKind, id: string): Promise<Result<{ readonly id: string }>> =>
      db.write(async (transaction) => {
        if (!(await away(kind, id, transaction))) return bad(gone());
        await erase[kind](id, transaction);
        return good({ id });
      }),
    /** Takes away for good whatever has been in the trash for its days. Answers with how many things. */
    async empty(nowMs = Date.now()): Promise<number> {
      const before = new Date(nowMs - TRASH_DAYS * DAY_MS).toISOString();
      let count = 0;
      for (const kind of TRASH_KINDS) {
        const rows = (await (models[kind] as typeof plans).findAll({
          where: { deletedAt: { [Op.lt]: before } } as never,
          attributes: ['id'],
          raw: true,
        })) as unknown as { id: string }[];
        for (const { id } of rows) await db.write((transaction) => erase[kind](id, transaction));
        count += rows.length;
      }
      // What the opening of a copy replaced can be put back for as long.
      await db.write((transaction) =>
        db.sequelize.query('DELETE FROM openings WHERE at < ?', { replacements: [before], transaction }),
      );
      return count;
    },
  };
};
