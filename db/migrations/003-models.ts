import { DataTypes, type QueryInterface } from 'sequelize';

export const name = '003-models';

/** What the models of a version say of a batch, worked out once: its time before learning, s. */
export async function up(q: QueryInterface): Promise<void> {
  await q.addColumn('batches', 'model_version', { type: DataTypes.INTEGER, allowNull: true });
  await q.addColumn('batches', 'model_s', { type: DataTypes.REAL, allowNull: true });
}

export async function down(q: QueryInterface): Promise<void> {
  await q.removeColumn('batches', 'model_s');
  await q.removeColumn('batches', 'model_version');
}
