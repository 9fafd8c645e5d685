import { DataTypes, type QueryInterface } from 'sequelize';
import { document, index, kept, stamps } from './kept';

/** Tables for documents kept by id and revision. */
export const RACK_TABLES = ['ingredients', 'vessels', 'steamers', 'hobs', 'frying_pans'] as const;

export const name = '001-first';

export async function up(q: QueryInterface): Promise<void> {
  for (const table of RACK_TABLES) await q.createTable(table, kept);
  await q.createTable('settings', {
    id: { type: DataTypes.TEXT, primaryKey: true },
    document: document(),
    revision: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
    ...stamps,
  });
  await q.createTable('plans', {
    ...kept,
    name: { type: DataTypes.TEXT, allowNull: false },
    family: { type: DataTypes.TEXT, allowNull: false },
  });
  await q.createTable('plan_versions', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    plan_id: {
      type: DataTypes.TEXT,
      allowNull: false,
      references: { model: 'plans', key: 'id' },
      onDelete: 'RESTRICT',
    },
    revision: { type: DataTypes.INTEGER, allowNull: false },
    /** True for a version that came too late and was refused; it is kept all the same. */
    refused: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    document: document(),
    created_at: stamps.created_at,
  });
  await index(q, 'plan_versions', ['plan_id', 'revision']);
  await q.createTable('batches', {
    id: { type: DataTypes.TEXT, primaryKey: true },
    plan_id: { type: DataTypes.TEXT, allowNull: true, references: { model: 'plans', key: 'id' }, onDelete: 'SET NULL' },
    plan_revision: { type: DataTypes.INTEGER, allowNull: false },
    name: { type: DataTypes.TEXT, allowNull: false },
    snapshot: document(),
    started_at: { type: DataTypes.TEXT, allowNull: false },
    finished_at: { type: DataTypes.TEXT, allowNull: true },
    ...stamps,
  });
  await q.createTable('batch_events', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    batch_id: {
      type: DataTypes.TEXT,
      allowNull: false,
      references: { model: 'batches', key: 'id' },
      onDelete: 'RESTRICT',
    },
    at: { type: DataTypes.TEXT, allowNull: false },
    event: document(),
    /** The sender's own key, so that a repeated send is recorded once. */
    key: { type: DataTypes.TEXT, allowNull: false, unique: true },
  });
  await index(q, 'batch_events', ['batch_id', 'id']);
  for (const verb of ['UPDATE', 'DELETE']) {
    await q.sequelize.query(
      `CREATE TRIGGER IF NOT EXISTS batch_events_no_${verb.toLowerCase()} BEFORE ${verb} ON batch_events BEGIN SELECT RAISE(ABORT, 'batch events are append-only'); END`,
    );
  }
}

export async function down(q: QueryInterface): Promise<void> {
  for (const table of ['batch_events', 'batches', 'plan_versions', 'plans', 'settings', ...RACK_TABLES])
    await q.dropTable(table);
}
