import type { QueryInterface } from 'sequelize';
import { addColumns } from './kept';

export const name = '003-models';

/** What the models of a version say of a batch, worked out once: its time before learning, s. */
export const up = (q: QueryInterface): Promise<void> =>
  addColumns(q, 'batches', { model_version: 'INTEGER', model_s: 'REAL' });

export async function down(q: QueryInterface): Promise<void> {
  await q.removeColumn('batches', 'model_s');
  await q.removeColumn('batches', 'model_version');
}
