import type { Kitchen } from '@/core/kitchen';
import { batchStore } from '../batches';
import { openDatabase } from '../connect';
import { compare, selectOn, type CopyLine } from './compare';
import type { Manifest } from './manifest';
import { openPlain } from './plain';
import type { Watched } from './progress';
import { proveCopy } from './prove';
import { copyTroubleOf } from './trouble';
import { endWork, newWork } from './work';

/** A copy that lies unpacked beside the kitchen, checked and brought up to date; nothing of it is taken in yet. */
export interface Opened {
  /** Where it lies; taken away by `endWork`. */
  readonly folder: string;
  readonly database: string;
  readonly manifest: Omit<Manifest, 'files'>;
  readonly unreadable: number;
}

/**
 * Unpacks a copy beside a kitchen and brings it up to this release.
 * @param called what the cook calls the file @param live the kitchen's database file
 * @throws CopyTrouble
 */
export async function openCopy(file: string, called: string, live: string, watched: Watched = {}): Promise<Opened> {
  const folder = newWork(live);
  try {
    const { manifest, database, unreadable } = await proveCopy(file, called, folder, { ...watched, keep: true });
    const db = await openDatabase(database, { durable: false });
    try {
      await batchStore(db).deriveOld();
    } finally {
      await db.close();
    }
    const { files: _, ...rest } = manifest;
    return { folder, database, manifest: rest, unreadable };
  } catch (e) {
    endWork(folder);
    throw copyTroubleOf(called, e);
  }
}

/** Everything in which an opened copy and the kitchen differ, as both stand now. */
export async function previewOf(
  live: string,
  opened: Pick<Opened, 'database'>,
  kitchen: Kitchen,
): Promise<readonly CopyLine[]> {
  const db = await openPlain(live);
  try {
    await db.run('ATTACH $1 AS there', [opened.database]);
    return await compare(selectOn(db.sequelize), kitchen);
  } finally {
    await db.close();
  }
}
