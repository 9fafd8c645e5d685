import { DataTypes } from 'sequelize';

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
