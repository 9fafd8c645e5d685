import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as first from './migrations/001-first';
import * as gear from './migrations/002-gear';
import * as modelTimes from './migrations/003-models';
import { defineModels, type Models } from './models';

export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
}

const MIGRATIONS = [first, gear, modelTimes];

/** Opens a database file (or ':memory:'), with foreign keys on and a write-ahead log, and brings it up to date. */
export async function openDatabase(file: string): Promise<Database> {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    pool: { max: 1, min: 1, idle: 1e9 },
  });
  await sequelize.query('PRAGMA foreign_keys = ON');
  if (file !== ':memory:') await sequelize.query('PRAGMA journal_mode = WAL');
  await sequelize.query('PRAGMA busy_timeout = 5000');
  const umzug = new Umzug({
    migrations: MIGRATIONS.map((m) => ({
      name: m.name,
      up: async () => m.up(sequelize.getQueryInterface()),
      down: async () => m.down(sequelize.getQueryInterface()),
    })),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  await umzug.up();
  return { sequelize, models: defineModels(sequelize) };
}
