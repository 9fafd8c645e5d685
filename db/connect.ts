import { there } from '@/core/units';
import { closeSync, mkdirSync, openSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { promisify } from 'node:util';
import { Mutex } from 'async-mutex';
import { QueryTypes, Sequelize, Transaction } from 'sequelize';
import { migrate } from './migrate';
import { defineModels, type Models } from './models';
import { APPLICATION_ID, refuseForeign } from './ours';
import { DatabaseTrouble, troubleOf } from './trouble';

export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
  readonly file: string;
  /** True where there was no kitchen in the file and a new, empty one was made. */
  readonly isNew: boolean;
  /**
   * The one way to write: one transaction at a time, in the order asked for, that holds the file from its start. What it answers with is on the
   * disk. Everything else reads, on a connection that cannot write.
   */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  /** As `write`, with another database file beside this one: its tables are named `there.…`. */
  writeBeside<T>(other: string, work: (transaction: Transaction) => Promise<T>): Promise<T>;
  /** A number that is another after every write, of this program or another: what was read under it can be kept. */
  stamp(): Promise<number>;
  /** Waits for the writes under way and closes the file. */
  close(): Promise<void>;
}

/** How long a connection waits for another program that holds the file, ms. */
const PATIENCE_MS = 10_000;
/** Files up to this size are looked through for damage before they are opened, larger ones while they are read, bytes. */
export const LOOKED_THROUGH = 200e6;
/** Once nothing was written for so long, the write-ahead log is folded into the file, ms: then a copy of the file has everything. */
const REST_MS = 1500;

interface RawConnection {
  configure(option: 'busyTimeout', ms: number): void;
  exec(sql: string, done: (e: Error | null) => void): void;
  get(sql: string, done: (e: Error | null, row: Record<string, number> | undefined) => void): void;
  close(done: (e: Error | null) => void): void;
}
type Handed = { uuid?: string; type?: string };
interface Manager {
  connections: Record<string, RawConnection>;
  getConnection(options?: Handed): Promise<RawConnection>;
  releaseConnection(connection: RawConnection, force?: boolean): void;
}

/** Two connections, made once and kept: every transaction has the writer's, everything else the reader's. */
function keepConnections(sequelize: Sequelize, patienceMs: number, durable: boolean): Manager {
  const manager = sequelize.connectionManager as unknown as Manager;
  const open = manager.getConnection.bind(manager);
  const ready = new Map<string, Promise<RawConnection>>();
  manager.getConnection = (options = {}) => {
    const which = options.uuid && options.uuid !== 'default' ? 'writer' : 'default';
    const found = ready.get(which);
    if (found) return found;
    const made = open({ ...options, uuid: which }).then(async (c) => {
      c.configure('busyTimeout', patienceMs);
      await promisify(c.exec.bind(c))(`PRAGMA foreign_keys = ON; PRAGMA synchronous = ${durable ? 'FULL' : 'OFF'};`);
      return c;
    });
    ready.set(which, made);
    made.catch(() => ready.delete(which));
    return made;
  };
  manager.releaseConnection = () => undefined;
  return manager;
}

/** Folds the log into the file whenever writing has rested; nobody is waited for, and nobody waits. */
function foldAtRest(manager: Manager, lock: Mutex) {
  let timer: NodeJS.Timeout | undefined;
  let ended = false;
  const fold = async (): Promise<void> => {
    const writer = await manager.getConnection({ uuid: 'writer' });
    const row = await promisify(writer.get.bind(writer))('PRAGMA wal_checkpoint(PASSIVE)');
    // Somebody was reading what had not been folded yet: the rest comes with the next.
    if ((row?.checkpointed ?? 0) < (row?.log ?? 0)) rest();
  };
  const rest = (): void => {
    clearTimeout(timer);
    if (ended) return;
    timer = setTimeout(() => {
      if (!ended) lock.runExclusive(() => (ended ? undefined : fold())).catch(() => undefined);
    }, REST_MS).unref();
  };
  return {
    rest,
    end: () => {
      ended = true;
      clearTimeout(timer);
    },
  };
}

/** Size of a file, bytes; none where there is none. @throws DatabaseTrouble where it is a folder */
function sizeOf(file: string): number {
  const there = statSync(file, { throwIfNoEntry: false });
  if (there?.isDirectory())
    throw new DatabaseTrouble(
      'no-place',
      `${file} is a folder and no database; name the file in it in IDLE_LADLE_DB, for example ${file}/kitchen.sqlite.`,
    );
  return there?.size ?? 0;
}

/** What quick_check finds first; undefined for a file that is whole. */
export async function damageOf(sequelize: Sequelize): Promise<string | undefined> {
  const [found] = await sequelize.query<{ quick_check: string }>('PRAGMA quick_check(1)', { type: QueryTypes.SELECT });
  return found?.quick_check === 'ok' ? undefined : (found?.quick_check ?? 'it cannot be looked through');
}

/**
 * Opens a database file, with foreign keys on, a write-ahead log and every commit on the disk, and brings it up to date.
 * @param patienceMs how long it waits for another program that holds the file, ms
 * @param durable false for tests that lose nothing with the power
 * @param beforeUpgrade is waited for before a kitchen of an older release is brought up to date
 * @throws DatabaseTrouble with a sentence where the file cannot be used
 */
export async function openDatabase(
  file: string,
  {
    patienceMs = PATIENCE_MS,
    durable = true,
    beforeUpgrade,
  }: {
    readonly patienceMs?: number;
    readonly durable?: boolean;
    readonly beforeUpgrade?: (file: string) => Promise<void>;
  } = {},
): Promise<Database> {
  let sequelize: Sequelize | undefined;
  try {
    mkdirSync(dirname(file), { recursive: true });
    const size = sizeOf(file);
    // The notes of a kitchen are nobody else's on this machine.
    if (size === 0) closeSync(openSync(file, 'a', 0o600));
    // A file that is held is waited for once, not five times over.
    sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false, retry: { max: 1 } });
    const manager = keepConnections(sequelize, patienceMs, durable);
    const opened = sequelize;
    const close = async () => {
      // One after the other: the last to go folds the log into the file.
      for (const c of Object.values(manager.connections)) await promisify(c.close.bind(c))();
      manager.connections = {};
    };
    try {
      if (size > 0) await refuseForeign(opened, file);
      await opened.query('PRAGMA journal_mode = WAL');
      if (size > 0 && size <= LOOKED_THROUGH) {
        const damage = await damageOf(opened);
        if (damage !== undefined) throw Object.assign(new Error(damage), { code: 'SQLITE_CORRUPT' });
      }
      await migrate(opened, file, () => beforeUpgrade?.(file) ?? Promise.resolve());
      await opened.query(`PRAGMA application_id = ${APPLICATION_ID}`);
      await opened.query('PRAGMA query_only = ON');
    } catch (e) {
      await close().catch(() => undefined);
      throw e;
    }
    const lock = new Mutex();
    const log = foldAtRest(manager, lock);
    log.rest();
    const transact = <T>(work: (transaction: Transaction) => Promise<T>): Promise<T> =>
      opened.transaction({ type: Transaction.TYPES.IMMEDIATE }, (t) => work(t));
    return {
      sequelize: opened,
      models: defineModels(opened),
      file,
      isNew: size === 0,
      write: (work) => lock.runExclusive(() => transact(work)).finally(log.rest),
      writeBeside: (other, work) =>
        lock
          .runExclusive(async () => {
            const writer = await manager.getConnection({ uuid: 'writer' });
            const exec = promisify(writer.exec.bind(writer));
            await exec(`ATTACH '${other.replaceAll("'", "''")}' AS there`);
            try {
              return await transact(work);
            } finally {
              await exec('DETACH there');
            }
          })
          .finally(log.rest),
      async stamp() {
        const [row] = await opened.query<{ data_version: number }>('PRAGMA data_version', { type: QueryTypes.SELECT });
        return there(row).data_version;
      },
      close: () => {
        log.end();
        return lock.runExclusive(close);
      },
    };
  } catch (e) {
    throw troubleOf(file, e) ?? e;
  }
}

export { DatabaseTrouble };
