import { QueryTypes, Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';

/** A database file on a connection of its own, without what a kitchen does to its file when it is opened. */
export interface Plain {
  readonly sequelize: Sequelize;
  readonly select: <T extends object>(sql: string, bind?: readonly unknown[]) => Promise<readonly T[]>;
  readonly run: (sql: string, bind?: readonly unknown[]) => Promise<void>;
  /** Breaks off what is under way. */
  readonly interrupt: () => void;
  readonly close: () => Promise<void>;
}

const PATIENCE_MS = 10_000;

export async function openPlain(file: string, { write = false }: { readonly write?: boolean } = {}): Promise<Plain> {
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    retry: { max: 1 },
    dialectOptions: { mode: write ? sqlite3.OPEN_READWRITE : sqlite3.OPEN_READONLY },
  });
  const own = (await sequelize.connectionManager.getConnection({ type: 'read' })) as sqlite3.Database;
  own.configure('busyTimeout', PATIENCE_MS);
  return {
    sequelize,
    select: (sql, bind = []) => sequelize.query(sql, { type: QueryTypes.SELECT, bind: [...bind] }) as never,
    run: async (sql, bind = []) => void (await sequelize.query(sql, { bind: [...bind] })),
    interrupt: () => own.interrupt(),
    close: () => sequelize.close(),
  };
}

/** Rows of a table by turns, so that memory stays as it is however many there are. */
export async function* rowsOf<T extends object>(
  db: Pick<Plain, 'select'>,
  table: string,
  columns = '*',
  atOnce = 100,
): AsyncGenerator<T, void> {
  for (let after = 0; ;) {
    const rows: readonly (T & { row: number })[] = await db.select<T & { row: number }>(
      `SELECT rowid AS row, ${columns} FROM "${table}" WHERE rowid > $1 ORDER BY rowid LIMIT ${atOnce}`,
      [after],
    );
    for (const row of rows) yield row as never;
    const last = rows.at(-1);
    if (!last || rows.length < atOnce) return;
    after = last.row;
  }
}

/** Names of its tables. */
export const tablesOf = async (db: Pick<Plain, 'select'>): Promise<ReadonlySet<string>> =>
  new Set(
    (await db.select<{ name: string }>("SELECT name FROM sqlite_master WHERE type = 'table'")).map((t) => t.name),
  );
