import type { Sequelize } from 'sequelize';
import { QueryTypes } from 'sequelize';
import { Umzug } from 'umzug';
import * as first from './migrations/001-first';
import * as gear from './migrations/002-gear';
import * as modelTimes from './migrations/003-models';
import * as lists from './migrations/004-lists';
import * as photos from './migrations/005-photos';
import * as fridge from './migrations/006-fridge';
import * as trust from './migrations/007-trust';
import * as copies from './migrations/008-copies';
import { DatabaseTrouble } from './trouble';

export const MIGRATIONS = [first, gear, modelTimes, lists, photos, fridge, trust, copies];
/** Names of the migrations a file has had. */
const DONE = 'SequelizeMeta';

async function doneNames(sequelize: Sequelize): Promise<string[]> {
  const tables = await sequelize.query(`SELECT name FROM sqlite_master WHERE type = 'table' AND name = '${DONE}'`, {
    type: QueryTypes.SELECT,
  });
  if (tables.length === 0) return [];
  const rows = await sequelize.query<{ name: string }>(`SELECT name FROM "${DONE}" ORDER BY name`, {
    type: QueryTypes.SELECT,
  });
  return rows.map((r) => r.name);
}

/**
 * Brings a file up to date, each migration and the note of it in one transaction: one that is cut off has not been. Several programs may try at
 * once. All on the one connection of `sequelize`.
 * @param before is waited for where a kitchen is there that has not had all of them
 * @throws DatabaseTrouble `newer` where the file has had migrations that are not known here
 */
export async function migrate(
  sequelize: Sequelize,
  file: string,
  before: () => Promise<void> = async () => undefined,
): Promise<void> {
  const known = new Set<string>(MIGRATIONS.map((m) => m.name));
  const done = await doneNames(sequelize);
  const unknown = done.filter((n) => !known.has(n));
  if (unknown.length > 0)
    throw new DatabaseTrouble(
      'newer',
      `The database ${file} was written by a newer Idle Ladle (it has ${unknown.join(', ')}); update this one, or name another file in IDLE_LADLE_DB.`,
    );
  if (done.length > 0 && done.length < MIGRATIONS.length) await before();
  const q = sequelize.getQueryInterface();
  const whole = async (name: string, work: () => Promise<void>) => {
    await sequelize.query('BEGIN IMMEDIATE');
    try {
      await sequelize.query(`CREATE TABLE IF NOT EXISTS "${DONE}" (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)`);
      // Another program may have been first while this one waited.
      if (!(await doneNames(sequelize)).includes(name)) {
        await work();
        await sequelize.query(`INSERT INTO "${DONE}" (name) VALUES (?)`, { replacements: [name] });
      }
      await sequelize.query('COMMIT');
    } catch (e) {
      await sequelize.query('ROLLBACK').catch(() => undefined);
      throw e;
    }
  };
  const umzug = new Umzug({
    migrations: MIGRATIONS.map((m) => ({
      name: m.name,
      up: () => whole(m.name, () => m.up(q)),
      down: () => m.down(q),
    })),
    storage: {
      executed: () => doneNames(sequelize),
      // Noted in the migration's own transaction.
      logMigration: async () => undefined,
      unlogMigration: async ({ name }) => {
        await sequelize.query(`DELETE FROM "${DONE}" WHERE name = ?`, { replacements: [name] });
      },
    },
    logger: undefined,
  });
  await umzug.up();
}
