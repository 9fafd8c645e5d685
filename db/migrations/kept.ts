import { DataTypes, type QueryInterface } from 'sequelize';

export const document = (type = DataTypes.TEXT) => ({ type, allowNull: false });
export const stamps = {
  created_at: { type: DataTypes.TEXT, allowNull: false },
  updated_at: { type: DataTypes.TEXT, allowNull: false },
};
/** Columns of a table for documents kept by id and revision. */
export const kept = {
  id: { type: DataTypes.TEXT, primaryKey: true },
  document: document(),
  revision: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 },
  deleted_at: { type: DataTypes.TEXT, allowNull: true },
  ...stamps,
};

/** An index, made where it is not there yet: a migration that was cut off can be run again. */
export async function index(q: QueryInterface, table: string, columns: readonly string[]): Promise<void> {
  const name = `${table}_${columns.join('_')}`;
  await q.sequelize.query(`CREATE INDEX IF NOT EXISTS "${name}" ON "${table}" (${columns.join(', ')})`);
}

/** Columns, added where they are not there yet. */
export async function addColumns(q: QueryInterface, table: string, columns: Readonly<Record<string, string>>) {
  const there = await q.describeTable(table);
  for (const [column, type] of Object.entries(columns))
    if (!there[column]) await q.sequelize.query(`ALTER TABLE "${table}" ADD COLUMN "${column}" ${type}`);
}
