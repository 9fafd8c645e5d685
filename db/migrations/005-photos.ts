import { DataTypes, type QueryInterface } from 'sequelize';
import { index } from './kept';

export const name = '005-photos';

/** Pictures of a batch, made small before they are kept. */
export async function up(q: QueryInterface): Promise<void> {
  await q.createTable('batch_photos', {
    id: { type: DataTypes.TEXT, primaryKey: true },
    batch_id: {
      type: DataTypes.TEXT,
      allowNull: false,
      references: { model: 'batches', key: 'id' },
      onDelete: 'RESTRICT',
    },
    jpeg: { type: DataTypes.BLOB, allowNull: false },
    created_at: { type: DataTypes.TEXT, allowNull: false },
  });
  await index(q, 'batch_photos', ['batch_id']);
}

export async function down(q: QueryInterface): Promise<void> {
  await q.dropTable('batch_photos');
}
