import type { Database } from './connect';
import { freshId } from './freshId';

/** Photos of one batch, at most: a notebook is no album. */
export const MOST_PHOTOS = 12;

export const photoStore = (db: Database) => {
  const { batchPhotos } = db.models;
  return {
    /** Keeps a picture; undefined where the batch has as many as it may. */
    async keep(batchId: string, jpeg: Buffer): Promise<string | undefined> {
      const id = freshId();
      return db.write(async (transaction) => {
        if ((await batchPhotos.count({ where: { batchId }, transaction })) >= MOST_PHOTOS) return undefined;
        await batchPhotos.create({ id, batchId, jpeg, createdAt: new Date().toISOString() }, { transaction });
        return id;
      });
    },
    get: async (id: string): Promise<Buffer | undefined> => (await batchPhotos.findByPk(id))?.get({ plain: true }).jpeg,
  };
};
