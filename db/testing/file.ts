import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, type Database } from '../connect';

export interface TestDatabase {
  readonly db: Database;
  readonly file: string;
  readonly end: () => Promise<void>;
}

let migrated: Promise<string> | undefined;
const newFolder = () => mkdtempSync(join(tmpdir(), 'idle-ladle-test-'));

/**
 * A new database on a file of its own, as in the kitchen.
 * @param durable true where a test asks whether what was written is on the disk
 */
export async function testDatabase(durable = false): Promise<TestDatabase> {
  migrated ??= (async () => {
    const file = join(newFolder(), 'migrated.sqlite');
    await (await openDatabase(file, { durable: false })).close();
    return file;
  })();
  const folder = newFolder();
  const file = join(folder, 'kitchen.sqlite');
  copyFileSync(await migrated, file);
  const db = await openDatabase(file, { durable });
  return {
    db,
    file,
    end: async () => {
      await db.close().catch(() => undefined);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
