import type { Database } from './connect';
import { isWhole } from './sum';

/** Photos of one batch, at most: a notebook is no album. */
export const MOST_PHOTOS = 12;

export const photoStore = (db: Database) => ({
  /** A picture that is not in the trash; undefined where it is not there, or not whole any more. */
  async get(id: string): Promise<Buffer | undefined> {
    const row = (await db.models.batchPhotos.findOne({ where: { id, deletedAt: null } }))?.get({ plain: true });
    return row && isWhole(row.jpeg, row.sum) ? row.jpeg : undefined;
  },
  /** The batch that a picture is of, also of one in the trash. */
  batchOf: async (id: string): Promise<string | undefined> =>
    (await db.models.batchPhotos.findByPk(id, { attributes: ['batchId'] }))?.get({ plain: true }).batchId,
});
