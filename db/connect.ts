import { mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { promisify } from 'node:util';
import { Mutex } from 'async-mutex';
import { QueryTypes, Sequelize, Transaction } from 'sequelize';
import { migrate } from './migrate';
import { defineModels, type Models } from './models';
import { DatabaseTrouble, troubleOf } from './trouble';

export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
  /**
   * The one way to write: one transaction at a time, in the order asked for, that holds the file from its start. What it answers with is on the
   * disk. Everything else reads, on a connection that cannot write.
   */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  /** A number that is another after every write, of this program or another: what was read under it can be kept. */
  stamp(): Promise<number>;
  /** Waits for the writes under way and closes the file. */
  close(): Promise<void>;
}

/** How long a connection waits for another program that holds the file, ms. */
const PATIENCE_MS = 10_000;
/** Files up to this size are looked through for damage when they are opened, bytes. */
const LOOKED_THROUGH = 200e6;

interface RawConnection {
  configure(option: 'busyTimeout', ms: number): void;
  exec(sql: string, done: (e: Error | null) => void): void;
  close(done: (e: Error | null) => void): void;
}
type Handed = { uuid?: string; type?: string };
interface Manager {
  connections: Record<string, RawConnection>;
  getConnection(options?: Handed): Promise<RawConnection>;
  releaseConnection(connection: RawConnection, force?: boolean): void;
}

/** Two connections, made once and kept: every transaction has the writer's, everything else the reader's. */
function keepConnections(sequelize: Sequelize, patienceMs: number): Manager {
  const manager = sequelize.connectionManager as unknown as Manager;
  const open = manager.getConnection.bind(manager);
  const ready = new Map<string, Promise<RawConnection>>();
  manager.getConnection = (options = {}) => {
    const which = options.uuid && options.uuid !== 'default' ? 'writer' : 'default';
    const found = ready.get(which);
    if (found) return found;
    const made = open({ ...options, uuid: which }).then(async (c) => {
      c.configure('busyTimeout', patienceMs);
      await promisify(c.exec.bind(c))('PRAGMA foreign_keys = ON; PRAGMA synchronous = FULL;');
      return c;
    });
    ready.set(which, made);
    made.catch(() => ready.delete(which));
    return made;
  };
  manager.releaseConnection = () => undefined;
  return manager;
}

/**
 * Opens a database file, with foreign keys on, a write-ahead log and every commit on the disk, and brings it up to date.
 * @param patienceMs how long it waits for another program that holds the file, ms
 * @throws DatabaseTrouble with a sentence where the file cannot be used
 */
export async function openDatabase(file: string, patienceMs = PATIENCE_MS): Promise<Database> {
  let sequelize: Sequelize | undefined;
  try {
    mkdirSync(dirname(file), { recursive: true });
    sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false });
    const manager = keepConnections(sequelize, patienceMs);
    const opened = sequelize;
    const close = async () => {
      // One after the other: the last to go folds the log into the file.
      for (const c of Object.values(manager.connections)) await promisify(c.close.bind(c))();
      manager.connections = {};
    };
    try {
      await opened.query('PRAGMA journal_mode = WAL');
      const size = statSync(file, { throwIfNoEntry: false })?.size ?? 0;
      if (size > 0 && size <= LOOKED_THROUGH) {
        const [found] = await opened.query<{ quick_check: string }>('PRAGMA quick_check(1)', {
          type: QueryTypes.SELECT,
        });
        if (found?.quick_check !== 'ok') throw Object.assign(new Error(found?.quick_check), { code: 'SQLITE_CORRUPT' });
      }
      await migrate(opened, file);
      await opened.query('PRAGMA query_only = ON');
    } catch (e) {
      await close().catch(() => undefined);
      throw e;
    }
    const lock = new Mutex();
    return {
      sequelize: opened,
      models: defineModels(opened),
      write: (work) =>
        lock.runExclusive(() => opened.transaction({ type: Transaction.TYPES.IMMEDIATE }, (t) => work(t))),
      async stamp() {
        const [row] = await opened.query<{ data_version: number }>('PRAGMA data_version', { type: QueryTypes.SELECT });
        return row.data_version;
      },
      close: () => lock.runExclusive(close),
    };
  } catch (e) {
    throw troubleOf(file, e) ?? e;
  }
}

export { DatabaseTrouble };
